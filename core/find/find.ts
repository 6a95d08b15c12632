/** What a person means by a few letters: numbers before names, beginnings before middles. */
import { normalisedName } from '../show/names'

/** Something that can be found. `about` says in words what it is, its kind first. */
export interface Named {
  readonly number: number | null
  readonly name: string
  readonly about: string
}

/** How much a word counts by where it is found. */
const WORTH = {
  number: 100,
  word: 70,
  nameBegins: 60,
  wordBegins: 50,
  kind: 40,
  numberBegins: 30,
  aboutBegins: 20,
  inName: 10,
}

const wordsOf = (text: string) => normalisedName(text).split(/[^\p{L}\p{N}.]+/u)

function worthOf(word: string, { number, name, about }: Named): number {
  const written = number === null ? '' : String(number)
  if (written === word) return WORTH.number
  const parts = wordsOf(name)
  if (parts.includes(word)) return WORTH.word
  if (normalisedName(name).startsWith(word)) return WORTH.nameBegins
  if (parts.some((part) => part.startsWith(word))) return WORTH.wordBegins
  const [kind, ...rest] = wordsOf(about)
  if (kind?.startsWith(word)) return WORTH.kind
  if (written.startsWith(word)) return WORTH.numberBegins
  if (rest.some((part) => part.startsWith(word))) return WORTH.aboutBegins
  return word.length > 1 && normalisedName(name).includes(word) ? WORTH.inName : 0
}

/** What has every word of `text` in its number, its name or what it is, the likeliest first; nothing for no text. */
export function find<T extends Named>(all: readonly T[], text: string): T[] {
  const words = normalisedName(text).split(' ').filter(Boolean)
  if (words.length === 0) return []
  return all
    .flatMap((one) => {
      const worth = words.map((word) => worthOf(word, one))
      const isWhole = normalisedName(one.name) === normalisedName(text)
      return worth.every((n) => n > 0)
        ? [{ one, worth: worth.reduce((a, b) => a + b, isWhole ? WORTH.number : 0) }]
        : []
    })
    .sort((a, b) => b.worth - a.worth)
    .map(({ one }) => one)
}
