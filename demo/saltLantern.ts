/** The demo show, The Salt Lantern, built by commands from an empty show. */
import { placeId } from '#core/show/compositeIds'
import type { Choices } from './choices'
import { AIMED, ANGLED, LEVELS } from './palettes'
import { LIFT_CUES, MAIN_CUES, type DemoCue, type Step } from './cues'
import { FIXTURES, HANGS } from './rig'
import { harbourHall, quarryPlayhouse, SET_PIECES, TARGETS, SURVEYED } from './stage'
import * as types from './types'
import { ShowBuilder } from './builder'
import { colourOfHex } from '#core/colour/colour'
import { choose } from './choices'
import { add, ORIGIN, vec3, type Vec3 } from '#core/geometry/vector'
import { passOrder } from '#core/refocus/passOrder'
import { isNumberAttribute, LISTED_ATTRIBUTES } from '#core/attributes/attribute'
import { FAMILIES } from '#core/attributes/families'
import { asFixtureTypeId, asHangId, asSetPieceId, asVenueId, type VenueId } from '#core/show/ids'
import { LOOPBACK } from '#core/show/entities'
import { showRecordOf, type Show } from '#core/show/show'

const HALF_AN_HOUR = 30 * 60_000

/**
 * The demo show under an id, made at an instant, milliseconds; its pass has been under way for half an hour.
 * Takes about a second: it runs every command a person would have.
 */
export function buildSaltLantern(id: string, at = HALF_AN_HOUR): Show {
  const builder = new ShowBuilder(id)
  builder.now = Math.round(at - HALF_AN_HOUR)
  builder.run('beginShow', { name: 'The Salt Lantern', venue: harbourHall, types: [...types.OSTREL_TYPES] })
  builder.run('joinShow', { name: 'Demo' })
  builder.run('importTables', { hangs: [...HANGS], fixtures: [...FIXTURES], targets: [] })
  for (const piece of SET_PIECES) builder.run('addSetPiece', piece)
  for (const { name, form, on, position } of TARGETS) {
    const setPiece = on === null ? null : choose(builder.show).setPiece(on)
    builder.run('addTarget', { name, form, setPiece, position })
  }
  builder.run('surveyTargets', { targets: SURVEYED.map((name) => choose(builder.show).target(name)), isSurveyed: true })
  addGroups(builder)
  for (const family of FAMILIES) builder.run('setTake', { family, take: true })
  recordPalettes(builder)
  builder.run('addCueList', { number: 2, name: 'Side light', intensityRule: 'highest', take: ['intensity'] })
  recordCues(builder, 1, MAIN_CUES)
  recordCues(builder, 2, LIFT_CUES)
  addQuarry(builder)
  builder.run('goToCue', { list: choose(builder.show).list(1), cue: choose(builder.show).cue(1, 14) })
  builder.run('goToCue', { list: choose(builder.show).list(2), cue: null })
  addOutputs(builder)
  return builder.show
}

/** Both stay on this machine, and off: nothing goes anywhere until somebody says so. */
function addOutputs(builder: ShowBuilder): void {
  const plain = { first: 1, last: 4, addresses: [], from: LOOPBACK, priority: 100, sync: null, sourceName: 'Rhopander' }
  builder.run('addOutput', { ...plain, name: 'Lighting network', protocol: 'E1.31', sentAs: 1 })
  builder.run('addOutput', { ...plain, name: 'Old dimmer node', protocol: 'Art-Net', first: 4, sentAs: 3 })
}

function addGroups(builder: ShowBuilder): void {
  const groups = [
    ['Bridge washes', '1-6', 'shoal', null],
    ['All profiles', '11-18', 'brass', null],
    ['Mid bar profiles', '12-17', 'brass', null],
    ['Mid bar pairs', '14, 15, 13, 16, 12, 17', 'brass', { kind: 'runs', length: 2 }],
    ['Bar 2 washes', '21-26', 'shoal', null],
    ['Upstage beams', '31-38', 'heather', null],
    ['Booms', '41-44', 'kelp', { kind: 'parts', count: 2 }],
    ['Floor beams', '51-54', 'heather', null],
    ['Footlights', '61-66', 'amber', null],
    ['Water under the jetty', '71', 'shoal', null],
  ] as const
  groups.forEach(([name, fixtures, colour, pattern], i) => {
    builder.run('recordGroup', {
      number: i + 1,
      name,
      fixtures: choose(builder.show).fixtures(fixtures),
      colour,
      pattern,
    })
  })
}

