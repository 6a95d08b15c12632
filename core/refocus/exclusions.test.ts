import { expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import type { CommandInput } from '../commands/registry'
import { pictureOf } from '../cues/onStage'
import { placeOfCue, stateAt } from '../cues/tracking'
import { entity } from '../show/show'
import { givenBy } from '../show/values'
import { rigOf } from '../show/rig'
import { effectsOf } from './effects'
import { looseLeftBehind } from './looseBehind'
import { looseValues, USUAL_LIMITS } from './looseValues'

/** 11 and 12 are on the bow in cues 1 to 4 (set in 1, carried on), and once more set in 4. */
function onTheBow(): Desk {
  const desk = new Desk()
  desk.aim('11, 12', 'Bow')
  desk.record(1, 'Bow')
  desk.cue(1)
  for (const number of [2, 3]) {
    desk.aim('13', number === 2 ? 'Mark' : 'Shore')
    desk.cue(number)
  }
  desk.recall('11, 12', 1)
  desk.cue(4)
  return desk
}

/** Where a fixture's light falls in cue 1, 2, 3 and 4, across the stage. */
function places(desk: Desk, fixture: number): number[] {
  return [1, 2, 3, 4].map((number) => {
    const cue = desk.choose.cue(1, number)
    const list = placeOfCue(desk.show, cue)?.list
    const rigged = rigOf(desk.show).get(desk.fixture(fixture))
    if (!list || !rigged) throw new Error('not on stage')
    const state = stateAt(desk.show, list, cue)
    const { point } = pictureOf(desk.show, rigged, (id, attribute) => givenBy(state.get(`${id} ${attribute}`))).position
    return Math.round((point?.x ?? Number.NaN) * 100) / 100
  })
}

function moveDory(desk: Desk, keepOut: Partial<CommandInput<'keepingOut'>['keepOut']>): string {
  const setPiece = desk.choose.setPiece('Dory')
  const { position } = [...desk.show.all.setPiecePlace.values()].find((place) => place.setPiece === setPiece) ?? {}
  return desk.do('keepingOut', {
    name: 'moveSetPiece',
    input: { setPiece, position: { ...position, x: (position?.x ?? 0) + 1 }, yaw: 90 },
    keepOut: { fixtures: [], cues: [], families: [], ...keepOut },
  })
}

it('holds fixtures as they were in every cue, marked, while the others follow', () => {
  const desk = onTheBow()
  const before = desk.show
  const [x = 0] = places(desk, 11)
  expect(moveDory(desk, { fixtures: desk.fixtures('11') })).toContain('2 values held as they were')
  expect(places(desk, 11)).toEqual([x, x, x, x])
  expect(places(desk, 12)).toEqual([x + 1, x + 1, x + 1, x + 1])
  const effects = effectsOf(before, desk.show)
  expect(effects.held.map(({ fixture, source }) => [fixture, source])).toEqual(
    Array(2).fill([desk.fixture(11), desk.choose.palette(1)]),
  )
})

it('holds a cue alone: the one after it, which only carried, follows again', () => {
  const desk = onTheBow()
  const before = desk.show
  const [x = 0] = places(desk, 11)
  moveDory(desk, { cues: [desk.choose.cue(1, 2)] })
  expect(places(desk, 11)).toEqual([x + 1, x, x + 1, x + 1])
  const following = effectsOf(before, desk.show).cues.map(({ cue }) => entity(desk.show, 'cue', cue).number)
  expect(following).toEqual([1, 3, 4])
})

it('lets what was held follow again', () => {
  const desk = onTheBow()
  const [x = 0] = places(desk, 11)
  moveDory(desk, { families: ['position'] })
  expect(places(desk, 12)).toEqual([x, x, x, x])
  const held = [...desk.show.all.cueValue.values()].filter(({ mark }) => mark === 'held')
  desk.do('followAgain', { values: held.map(({ cue, fixture, attribute }) => ({ cue, fixture, attribute })) })
  expect(places(desk, 12)).toEqual([x + 1, x + 1, x + 1, x + 1])
  const again = held.map(({ cue, fixture, attribute }) => ({ cue, fixture, attribute }))
  expect(desk.refused('followAgain', { values: again })).toContain('were not held')
})

it('keeps nothing out of what cannot be changed so, and refuses what the change itself refuses', () => {
  const desk = onTheBow()
  const keepOut = { fixtures: [], cues: [], families: [] }
  expect(desk.refused('keepingOut', { name: 'nothing', input: {}, keepOut })).toContain('Nothing can be kept out')
  const none = { name: 'moveTarget', input: { target: 'none', position: { x: 0, y: 0, z: 0 } }, keepOut }
  expect(desk.refused('keepingOut', none)).toContain('no place in this venue')
})

it('finds what was stored by hand beside a palette, and nothing that is not near', () => {
  const desk = new Desk()
  desk.aim('11', 'Bow')
  desk.level('11', 'zoom', 20)
  desk.record(1, 'Bow', 'focus')
  desk.do('clearHand', { families: ['position', 'beam'], fixtures: null })
  desk.aim('11', 'Bow', { x: 0.2, y: 0, z: 0 })
  desk.level('11', 'zoom', 21)
  desk.aim('12', 'Bow')
  desk.cue(1)
  desk.aim('11', 'Mark')
  desk.cue(2)
  const found = looseValues(desk.show, USUAL_LIMITS).map(({ cue, fixture, family, near }) => [
    entity(desk.show, 'cue', cue).number,
    entity(desk.show, 'fixture', fixture).number,
    family,
    near && [near.palette, Math.round(near.distance * 100) / 100, near.unit],
  ])
  const bow = desk.choose.palette(1)
  expect(found).toEqual([
    [1, 11, 'position', [bow, 0.2, 'metres']],
    [1, 11, 'beam', [bow, 1, 'degrees']],
    // The palette holds nothing for 12.
    [1, 12, 'position', null],
    [2, 11, 'position', null],
  ])
  const cue = desk.choose.cue(1, 1)
  const link = { cue, fixture: desk.fixture(11), attribute: 'position', palette: bow } as const
  expect(desk.do('linkLoose', { links: [link] })).toBe('link 1 value to Bow')
  expect(
    looseValues(desk.show, USUAL_LIMITS).some(({ stored }) =>
      stored.some((s) => s.attribute === 'position' && s.cue === cue && s.fixture === desk.fixture(11)),
    ),
  ).toBe(false)
  expect(desk.refused('linkLoose', { links: [{ ...link, fixture: desk.fixture(12) }] })).toContain('holds no position')
})

it('tells which loose values a moved palette leaves behind, and not those that go along or stand elsewhere', () => {
  const desk = new Desk()
  desk.aim('11, 12', 'Bow')
  desk.record(1, 'Bow')
  desk.do('clearHand', { families: ['position'], fixtures: null })
  // A free place beside the palette stays; a loose aim at the same target goes with it.
  const { point } = pictureOf(desk.show, rigOf(desk.show).get(desk.fixture(11)) ?? raise(), () => ({
    kind: 'link',
    palette: desk.choose.palette(1),
  })).position
  const place = point ?? raise()
  desk.do('aimAtTarget', {
    fixtures: desk.fixtures('11'),
    target: null,
    offset: { ...place, x: place.x + 0.1 },
    along: null,
  })
  desk.aim('12', 'Bow', { x: 0.2, y: 0, z: 0 })
  desk.cue(1)
  const before = desk.show
  moveDory(desk, {})
  const left = looseLeftBehind(before, desk.show, effectsOf(before, desk.show))
  expect(left.map(({ fixture, near }) => [fixture, near?.palette])).toEqual([
    [desk.fixture(11), desk.choose.palette(1)],
  ])
})

function raise(): never {
  throw new Error('not there')
}
