/** Bad input made of good: one or a few places of a JSON value, of cells or of bytes are something else. */

type Random = () => number

const pick = <T>(from: readonly T[], random: Random): T | undefined => from[Math.floor(random() * from.length)]

const deep = (levels: number): unknown => (levels === 0 ? 'deep' : [deep(levels - 1)])

/** What nobody expects where something else stood. */
const ODD: readonly (() => unknown)[] = [
  () => null,
  () => '',
  () => '   ',
  () => -1,
  () => 1e308,
  () => 0.1 + 0.2,
  () => Number.MAX_SAFE_INTEGER,
  () => true,
  () => [],
  () => ({}),
  () => ({ __proto__: null, constructor: 'x' }),
  () => 'a\0b',
  () => '\ud800',
  () => 'x'.repeat(5000),
  () => '=1+1',
  () => '<script>alert(1)</script>',
  () => "'; drop table show; --",
  () => '../../etc',
  () => 'salt-lantern',
  () => Array.from({ length: 500 }, () => 'twice'),
  () => Array.from({ length: 25_000 }, (_, i) => i),
  () => deep(60),
]

/** A copy of a JSON value with one place changed, taken out, doubled or swapped for another place’s value. */
export function mutated(value: unknown, random: Random): unknown {
  const places = placesIn(value)
  const chosen = pick(places, random)
  if (!chosen) return pick(ODD, random)?.()
  return changedAt(value, chosen, (old) => {
    const how = random()
    if (how < 0.6) return pick(ODD, random)?.()
    if (how < 0.75) return undefined
    if (how < 0.85 && Array.isArray(old)) return [...old, ...old]
    return valueAt(value, pick(places, random) ?? [])
  })
}

type Path = readonly string[]

function placesIn(value: unknown, path: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [path]
  // Of a long list a few places are as good as all.
  const entries = Object.entries(value).slice(0, 40)
  return [path, ...entries.flatMap(([key, inner]) => placesIn(inner, [...path, key]))]
}

function valueAt(value: unknown, [key, ...rest]: Path): unknown {
  return key === undefined ? value : valueAt(Reflect.get(Object(value), key), rest)
}

function changedAt(value: unknown, [key, ...rest]: Path, change: (old: unknown) => unknown): unknown {
  if (key === undefined) return change(value)
  const inner = changedAt(Reflect.get(Object(value), key), rest, change)
  if (Array.isArray(value)) return value.map((one, i) => (String(i) === key ? inner : one))
  return { ...Object(value), [key]: inner }
}

/** A copy of bytes with some of them changed, a part cut out, or the end cut off. */
export function mutatedBytes(bytes: Uint8Array, random: Random): Uint8Array {
  const at = () => Math.floor(random() * bytes.length)
  if (random() < 0.2) return bytes.slice(0, at())
  if (random() < 0.2) return Uint8Array.from([...bytes.slice(0, at()), ...bytes.slice(at())])
  const copy = Uint8Array.from(bytes)
  for (let i = 1 + Math.floor(random() * 8); i > 0; i--) copy[at()] = Math.floor(random() * 256)
  return copy
}

const ODD_CELLS = [
  '',
  ' ',
  '-',
  '1e9',
  '-0',
  'NaN',
  '=1+1',
  '"',
  ',',
  '\0',
  '\ud800',
  'Bar 1',
  '12-17',
  '1,5',
  'x'.repeat(3000),
]

/** A copy of a table of cells with some of them, a row or a column changed. */
export function mutatedCells(rows: readonly (readonly string[])[], random: Random): string[][] {
  const copy = rows.map((row) => [...row])
  for (let i = 1 + Math.floor(random() * 4); i > 0; i--) {
    const row = pick(copy, random)
    if (!row) continue
    const how = random()
    if (how < 0.6) row[Math.floor(random() * (row.length + 1))] = pick(ODD_CELLS, random) ?? ''
    else if (how < 0.75) row.splice(Math.floor(random() * row.length), 1)
    else if (how < 0.9) copy.push([...row])
    else copy.splice(copy.indexOf(row), 1)
  }
  return copy
}

const ODD_ATTRIBUTES = [
  '',
  '0',
  '-1',
  '1e309',
  'NaN',
  '0/0',
  '256/1',
  '99999999999/4',
  'None',
  'true',
  '{1,2}',
  '{0,0,0}{0,0,0}{0,0,0}{0,0,0}',
  '../x',
  'x'.repeat(4000),
  '\ud83d',
  '1,2,3,4,5,6',
]

/** A copy of XML with attributes, texts or whole elements of it changed, taken out, doubled or put into each other. */
export function mutatedXml(xml: string, random: Random): string {
  let text = xml
  for (let i = 1 + Math.floor(random() * 4); i > 0; i--) {
    const places = [...text.matchAll(/"[^"<]*"|>[^<>]+<|<[A-Za-z]\w*(?:\s[^<>]*)?\/>/g)]
    const found = pick(places, random)
    if (!found) return text
    const [old] = found
    const [before, after] = [text.slice(0, found.index), text.slice(found.index + old.length)]
    const odd = pick(ODD_ATTRIBUTES, random) ?? ''
    if (old.startsWith('"'))
      text = `${before}"${random() < 0.5 ? odd : (pick(places, random)?.[0].replaceAll(/["<>/]/g, '') ?? '')}"${after}`
    else if (old.startsWith('>')) text = `${before}>${odd}<${after}`
    else text = `${before}${random() < 0.5 ? '' : old + old}${after}`
  }
  return random() < 0.05 ? text.slice(0, Math.floor(random() * text.length)) : text
}

const ODD_WORDS = [
  ...['', 'Cue', 'Chan', '@', '<', '@@', 'HFF', 'HGG', '1:99', 'Up', 'Patch', '!', '-1', '1e9', '999999999', 'EndData'],
  ...['\0', '\ud800', '\r', '$', 'x'.repeat(4000), '1@2@3', '0'],
]

/** A copy of plain text with words of it changed or lines of it taken out, doubled or cut short. */
export function mutatedText(text: string, random: Random): string {
  const lines = text.split('\n')
  for (let i = 1 + Math.floor(random() * 8); i > 0; i--) {
    const at = Math.floor(random() * lines.length)
    const words = (lines[at] ?? '').split(' ')
    const how = random()
    if (how < 0.6) words[Math.floor(random() * (words.length + 1))] = pick(ODD_WORDS, random) ?? ''
    if (how < 0.8) lines[at] = words.join(' ')
    else if (how < 0.9) lines.splice(at, 1)
    else lines.splice(at, 0, pick(lines, random) ?? '')
  }
  return random() < 0.1 ? lines.join('\n').slice(0, Math.floor(random() * text.length)) : lines.join('\n')
}
