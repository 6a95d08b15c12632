/**
 * The small show with everything in it: two venues with different fixtures, palettes of all three
 * reaches, links, a spread, groups, two lists with blocked, held and loose values, and hands.
 */
import type { Show } from '#core/show/show'
import {
  asFixtureTypeId,
  asOutputId,
  asSightingId,
  asUnderlayId,
  asVenueId,
  type FixtureTypeId,
  type VenueId,
} from '#core/show/ids'
import { modesOf } from '#core/show/modes'
import { FAMILIES } from '#core/attributes/families'
import { vec3, type Vec3 } from '#core/geometry/vector'
import { harbourHall } from '#demo/stage'
import { Desk, PLAIN_TIMES } from './smallShow'

/** The id of a venue by its name. */
export function venueNamed(show: Show, name: string): VenueId {
  const found = [...show.all.venue].find(([, venue]) => venue.name === name)
  if (!found) throw new RangeError(`no venue is called ${name}`)
  return asVenueId(found[0])
}

const STRAIGHT = { out: 0, drop: 0, yaw: 0, pitch: 0, roll: 0 }

export function richDesk(): Desk {
  const desk = new Desk()
  addQuarry(desk)
  desk.do('setTake', { family: 'colour', take: true })
  desk.do('setTake', { family: 'intensity', take: true })
  addStrand(desk)
  addPalettes(desk)
  addCues(desk)
  beginPass(desk)
  addOutputs(desk)
  addSurvey(desk)
  addPrints(desk)
  keepFiles(desk)
  addOutside(desk)
  desk.recall('11,41', 1)
  desk.aim('12', 'Shore')
  desk.level('71.3-5', 'intensity', 0.4)
  return desk
}

/** A bar of cells, some of which have levels and colours of their own. */
function addStrand(desk: Desk): void {
  const [type] = [...desk.show.all.fixtureType].find(([, { name }]) => name === 'Strand') ?? []
  const hung = { hang: desk.choose.hang('Boom'), count: 1, gap: null, middle: -1, numberFrom: 71, ...STRAIGHT }
  desk.ask('placeFixtures', { ...hung, type, mode: null })
  desk.do('patchFixtures', { fixtures: desk.fixtures('71'), universe: 2, address: 1, gap: 0, apart: 'never' })
  measureLight(desk, asFixtureTypeId(type ?? ''))
}

/** What a type gives was measured: lopsided, and not brightest on its axis. */
function measureLight(desk: Desk, type: FixtureTypeId): void {
  const stored = desk.show.all.fixtureType.get(type)
  if (!stored) throw new Error('the small show is not what it was')
  const parts = [0.9, 1, 0.5, 0]
  const measured = { planes: [0, 90, 180], off: [0, 10, 20, 40], parts: [parts, parts.map((part) => part / 2), parts] }
  desk.do('changeType', {
    type,
    ...stored,
    optics: stored.optics.map((row, i) => (i === 0 ? { ...row, measured } : row)),
    modes: modesOf(desk.show, type).map(({ id, mode: { name, channels } }) => ({ id, name, channels: [...channels] })),
  })
}

