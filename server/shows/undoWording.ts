/** What undo did, left, or may not do, in words. */
import type { ChangeGroup } from '#core/journal/journalIndex'
import type { Kept, ToggleRefusal } from '#core/journal/undo'
import { partsOf } from '#core/show/changes'
import type { PersonId } from '#core/show/ids'
import type { Kind } from '#core/show/entities'
import type { Show } from '#core/show/show'
import type { Clash } from '#core/show/uniqueness'

function nameOf(show: Show, person: PersonId | undefined): string {
  return (person && show.all.person.get(person)?.name) ?? 'someone else'
}

/** Names a thing as a person would: its own name or number, else its kind. */
function thingInWords(show: Show, kind: string, id: string): string {
  if (kind === 'cueValue') {
    const cue = show.all.cue.get(show.all.cueValue.get(id)?.cue ?? '')
    return cue ? `cue ${cue.number}` : 'a cue'
  }
  if (kind === 'handValue') return `what ${nameOf(show, show.all.handValue.get(id)?.person)} has in hand`
  if (kind === 'cue') return `cue ${show.all.cue.get(id)?.number ?? ''}`
  if (kind === 'palette') return `the palette ${show.all.palette.get(id)?.name ?? ''}`
  return `a ${kind}`
}

/** "There is another palette with the number 9." */
export function clashInWords({ kind, field, value }: Clash): string {
  return `There is another ${KIND_IN_WORDS[kind] ?? kind} with the ${field} ${value}.`
}

const KIND_IN_WORDS: Readonly<Partial<Record<Kind, string>>> = {
  fixtureType: 'fixture type',
  setPiece: 'set piece',
  cueList: 'cue list',
}

export function toggleRefusalInWords(show: Show, group: ChangeGroup, refusal: ToggleRefusal): string {
  if (refusal.code === 'unknown') return 'This step is no longer known.'
  if (refusal.code === 'built on') {
    const { kind, id } = partsOf(refusal.register)
    return `“${group.label}” cannot be taken back: ${nameOf(show, refusal.by)} has since changed ${thingInWords(show, kind, id)}.`
  }
  if (refusal.code === 'clashes') return `“${group.label}” cannot be done again: ${clashInWords(refusal.clash)}`
  return `“${group.label}” cannot be taken back: ${thingInWords(show, refusal.kind, refusal.id)} leans on it.`
}

/** Says what stayed because someone set it later; null when nothing did. */
export function keptInWords(
  show: Show,
  kind: 'undo' | 'redo',
  group: ChangeGroup,
  kept: readonly Kept[],
  written: number,
): string | null {
  const others = kept.filter(({ by }) => by !== group.person)
  if (others.length === 0) return null
  const who = [...new Set(others.map(({ by }) => nameOf(show, by)))].join(' and ')
  const done = kind === 'undo' ? 'Undone' : 'Redone'
  if (written === 0) return `${done}, but nothing changed: ${who} has set all of it since.`
  return `${done}: ${group.label}. ${others.length === 1 ? 'One value stays' : `${others.length} values stay`} as ${who} set ${others.length === 1 ? 'it' : 'them'}.`
}