function recordPalettes(builder: ShowBuilder): void {
  const everything = { families: [...FAMILIES], fixtures: null }
  for (const { number, name, colour, shelf, fixtures, target, along, pool, edge } of AIMED) {
    const choices = choose(builder.show)
    const chosen = choices.fixtures(fixtures)
    builder.run('aimAtTarget', {
      fixtures: chosen,
      target: choices.target(target),
      offset: ORIGIN,
      along: along ?? null,
    })
    if (pool !== undefined)
      builder.run('setValue', { fixtures: chosen, attribute: 'zoom', value: { kind: 'pool', diameter: pool } })
    if (edge !== undefined)
      builder.run('setValue', { fixtures: chosen, attribute: 'edge', value: { kind: 'number', number: edge } })
    builder.run('recordPalette', { number, name, colour, shelf }).run('clearHand', everything)
  }
  for (const { number, name, colour, fixtures, pan, tilt } of ANGLED) {
    const chosen = choose(builder.show).fixtures(fixtures)
    chosen.forEach((fixture, i) => {
      const part = i / (chosen.length - 1)
      const at = (ends: readonly [number, number]) =>
        ({ how: 'to', degrees: ends[0] + (ends[1] - ends[0]) * part }) as const
      builder.run('turnHeads', { fixtures: [fixture], pan: at(pan), tilt: at(tilt) })
    })
    builder.run('recordPalette', { number, name, colour, shelf: 'position' }).run('clearHand', everything)
  }
  for (const { number, name, colour, shelf, fixtures, levels, look, looks } of LEVELS) {
    const chosen = choose(builder.show).fixtures(fixtures)
    for (const [whom, hex] of looks ?? (look === undefined ? [] : [[fixtures, look] as const])) {
      const asked = colourOfHex(hex)
      const wanted = choose(builder.show).fixtures(whom)
      if (asked) builder.run('setColour', { fixtures: wanted, colour: { kind: 'colour', ...asked } })
    }
    for (const attribute of LISTED_ATTRIBUTES.filter(isNumberAttribute)) {
      const level = levels?.[attribute]
      if (level === undefined) continue
      builder.run('setValue', { fixtures: chosen, attribute, value: { kind: 'number', number: level } })
    }
    const reach = look === undefined ? undefined : 'usual'
    builder.run('recordPalette', { number, name, colour, shelf, reach }).run('clearHand', everything)
  }
  recordCombined(builder)
}

/** A whole look at one touch: links to other palettes. */
function recordCombined(builder: ShowBuilder): void {
  const recall = (palette: number, fixtures: string) => {
    const choices = choose(builder.show)
    builder.run('recallPalette', { palette: choices.palette(palette), fixtures: choices.fixtures(fixtures) })
  }
  recall(1, '12-17')
  recall(21, '1-6')
  recall(63, '1-6, 12-17')
  builder.run('recordPalette', { number: 91, name: 'Aground', colour: 'brass', shelf: 'combined' })
  builder.run('clearHand', { families: [...FAMILIES], fixtures: null })
}

function recordCues(builder: ShowBuilder, list: number, cues: readonly DemoCue[]): void {
  for (const cue of cues) {
    for (const step of cue.steps) take(builder, choose(builder.show), step)
    builder.run('recordCue', {
      list: choose(builder.show).list(list),
      number: cue.number,
      name: cue.name,
      rise: cue.rise,
      fall: cue.fall ?? cue.rise,
      move: cue.move ?? null,
      travel: cue.travel ?? null,
      follow: cue.follow ?? 'wait',
    })
  }
}

function take(builder: ShowBuilder, choices: Choices, step: Step): void {
  const fixtures = choices.fixtures(step.for)
  if ('palette' in step) builder.run('recallPalette', { palette: choices.palette(step.palette), fixtures })
  else if ('intensity' in step)
    builder.run('setValue', { fixtures, attribute: 'intensity', value: { kind: 'number', number: step.intensity } })
  else if ('loose' in step)
    builder.run('aimAtTarget', {
      fixtures,
      target: choices.target(step.loose),
      offset: vec3(...step.offset),
      along: null,
    })
  else
    builder.run('turnHeads', {
      fixtures,
      pan: { how: 'to', degrees: step.angles[0] },
      tilt: { how: 'to', degrees: step.angles[1] },
    })
}