/** A second venue, where 61 hangs besides, which is at home in none. */
function addQuarry(desk: Desk): void {
  const home = desk.show.all.show.get(desk.show.id)?.venue
  desk.do('addVenue', { ...harbourHall, name: 'Quarry' })
  desk.do('switchVenue', { venue: venueNamed(desk.show, 'Quarry') })
  const type = desk.show.all.fixture.get(desk.fixture(11))?.type
  if (!home || !type) throw new Error('the small show is not what it was')
  desk.do('placeFixtures', {
    hang: desk.choose.hang('Bar'),
    type,
    mode: null,
    count: 1,
    gap: null,
    middle: 0,
    numberFrom: 61,
    ...STRAIGHT,
  })
  const spare = { hang: desk.choose.hang('Bar'), type, mode: null, count: 1, gap: null, ...STRAIGHT }
  desk.do('placeFixtures', { ...spare, middle: 1.5, numberFrom: 62 })
  const venue = venueNamed(desk.show, 'Quarry')
  const plays = { kind: 'fixture', id: desk.fixture(14), what: 'on', venue, value: 'by 62' } as const
  desk.do('setInVenues', { cells: [plays] })
  desk.do('changeVenue', { venue, note: 'Get-in at noon', date: '2031-05-02' })
  desk.do('moveHang', { hang: desk.choose.hang('Bar'), origin: vec3(0, 0.5, 6.2) })
  desk.do('moveSetPiece', { setPiece: desk.choose.setPiece('Dory'), position: vec3(-1, 4, 0), yaw: 60 })
  desk.aim('61', 'Bow')
  desk.level('61', 'zoom', 14)
  desk.do('switchVenue', { venue: home })
}

function record(
  desk: Desk,
  number: number,
  name: string,
  shelf: 'position' | 'focus' | 'beam' | 'colour' | 'combined',
  reach: 'own' | 'kind' | 'any' | 'usual',
) {
  desk.do('recordPalette', { number, name, shelf, colour: 'brass', reach })
}

function addPalettes(desk: Desk): void {
  record(desk, 61, 'Only at the Quarry', 'focus', 'own')
  desk.do('clearHand', { fixtures: null, families: [...FAMILIES] })
  desk.aim('11,12,41', 'Bow')
  record(desk, 1, 'Bow', 'position', 'any')
  desk.aim('11,12', 'Mark', vec3(0.4, 0, 0))
  record(desk, 2, 'Mark', 'position', 'own')
  desk.level('11,12', 'zoom', 12)
  record(desk, 3, 'Narrow', 'beam', 'kind')
  desk.look('41', '#66d9a8')
  desk.look('71.1-4', '#3366ff')
  desk.look('71.5-8', '#ff8844')
  desk.do('importSwatches', { list: 'Glass', swatches: [{ name: 'Sea', x: 0.2, y: 0.35, level: 0.6 }] })
  record(desk, 4, 'Dim red', 'colour', 'usual')
  desk.recall('11,12', 1)
  desk.recall('11,12', 3)
  record(desk, 5, 'Look', 'combined', 'own')
  touchUpInBoth(desk)
  desk.do('recordGroup', { number: 1, name: 'Bar', fixtures: desk.fixtures('11-14') })
  desk.do('makePalettesFromTargets', {
    targets: [desk.choose.target('Mark')],
    groups: [],
    shelf: 'position',
    pool: null,
    numberFrom: 7,
  })
  desk.do('spreadPalette', {
    palette: desk.choose.palette(2),
    group: [...desk.show.all.groupMember.values()][0]?.group ?? raise(),
    target: desk.choose.target('Shore'),
    lay: 'parallel',
  })
}

/** Some of what palettes give is touched up at home, some at the other venue, some in both. */
function touchUpInBoth(desk: Desk): void {
  const touchUp = (number: number, fixtures: string, metres: Vec3) =>
    desk.do('touchUp', { palette: desk.choose.palette(number), fixtures: desk.fixtures(fixtures), by: { metres } })
  const home = desk.show.all.show.get(desk.show.id)?.venue ?? raise()
  touchUp(1, '11,41', vec3(0.12, -0.05, 0))
  desk.do('switchVenue', { venue: venueNamed(desk.show, 'Quarry') })
  touchUp(1, '11', vec3(-0.2, 0, 0.03))
  touchUp(2, '12', vec3(0, 0.07, 0))
  desk.do('switchVenue', { venue: home })
}

