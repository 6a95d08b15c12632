/** What undo did, left, or may not do, in words. */
import type { ChangeGroup } from '#core/journal/history'
import type { ToggleStep } from '#core/journal/toggle'
import type { Kept, ToggleRefusal } from '#core/journal/undo'
import { registerParts, type ChangeSet } from '#core/show/changes'
import type { Show } from '#core/show/show'
import { unsoundInWords, personInWords, thingInWords, touchedInWords } from './thingWording'
import { plural } from '#core/show/counted'

export type Direction = 'undo' | 'redo'

const CANNOT: Readonly<Record<Direction, string>> = {
  undo: 'cannot be taken back',
  redo: 'cannot be done again',
}

export function toggleRefusalInWords(
  show: Show,
  direction: Direction,
  group: ChangeGroup,
  { refusal, anyway }: Extract<ToggleStep, { kind: 'refused' }>,
): string {
  if (refusal.code === 'unknown') return 'This step is no longer known.'
  const why = refusal.code === 'built on' ? builtOnInWords(show, refusal) : unsoundInWords(show, refusal.fault)
  const along = anyway ? touchedInWords(anyway.along) : ''
  const price = along ? ` All the same would also change ${along}.` : ''
  return `“${group.label}” ${CANNOT[direction]}: ${why}.${price}`
}

function builtOnInWords(show: Show, { register, by }: Extract<ToggleRefusal, { code: 'built on' }>): string {
  const { kind, id } = registerParts(register)
  return `${personInWords(show, by)} has since changed ${thingInWords(show, kind, id)}`
}

const DONE: Readonly<Record<Direction, string>> = { undo: 'Undone', redo: 'Redone' }

/** Says what was done, and what stayed because someone set it later or took it out. */
export function toggledInWords(
  show: Show,
  direction: Direction,
  group: ChangeGroup,
  kept: readonly Kept[],
  written: number,
): string {
  const others = kept.filter(({ by, isGone }) => isGone || by !== group.person)
  const who = [...new Set(others.map(({ by }) => personInWords(show, by)))].join(' and ')
  if (written === 0 && others.some(({ isGone }) => isGone))
    return `${DONE[direction]}, but nothing changed: ${who} took out what “${group.label}” was about.`
  if (written === 0 && others.length > 0)
    return `${DONE[direction]}, but nothing changed: ${who} has set all of it since.`
  const stays = others.length === 1 ? 'One value stays' : `${others.length} values stay`
  const staying = others.length > 0 ? ` ${stays} as ${who} left ${plural(others.length, 'it', 'them')}.` : ''
  return `${DONE[direction]}: ${group.label}.${staying}`
}

/** Says what was done all the same, and what went along with it. */
export function anywayInWords(direction: Direction, { label }: ChangeGroup, along: ChangeSet): string {
  const words = touchedInWords(along)
  return `${DONE[direction]} all the same: ${label}.${words ? ` Changed along with it: ${words}.` : ''}`
}

/** Said of a step of which nothing can be done any more. */
export function leftInWords(direction: Direction, { label }: ChangeGroup): string {
  return `“${label}” is left as it is: beside what was done since, nothing of it can be ${direction === 'undo' ? 'taken back' : 'done again'}.`
}
