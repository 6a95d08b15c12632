/** What something new could be called, by what it holds. */
import { group } from 'd3-array'
import { nextName } from '../show/freeNames'
import type { FixtureId } from '../show/ids'
import { normalisedName } from '../show/names'
import { entity, type Show } from '../show/show'
import type { Value } from '../show/values'
import type { Shelf } from '../attributes/families'
import { groupsInOrder } from './groups'

interface Held {
  readonly fixture: FixtureId
  readonly value: Value
}

/**
 * A name for a palette of such values: that of the one target they are aimed at, else of the group that
 * has just these fixtures; with a number behind it where a palette of the shelf has it already. Empty
 * where nothing offers itself.
 */
export function suggestedPaletteName(show: Show, shelf: Shelf, values: readonly Held[]): string {
  const name = targetName(show, values) ?? groupName(show, new Set(values.map(({ fixture }) => fixture)))
  if (name === null) return ''
  const taken = [...show.all.palette.values()]
    .filter((palette) => palette.shelf === shelf)
    .map((palette) => palette.name)
  return taken.some((other) => normalisedName(other) === normalisedName(name)) ? nextName(name, taken) : name
}

function targetName(show: Show, values: readonly Held[]): string | null {
  const aims = values.flatMap(({ value }) => (value.kind === 'aim' ? [value.target] : []))
  const [[target] = [], more] = [...group(aims, (id) => id)]
  return target && more === undefined ? entity(show, 'target', target).name : null
}

function groupName(show: Show, fixtures: ReadonlySet<FixtureId>): string | null {
  const found = groupsInOrder(show).find(
    ({ members }) => members.length === fixtures.size && members.every((id) => fixtures.has(id)),
  )
  return fixtures.size > 0 && found ? found.group.name : null
}
