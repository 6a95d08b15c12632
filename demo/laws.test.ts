import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { runCommand, type CommandName } from '#core/commands/registry'
import { listsInOrder, stateAt } from '#core/cues/tracking'
import { HOME } from '#core/kinematics/head'
import { paletteValueFor, palettesInOrder, resolveValue } from '#core/palettes/resolve'
import { solvePosition } from '#core/palettes/solve'
import { effectsOf } from '#core/refocus/effects'
import { applyChanges } from '#core/show/changes'
import { KINDS } from '#core/show/kinds'
import { commandId, personId } from '#core/show/ids'
import { danglingReferences } from '#core/show/references'
import { rigOf } from '#core/show/rig'
import type { Show } from '#core/show/show'
import { targetsOf } from '#core/show/targets'
import type { Value } from '#core/show/values'
import { PLAIN_TIMES } from '../tests/support/smallShow'
import { buildSaltLantern } from './saltLantern'
import { stageOf } from '#core/venue/stage'

const show = buildSaltLantern('laws')
const person = personId.parse('demo')
const metre = fc.integer({ min: -80, max: 120 }).map((n) => n / 10)
const point = fc.record({ x: metre, y: metre, z: fc.integer({ min: 0, max: 90 }).map((n) => n / 10) })
const oneOf = (keys: Iterable<string>) => fc.constantFrom(...keys)

type Request = { readonly name: CommandName; readonly input: object }
const request =
  (name: CommandName) =>
  (input: object): Request => ({ name, input })
const stageChange: fc.Arbitrary<Request> = fc.oneof(
  fc.record({ target: oneOf(targetsOf(show).keys()), position: point }).map(request('moveTarget')),
  fc.record({ hang: oneOf(show.all.hang.keys()), origin: point }).map(request('moveHang')),
  fc
    .record({ setPiece: oneOf(show.all.setPiece.keys()), position: point, yaw: fc.integer({ min: -180, max: 180 }) })
    .map(request('moveSetPiece')),
  oneOf(show.all.venue.keys()).map((id) => request('switchVenue')({ venue: id })),
)
const fixtures = fc.uniqueArray(oneOf(show.all.fixture.keys()), { minLength: 1, maxLength: 6 })
const small = fc.integer({ min: -40, max: 40 }).map((n) => n / 10)
/** What the Rig room does, taking things out not least. */
const rigChange: fc.Arbitrary<Request> = fc.oneof(
  fixtures.map((chosen) => request('deleteFixtures')({ fixtures: chosen })),
  fc
    .record({ hang: oneOf(show.all.hang.keys()), to: oneOf(show.all.hang.keys()), moves: fc.boolean() })
    .map(({ hang, to, moves }) =>
      request('deleteHang')({ hang, fixtures: moves ? { kind: 'move', to } : { kind: 'delete' } }),
    ),
  fc
    .record({ target: oneOf(show.all.target.keys()), aims: fc.constant('keep the place') })
    .map(request('deleteTarget')),
  fc.record({ setPiece: oneOf(show.all.setPiece.keys()) }).map(request('deleteSetPiece')),
  fc
    .record({ type: oneOf(show.all.fixtureType.keys()), fixtures: fc.constant({ kind: 'leave without' }) })
    .map(request('deleteType')),
  fc
    .record({ fixture: oneOf(show.all.fixture.keys()), type: oneOf(show.all.fixtureType.keys()), along: small })
    .map((change) => request('changeFixtures')({ changes: [change] })),
  fc
    .record({
      hang: oneOf(show.all.hang.keys()),
      name: fc.constantFrom('Bar 7', 'Bar 8'),
      numberFrom: fc.constant(700),
    })
    .map(request('mirrorHang')),
  fc
    .record({ target: oneOf(show.all.target.keys()), setPiece: fc.option(oneOf(show.all.setPiece.keys())) })
    .map(request('changeTarget')),
)
const anyRequest: fc.Arbitrary<Request> = fc.oneof(
  stageChange,
  fc
    .record({ fixtures, target: oneOf(show.all.target.keys()), offset: point, along: fc.constant(null) })
    .map(request('aimAtTarget')),
  fc.record({ fixtures, palette: oneOf(show.all.palette.keys()) }).map(request('recallPalette')),
  fc.record({ fixtures, by: point }).map(request('nudgeAim')),
  rigChange,
  fc
    .record({
      number: fc.integer({ min: 1, max: 120 }),
      name: fc.constant('Any'),
      colour: fc.constant('kelp'),
      shelf: fc.constantFrom('position', 'focus', 'combined'),
    })
    .map(request('recordPalette')),
  fc
    .record({ list: oneOf(show.all.cueList.keys()), number: fc.integer({ min: 1, max: 60 }) })
    .map((input) => request('recordCue')({ ...input, name: '', ...PLAIN_TIMES })),
)