/** Goes out both ways: one on, at half, the other off. */
function addOutputs(desk: Desk): void {
  const plain = { first: 1, last: 4, from: '127.0.0.1', priority: 100, sync: null, sourceName: 'Rhopander' }
  desk.do('addOutput', { ...plain, name: 'House', protocol: 'E1.31', sentAs: 11, addresses: [] })
  desk.do('addOutput', { ...plain, name: 'Truss', protocol: 'Art-Net', sentAs: 0, addresses: ['10.0.0.7'], sync: 1 })
  const [house] = [...desk.show.all.output.keys()].map(asOutputId)
  desk.do('changeOutput', { output: house ?? raise(), isOn: true, level: 0.5 })
}

/** What is in the file the rich show keeps, and how records speak of it. */
export const KEPT_FILE = new TextEncoder().encode('kept')
export const KEPT = {
  name: 'quay.mvr',
  digest: '79f076abdd19a752db7267bfff2f9022161d120dea919fdaca2ffdfc24ca8c96',
  size: KEPT_FILE.length,
  leftHanded: ['tilt' as const],
}

const PLACED_UNDERLAY = {
  ...{ form: 'lines' as const, width: 14.2, height: 9.75 },
  ...{ scale: 0.001, mirrored: true, turn: -90, x: -7.1, y: 0.5 },
}

/** A rig file was taken, and one of the types came from it. */
function keepFiles(desk: Desk): void {
  const [type] = desk.show.all.fixtureType.keys()
  const rig = { mirrored: true, turn: 90, shift: vec3(1, -2, 0), replaces: null }
  desk.do('takeRig', {
    ...{ types: [], hangs: [], fixtures: [], groups: [], targets: [], pieces: [] },
    typeFiles: [{ type: asFixtureTypeId(type ?? ''), entry: 'tern.gdtf', part: 0 }],
    file: { ...KEPT, rig },
    underlays: [{ ...PLACED_UNDERLAY, name: 'Ground', digest: KEPT.digest, size: KEPT.size }],
  })
  const [underlay] = desk.show.all.underlay.keys()
  desk.do('changeUnderlay', { underlay: asUnderlayId(underlay ?? ''), hidden: ['walls', 'Text'], strength: 0.25 })
}

/** Two papers were printed, one of them twice. */
function addPrints(desk: Desk): void {
  const lines = '0123456789ab01234567'
  desk.do('notePrint', { papers: [{ paper: 'patch', lines }] })
  desk.do('notePrint', {
    papers: [
      { paper: 'patch', lines: lines + lines.replace('0', '1') },
      { paper: 'travel', lines: '' },
    ],
  })
}

/** The mark was measured at home and lights were seen on it; at the Quarry the bar is lower and one head wrong. */
function addSurvey(desk: Desk): void {
  const home = desk.show.all.show.get(desk.show.id)?.venue ?? raise()
  const target = desk.choose.target('Mark')
  desk.do('surveyTargets', { targets: [target], isSurveyed: true })
  desk.aim('12,13', 'Mark', vec3(0.05, 0.02, 0))
  desk.do('noteSighting', { fixtures: desk.fixtures('12,13'), target })
  const [sighting] = [...desk.show.all.sighting.keys()].map(asSightingId)
  desk.do('changeSightings', { sightings: [sighting ?? raise()], what: 'drop' })
  desk.do('clearHand', { fixtures: desk.fixtures('12,13'), families: ['position'] })
  desk.do('switchVenue', { venue: venueNamed(desk.show, 'Quarry') })
  desk.do('correctRig', {
    hangs: [{ hang: desk.choose.hang('Bar'), error: { x: 0.02, y: 0, z: -0.06, yaw: 0.4 } }],
    fixtures: [
      {
        fixture: desk.fixture(12),
        error: { along: 0.01, out: 0, drop: 0, yaw: -0.7, pitch: 0.2, roll: 0, tiltZero: 1.1 },
        mistakes: { isTurnedRound: false, isPanInverted: true, isTiltInverted: false },
      },
    ],
    as: 'correction',
  })
  desk.do('switchVenue', { venue: home })
}

