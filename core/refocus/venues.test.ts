import { beforeEach, describe, expect, it } from 'vitest'
import { richDesk, venueNamed } from '../../tests/support/richShow'
import type { Desk } from '../../tests/support/smallShow'
import { timelineOf, placeOfCue, stateAt } from '../cues/tracking'
import { distance, vec3, type Vec3 } from '../geometry/vector'
import { HOME } from '../kinematics/head'
import { resolveValue } from '../palettes/resolve'
import { solvePosition } from '../palettes/solve'
import { rigOf } from '../show/rig'
import type { Show } from '../show/show'
import { targetsOf } from '../show/targets'
import { givenBy } from '../show/values'
import { absentInWords } from './absent'
import { effectsOf } from './effects'
import { effectsInWords } from './words'
import { stageOf } from '../venue/stage'

let desk: Desk
beforeEach(() => {
  desk = richDesk()
})

/** A show as it plays in a venue. */
function playing(show: Show, venue: string): Show {
  const record = show.all.show.get(show.id)
  if (!record) throw new Error('no show')
  return {
    id: show.id,
    all: { ...show.all, show: new Map([[show.id, { ...record, venue: venueNamed(show, venue) }]]) },
  }
}

/** Where the light of every fixture falls in every cue, in a venue. */
function places(show: Show, venue: string): Map<string, Vec3> {
  const there = playing(show, venue)
  const found = new Map<string, Vec3>()
  for (const cue of there.all.cue.keys()) {
    const place = placeOfCue(there, cue)
    if (!place) continue
    for (const stored of stateAt(there, place.list, place.list.cues[place.at]?.id ?? raise()).values()) {
      const rigged = rigOf(there).get(stored.fixture)
      const value = stored.attribute === 'position' ? givenBy(stored) : null
      const plain = rigged && value ? resolveValue(there, rigged, 'position', value).value : null
      const point = rigged && plain ? solvePosition(rigged.mount, stageOf(there), plain, HOME).point : null
      if (point) found.set(`${cue} ${stored.fixture}`, point)
    }
  }
  return found
}

function raise(): never {
  throw new Error('no cue')
}

function expectSamePlaces(before: Map<string, Vec3>, after: Map<string, Vec3>, except = '-') {
  expect([...after.keys()]).toEqual([...before.keys()])
  for (const [key, place] of before)
    if (!key.includes(except))
      expect([key, distance(place, after.get(key) ?? vec3(99, 99, 99))]).toEqual([key, expect.closeTo(0, 6)])
}

const VENUES = ['Harbour Hall', 'Quarry']

describe('in every venue', () => {
  it('what was aimed at a target stays in its place when the target is deleted', () => {
    const before = VENUES.map((venue) => places(desk.show, venue))
    expect(before[0]?.size).toBeGreaterThan(5)
    desk.do('deleteTarget', { target: desk.choose.target('Bow'), aims: 'keep the place' })
    VENUES.forEach((venue, i) => expectSamePlaces(before[i] ?? new Map(), places(desk.show, venue)))
  })

  it('what is kept out of a moved target or a moved set piece stays in its place', () => {
    const kept = desk.choose.cue(1, 2)
    const keepOut = { fixtures: [], cues: [kept], families: [] }
    const ofKept = (show: Show, venue: string) =>
      new Map([...places(show, venue)].filter(([key]) => key.startsWith(`${kept} `)))
    const changes = [
      { name: 'moveTarget', input: { target: desk.choose.target('Bow'), position: vec3(-3, 5, 1) } },
      { name: 'moveSetPiece', input: { setPiece: desk.choose.setPiece('Dory'), position: vec3(2, 6, 0), yaw: 10 } },
    ]
    for (const change of changes) {
      const at = richDesk()
      const before = VENUES.map((venue) => ofKept(at.show, venue))
      at.do('keepingOut', { ...change, keepOut })
      VENUES.forEach((venue, i) => expectSamePlaces(before[i] ?? new Map(), ofKept(at.show, venue)))
    }
  })

  it('what is kept out of a change of venue stays where it was at home, there and at home', () => {
    const kept = desk.choose.cue(1, 2)
    const ofKept = (venue: string) =>
      new Map([...places(desk.show, venue)].filter(([key]) => key.startsWith(`${kept} `)))
    const before = ofKept('Harbour Hall')
    const input = { venue: venueNamed(desk.show, 'Quarry') }
    desk.do('keepingOut', { name: 'switchVenue', input, keepOut: { fixtures: [], cues: [kept], families: [] } })
    for (const venue of VENUES) expectSamePlaces(before, ofKept(venue))
  })

  it('what is kept out of an update keeps its target, and follows it', () => {
    desk.recall('11', 1)
    desk.do('nudgeAim', { fixtures: desk.fixtures('11'), by: vec3(0.5, 0, 0) })
    const kept = desk.choose.cue(1, 2)
    desk.do('keepingOut', {
      name: 'updatePalettes',
      input: { palettes: null },
      keepOut: { fixtures: [], cues: [kept], families: [] },
    })
    const points = timelineOf(desk.show, desk.choose.list(1)).get(`${desk.fixture(11)} position`) ?? []
    const held = points.find(({ stored }) => stored.cue === kept)?.stored
    expect(held).toMatchObject({ mark: 'held', value: { kind: 'aim', target: desk.choose.target('Bow') } })
  })

  it('a target stays where it is when it is freed of its set piece', () => {
    const bow = desk.choose.target('Bow')
    const stood = VENUES.map((venue) => targetsOf(playing(desk.show, venue)).get(bow)?.position)
    desk.do('changeTarget', { target: bow, setPiece: null })
    expect(VENUES.map((venue) => targetsOf(playing(desk.show, venue)).get(bow)?.position)).toEqual(stood)
  })
})

describe('a change of venue', () => {
  it('says which fixtures do not hang there, and what plays without them', () => {
    const home = venueNamed(desk.show, 'Harbour Hall')
    desk.do('switchVenue', { venue: venueNamed(desk.show, 'Quarry') })
    const outcome = desk.attempt('switchVenue', { venue: home })
    if (!outcome.ok) throw new Error('refused')
    expect(outcome.label).toBe('play at Harbour Hall without 61, not hung there')
    const effects = effectsOf(desk.show, outcome.after())
    expect(absentInWords(desk.show, effects.absent)).toBe('61 (1 palette)')
    expect(effectsInWords(effects)).toContain('1 fixture does not hang there')
  })
})