let commands = 0
function carriedOut(before: Show, { name, input }: Request): Show {
  const outcome = runCommand(before, name, input, commandId.parse(`law${++commands}`), { person, now: 0 })
  return outcome.ok ? outcome.after() : before
}

/** The pose and place of a stored value, worked out the slow way, or null where it gives none. */
function light(of: Show, fixture: string, value: Value): string | null {
  const rigged = [...rigOf(of).values()].find((r) => r.id === fixture)
  const plain = rigged && resolveValue(of, rigged, 'position', value).value
  if (!rigged || !plain) return null
  const { pose, point: at, state } = solvePosition(rigged.mount, stageOf(of), plain, HOME)
  const round = (n: number | undefined) => (n === undefined ? 'none' : (Math.round(n * 1e4) / 1e4 + 0).toFixed(3))
  return [state, round(pose.pan), round(pose.tilt), round(at?.x), round(at?.y), round(at?.z)].join(' ')
}

describe('for any change of the stage', () => {
  it('the effects told are those a slow comparison of every palette and cue finds', () => {
    fc.assert(
      fc.property(stageChange, (change) => {
        const after = carriedOut(show, change)
        const effects = effectsOf(show, after)
        const stays = (value: Value, fixture: string) => {
          const rigged = [...rigOf(show).values()].find((r) => r.id === fixture)
          return rigged ? resolveValue(show, rigged, 'position', value).value?.kind === 'angles' : true
        }
        const follows = (fixture: string, value: Value) =>
          !stays(value, fixture) && light(show, fixture, value) !== light(after, fixture, value)
        const palettes = palettesInOrder(show).filter(({ id }) =>
          [...rigOf(show).values()].some((rigged) => {
            const value = paletteValueFor(show, id, rigged, 'position')
            return value !== null && follows(rigged.id, value)
          }),
        )
        expect(effects.palettes.map((p) => p.palette)).toEqual(palettes.map((p) => p.id))
        const cues = listsInOrder(show).flatMap((list) =>
          list.cues.filter(({ id }) =>
            [...stateAt(show, list, id).values()].some(
              (v) => v.attribute === 'position' && v.value.kind !== 'rest' && follows(v.fixture, v.value),
            ),
          ),
        )
        expect(effects.cues.map((c) => c.cue)).toEqual(cues.map((c) => c.id))
      }),
      { numRuns: 40 },
    )
  })
})

describe('for any commands, in any order', () => {
  it('the show stays sound: nothing points at nothing, numbers stand once, every hang has a place', () => {
    fc.assert(
      fc.property(fc.array(anyRequest, { maxLength: 25 }), (requests) => {
        const after = requests.reduce(carriedOut, show)
        expect(danglingReferences(after)).toEqual([])
        const numbers = [...after.all.palette.values()].map((p) => p.number)
        expect(new Set(numbers).size).toBe(numbers.length)
        // A hang added while another venue is played has its place there, and none at home.
        const placed = new Set<string>([...after.all.hangPlace.values()].map((place) => place.hang))
        expect([...after.all.hang.keys()].filter((id) => !placed.has(id))).toEqual([])
        for (const { mode, type } of after.all.fixture.values())
          expect(mode === null || after.all.fixtureMode.get(mode)?.type === type).toBe(true)
      }),
      { numRuns: 60 },
    )
  })

  it('the same command gives the same ids wherever it runs', () => {
    fc.assert(
      fc.property(anyRequest, ({ name, input }) => {
        const id = commandId.parse('same')
        const run = () => {
          const outcome = runCommand(show, name, input, id, { person, now: 5000 })
          return outcome.ok ? outcome.changes : outcome.refusal
        }
        expect(run()).toEqual(run())
      }),
      { numRuns: 60 },
    )
  })

  it('the show a command leaves is the one its changes make of the show before', () => {
    fc.assert(
      fc.property(fc.array(anyRequest, { maxLength: 3 }), anyRequest, (requests, { name, input }) => {
        const before = requests.reduce(carriedOut, show)
        const outcome = runCommand(before, name, input, commandId.parse('last'), { person, now: 0 })
        if (!outcome.ok) return
        const after = applyChanges(before, outcome.changes)
        for (const kind of KINDS) expect(outcome.after().all[kind]).toEqual(after.all[kind])
      }),
      { numRuns: 60 },
    )
  })
})