/** The mark follows a tracker, listened to at home; controls are not, but two of them have addresses of their own. */
function addOutside(desk: Desk): void {
  desk.do('setTracking', { isOn: true, turn: 90, depth: 'downstage', origin: vec3(0.5, -1, 0) })
  desk.do('followTracker', { target: desk.choose.target('Mark'), tracker: 4, whenLost: 'goes back' })
  desk.do('setControlLine', { answerTo: ['10.0.0.9'] })
  const nothing = { list: null, output: null, palette: null, axis: null, metres: 0.1 }
  desk.do('bindControl', { ...nothing, address: '/desk/1', does: 'recall', palette: desk.choose.palette(1) })
  desk.do('bindControl', { ...nothing, address: '/desk/wheel', does: 'nudge', axis: 'x' })
}

/** A pass at home in which something is right, taken, noted and cannot be done; a note on a cue. */
function beginPass(desk: Desk): void {
  const [bow, mark] = [desk.choose.palette(1), desk.choose.palette(2)]
  desk.do('beginPass', { order: 'by hand', level: 0.6, others: 'as they are', corrections: 'for here' })
  desk.do('orderPass', { palettes: [mark, bow] })
  desk.do('confirmInPass', { palette: bow, fixtures: desk.fixtures('11') })
  desk.do('markInPass', { palette: mark, mark: 'cannot be done' })
  desk.do('noteInPass', { palette: mark, note: 'Behind the mast' })
  desk.do('noteCue', { cue: desk.choose.cue(1, 1), text: 'Too high' })
  desk.do('checkPalette', { palette: bow, only: desk.fixture(12) })
  desk.do('checkPalette', { palette: null, only: null })
}

/** Every cue, fixture and family. */
export const ALL_DARK = { cues: null, fixtures: null, inCue: null } as const

function addCues(desk: Desk): void {
  desk.do('addCueList', { number: 2, name: 'Levels', intensityRule: 'highest' })
  desk.recall('11,12', 5)
  desk.level('11,12', 'intensity', 0.6)
  desk.cue(1)
  desk.recall('11,41', 1)
  desk.level('71.1-6', 'intensity', 0.7)
  desk.recall('71', 4)
  desk.cue(2)
  desk.aim('13', 'Mark', vec3(0.1, 0, 0))
  desk.level('13', 'intensity', 0.3)
  desk.cue(3)
  desk.do('changeCues', { cues: [desk.choose.cue(1, 3)], travel: null })
  desk.do('changeCueList', { list: desk.choose.list(1), travel: 'straight' })
  const times = { family: 'position', seconds: 3, delay: null, travel: 'straight' } as const
  desk.do('setCueTimes', { cues: [desk.choose.cue(1, 2)], fixtures: desk.fixtures('11'), ...times })
  desk.do('blockInCues', { cues: [desk.choose.cue(1, 3)], fixtures: desk.fixtures('12'), families: ['position'] })
  desk.do('setDarkMoves', { ...ALL_DARK, list: desk.choose.list(1), when: 'planned', live: ['gobo'] })
  const bar = { fixtures: desk.fixtures('71'), when: 'in cue', inCue: desk.choose.cue(1, 1) } as const
  desk.do('setDarkMoves', { ...ALL_DARK, live: [], list: desk.choose.list(1), cues: [desk.choose.cue(1, 2)], ...bar })
  const sweep = { cue: desk.choose.cue(1, 1), fixture: desk.fixture(11), zone: 'Front rows' }
  desk.do('acceptSweeps', { sweeps: [sweep], reason: 'Nobody sits there' })
  desk.level('11,13,71.2,71.4', 'intensity', 1)
  desk.do('recordCue', { list: desk.choose.list(2), number: 1, name: 'Up', ...PLAIN_TIMES })
  desk.do('goToCue', { list: desk.choose.list(2), cue: null })
}

function raise(): never {
  throw new Error('the group has no members')
}
