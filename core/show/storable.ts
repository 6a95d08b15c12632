/** What can be kept of anything that comes from outside: no text a database refuses, nothing without bounds. */

/** Entries of a list, and lists and records inside each other, at most. */
const LONGEST_LIST = 20_000
const DEEPEST = 40

export interface Unstorable {
  /** Where it stands, with dots between; empty for the whole. */
  readonly path: string
  readonly why: string
}

/** Half a character, or the one that ends texts in some programs. */
const UNKEEPABLE_TEXT = /[\0\p{Surrogate}]/u

/** What of a value read from JSON cannot be kept; null where all can. Lists of texts hold none twice. */
export function unstorableIn(value: unknown, longest = LONGEST_LIST): Unstorable | null {
  return search(value, longest, [])
}

function search(value: unknown, longest: number, path: (string | number)[]): Unstorable | null {
  if (typeof value === 'string')
    return UNKEEPABLE_TEXT.test(value) ? found(path, 'holds a character that cannot be kept') : null
  if (typeof value !== 'object' || value === null) return null
  if (path.length >= DEEPEST) return found(path, 'is nested too deep')
  if (Array.isArray(value)) return searchList(value, longest, path)
  for (const [key, inner] of Object.entries(value)) {
    if (UNKEEPABLE_TEXT.test(key)) return found(path, 'holds a character that cannot be kept')
    path.push(key)
    const fault = search(inner, longest, path)
    if (fault) return fault
    path.pop()
  }
  return null
}

/** Lists of numbers are by far the longest of a show: nothing is made of any of them. */
function searchList(list: readonly unknown[], longest: number, path: (string | number)[]): Unstorable | null {
  if (list.length > longest) return found(path, `has ${list.length} entries; it may have ${longest}`)
  const twice = repeatedText(list)
  if (twice !== null) return found(path, `names “${twice.slice(0, 60)}” twice`)
  for (let i = 0; i < list.length; i++) {
    const inner: unknown = list[i]
    if (typeof inner === 'number') continue
    path.push(i)
    const fault = search(inner, longest, path)
    if (fault) return fault
    path.pop()
  }
  return null
}

function repeatedText(list: readonly unknown[]): string | null {
  const known = new Set<string>()
  for (const one of list) {
    if (typeof one !== 'string') return null
    if (known.has(one)) return one
    known.add(one)
  }
  return null
}

function found(path: readonly (string | number)[], why: string): Unstorable {
  return { path: path.join('.'), why }
}