/** By how much hangs stand otherwise at the tour stop, metres in the stage frame. */
const QUARRY_HANGS: Readonly<Record<string, Vec3>> = {
  Bridge: vec3(0, 0.5, -0.6),
  'Bar 1': vec3(0, 0.25, -0.85),
  'Bar 2': vec3(0, 0.2, -1.05),
  'Bar 3': vec3(0, 0.3, -0.85),
  'Boom right': vec3(0.4, 0, -0.2),
}
/** Hung at the tour stop only, and played there instead of a fixture of the boom that is not up. */
const STAND_IN = { number: 45, plays: 43, hang: 'Bar 1', along: 5.9 } as const

/**
 * The tour stop: other trims and depths, parts of the set further upstage, one boom missing, two fixtures
 * absent, a substitute, three touch-ups, and a pass that is under way.
 */
function addQuarry(builder: ShowBuilder): void {
  const home = showRecordOf(builder.show).venue
  builder.run('addVenue', quarryPlayhouse)
  const quarry = [...builder.show.all.venue.keys()].find((id) => id !== home)
  if (quarry === undefined) throw new RangeError('the tour stop was not added')
  builder.run('switchVenue', { venue: asVenueId(quarry) })
  for (const [id, { name }] of builder.show.all.hang) {
    const place = builder.show.all.hangPlace.get(placeId(quarry, id))
    const by = QUARRY_HANGS[name]
    if (place && by) builder.run('moveHang', { hang: asHangId(id), origin: add(place.origin, by) })
  }
  for (const [id, piece] of builder.show.all.setPiece) {
    const place = builder.show.all.setPiecePlace.get(placeId(quarry, id))
    if (!place || !['Lighthouse', 'Tide wall'].includes(piece.name)) continue
    const position = { ...place.position, y: place.position.y + 1.2 }
    builder.run('moveSetPiece', { setPiece: asSetPieceId(id), position, yaw: place.yaw })
  }
  missAtQuarry(builder, asVenueId(quarry))
  touchUpAtQuarry(builder)
  checkAtQuarry(builder)
  builder.run('switchVenue', { venue: home })
}

/** What does not hang at the tour stop, and what stands in for some of it. */
function missAtQuarry(builder: ShowBuilder, venue: VenueId): void {
  const { number, plays, hang, along } = STAND_IN
  const type = [...builder.show.all.fixtureType].find(([, { name }]) => name === types.dunlin.name)?.[0]
  if (type === undefined) throw new RangeError('the type of the stand-in is gone')
  const straight = { out: 0, drop: 0.12, yaw: 0, pitch: 0, roll: 0, gap: null }
  const place = { ...straight, count: 1, middle: along, numberFrom: number, mode: null }
  builder.run('placeFixtures', { ...place, hang: choose(builder.show).hang(hang), type: asFixtureTypeId(type) })
  const choices = choose(builder.show)
  const cell = (fixture: string, value: string | null) =>
    choices.fixtures(fixture).map((id) => ({ kind: 'fixture', id, what: 'on', venue, value }) as const)
  const cells = [...cell('26, 44', null), ...cell(String(plays), `by ${number}`)]
  builder.run('setInVenues', { cells })
  const boom = { kind: 'hang', id: choices.hang('Boom left'), what: 'trim', venue, value: null } as const
  builder.run('setInVenues', { cells: [boom] })
}

/** Three on the lantern gallery that point the same way. */
function touchUpAtQuarry(builder: ShowBuilder): void {
  const choices = choose(builder.show)
  for (const [fixture, x, y] of [
    ['31', 0.09, 0.03],
    ['34', 0.05, 0.02],
    ['38', -0.02, 0.04],
  ] as const)
    builder.run('touchUp', {
      palette: choices.palette(3),
      fixtures: choices.fixtures(fixture),
      by: { metres: vec3(x, y, 0) },
    })
}

/** So many palettes of the pass are done: a dozen are left. */
const LEFT = 12
/** From one of them to the next, milliseconds. */
const PACE = 140_000

function checkAtQuarry(builder: ShowBuilder): void {
  builder.run('beginPass', { order: 'by cue', level: 0.7, others: 'out', corrections: 'for here' })
  const used = passOrder(builder.show, 'by cue').filter(({ cues }) => cues > 0)
  for (const { palette } of used.slice(0, used.length - LEFT)) {
    builder.now += PACE
    builder.run('confirmInPass', { palette, fixtures: null })
  }
  const choices = choose(builder.show)
  builder.run('noteCue', { cue: choices.cue(1, 14), text: 'Bow too high from the bridge' })
  builder.run('noteCue', { cue: choices.cue(1, 22), text: '24 hits the sign in the wing' })
}
