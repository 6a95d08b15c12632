/**
 * Parts a palette by groups: each group's fixtures get a palette of their own, and cues that used
 * the whole for them use that. What belongs to no group stays.
 */
import { paletteValueId } from '../../show/compositeIds'
import { z } from 'zod'
import { attributesServed, storedFor, servedByValue } from '../../palettes/resolve'
import { forgetRecorded, noteRecorded, recordedWith } from '../../palettes/recorded'
import { removeWithDependents } from '../../show/cascade'
import { putTouchUp, removeTouchUp, touchUpsOf } from '../../palettes/touchUps'
import { Draft } from '../../show/draft'
import { groupId, paletteId, type FixtureId, type PaletteId } from '../../show/ids'
import { membersOf, typedFixtures } from '../../show/rig'
import { showRecordOf, type Show } from '../../show/show'
import { command, done, refuse } from '../command'
import { freeNumbers } from '../../show/freeNumbers'
import { gone } from '../shared/refusals'
import { counted } from '../../show/counted'

export const splitPalette = command({
  input: z.strictObject({ palette: paletteId, groups: z.array(groupId).min(1) }),
  undoable: true,
  run(show, { palette, groups }, { newId }) {
    const known = show.all.palette.get(palette)
    if (!known) return gone('palette', 'palette')
    const numbers = freeNumbers(show.all.palette.values(), known.number + 1, groups.length)
    const draft = new Draft(show)
    const moved = new Map<FixtureId, PaletteId>()
    for (const [i, group] of groups.entries()) {
      const id = paletteId.parse(newId())
      const members = (membersOf(show).get(group) ?? []).flatMap((fixture) => typedFixtures(show).get(fixture) ?? [])
      const served = members.filter(
        (rigged) => !moved.has(rigged.id) && attributesServed(show, palette, rigged).length > 0,
      )
      if (served.length === 0) continue
      draft.put('palette', id, {
        ...known,
        number: numbers[i] ?? known.number,
        name: `${known.name}, ${show.all.group.get(group)?.name ?? ''}`.slice(0, 120),
      })
      for (const rigged of served) {
        moved.set(rigged.id, id)
        if (recordedWith(show, palette).has(rigged.id)) noteRecorded(draft, id, [rigged.id])
        for (const touchUp of touchUpsOf(show, palette, rigged.id)) {
          putTouchUp(draft, { ...touchUp, palette: id })
          removeTouchUp(draft, touchUp)
        }
        for (const attribute of attributesServed(show, palette, rigged)) {
          const value = storedFor(show, palette, rigged, attribute)?.value
          if (!value) continue
          const of = { fixture: rigged.id, fixtureType: null, attribute, value }
          draft.put('paletteValue', paletteValueId(id, attribute, { own: rigged.id }), { palette: id, ...of })
          draft.remove('paletteValue', paletteValueId(palette, attribute, { own: rigged.id }))
        }
      }
    }
    if (moved.size === 0) return refuse('serves no group', { name: known.name }, 'groups')
    forgetRecorded(show, draft, palette, (fixture) => moved.has(fixture))
    redirect(show, draft, palette, moved)
    if (isEmptied(draft, palette)) removeWithDependents(draft, 'palette', [palette])
    const made = new Set(moved.values()).size
    return done(draft, `split ${known.name} into ${counted(made, 'palette')}`)
  },
})

/** Links to the whole go to the part that now holds it, wherever they stand. */
function redirect(show: Show, draft: Draft, palette: PaletteId, moved: ReadonlyMap<FixtureId, PaletteId>) {
  for (const kind of ['cueValue', 'handValue'] as const)
    for (const [id, held] of show.all[kind]) {
      const to = held.value.kind === 'link' && held.value.palette === palette ? moved.get(held.fixture) : undefined
      if (to) draft.put(kind, id, { ...held, value: { kind: 'link', palette: to } })
    }
  for (const stored of show.all.paletteValue.values()) {
    if (stored.value.kind !== 'link' || stored.value.palette !== palette) continue
    for (const { id: fixture } of servedByValue(show, stored)) {
      const to = moved.get(fixture)
      const id = paletteValueId(stored.palette, stored.attribute, { own: fixture })
      if (to)
        draft.put('paletteValue', id, { ...stored, fixture, fixtureType: null, value: { kind: 'link', palette: to } })
    }
  }
}

/** Nothing is left in the palette, and nothing leans on it. */
function isEmptied(draft: Draft, palette: PaletteId): boolean {
  const { all } = draft.result()
  const isHere = (kind: 'cueValue' | 'handValue' | 'paletteValue') =>
    [...all[kind].values()].some(({ value }) => value.kind === 'link' && value.palette === palette)
  const holds = [...all.paletteValue.values()].some((stored) => stored.palette === palette)
  const isNamed = [...all.person.values()].some(({ editing }) => editing === palette)
  const isSource = [...all.handValue.values(), ...all.cueValue.values()].some(({ source }) => source === palette)
  const { rest, highlight } = showRecordOf(draft.before)
  return (
    !holds &&
    !isNamed &&
    !isSource &&
    rest !== palette &&
    highlight !== palette &&
    !isHere('cueValue') &&
    !isHere('handValue') &&
    !isHere('paletteValue')
  )
}
