/** What is told to controls of a change: where lists and faders stand, what was recalled, where light was put. */
import { pictureOf, stageLookup } from '../cues/onStage'
import { LEADING } from '../attributes/catalogue'
import { registerParts, type ChangeSet } from '../show/changes'
import type { PersonId } from '../show/ids'
import { rigOf } from '../show/rig'
import type { Show } from '../show/show'
import { addressPart, type OscMessage } from './message'

/** Of one change so many fixtures are told at most. */
const MOST_FIXTURES = 32

/** Messages about a change, with the show as it left it; of hands only that of `person`. */
export function toldOf(show: Show, changes: ChangeSet, person: PersonId | null): OscMessage[] {
  const touched = changes.map(({ register }) => registerParts(register))
  const messages = [
    ...touched.flatMap(({ kind, id, field }) => (kind === 'cueList' ? listTold(show, id, field) : [])),
    ...touched.flatMap(({ kind, id, field }) => (kind === 'output' && field === 'level' ? outputTold(show, id) : [])),
  ]
  const held = touched.flatMap(({ kind, id }) => {
    const value = kind === 'handValue' ? show.all.handValue.get(id) : undefined
    return value && value.person === person ? [value] : []
  })
  return [...messages, ...recalledTold(show, held), ...(person ? placesTold(show, held, person) : [])]
}

type Held = NonNullable<ReturnType<Show['all']['handValue']['get']>>

function listTold(show: Show, id: string, field: string): OscMessage[] {
  const list = show.all.cueList.get(id)
  if (!list) return []
  const address = `/list/${list.number}`
  if (field === 'onStage') {
    const cue = list.onStage === null ? undefined : show.all.cue.get(list.onStage)
    return [{ address: `${address}/cue`, args: cue ? [cue.number, cue.name] : [] }]
  }
  if (field === 'pausedAt') return [{ address: `${address}/paused`, args: [list.pausedAt !== null] }]
  if (field !== 'level') return []
  return withLearnt(show, { address: `${address}/master`, args: [list.level] }, (one) => one.list === id)
}

function outputTold(show: Show, id: string): OscMessage[] {
  const output = show.all.output.get(id)
  if (!output) return []
  const told = { address: `/output/${addressPart(output.name)}/master`, args: [output.level] }
  return withLearnt(show, told, (one) => one.output === id)
}

/** A fader is told where it is by its own address too, so that one with a motor follows. */
function withLearnt(show: Show, told: OscMessage, isItsOwn: (one: Bound) => boolean): OscMessage[] {
  const own = [...show.all.controlBinding.values()].filter((one) => one.does.endsWith('master') && isItsOwn(one))
  return [told, ...own.map(({ address }) => ({ ...told, address }))]
}
type Bound = NonNullable<ReturnType<Show['all']['controlBinding']['get']>>

function recalledTold(show: Show, held: readonly Held[]): OscMessage[] {
  const fixturesOf = new Map<number, Set<string>>()
  for (const { fixture, value } of held) {
    const number = value.kind === 'link' ? show.all.palette.get(value.palette)?.number : undefined
    if (number !== undefined) fixturesOf.set(number, (fixturesOf.get(number) ?? new Set()).add(fixture))
  }
  return [...fixturesOf].map(([number, { size }]) => ({ address: `/palette/${number}/recalled`, args: [size] }))
}

/** Where the lights of fixtures are whose places were changed, metres in the stage frame. */
function placesTold(show: Show, held: readonly Held[], person: PersonId): OscMessage[] {
  const placed = held.filter(({ attribute }) => attribute === LEADING.place).slice(0, MOST_FIXTURES)
  const lookup = stageLookup(show, person)
  return placed.flatMap(({ fixture }) => {
    const rigged = rigOf(show).get(fixture)
    const point = rigged && pictureOf(show, rigged, lookup).position.point
    return point ? [{ address: `/fixture/${rigged.fixture.number}/place`, args: [point.x, point.y, point.z] }] : []
  })
}
