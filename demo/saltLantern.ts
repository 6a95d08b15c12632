/** The demo show, The Salt Lantern, built by commands from an empty show. */
import { placeId } from '#core/show/compositeIds'
import type { Choices } from './choices'
import { AIMED, ANGLED, LEVELS } from './palettes'
import { LIFT_CUES, MAIN_CUES, type DemoCue, type Step } from './cues'
import { FIXTURES, HANGS } from './rig'
import { harbourHall, quarryPlayhouse, SET_PIECES, TARGETS } from './stage'
import { OSTREL_TYPES } from './types'
import { ShowBuilder } from './builder'
import { colourOfHex } from '#core/colour/colour'
import { choose } from './choices'
import { ORIGIN, vec3 } from '#core/geometry/vector'
import { isNumberAttribute, LISTED_ATTRIBUTES } from '#core/attributes/attribute'
import { FAMILIES } from '#core/attributes/families'
import { asHangId, asSetPieceId, asVenueId } from '#core/show/ids'
import { showRecordOf, type Show } from '#core/show/show'

/** The demo show under an id. Takes about a second: it runs every command a person would have. */
export function buildSaltLantern(id: string): Show {
  const builder = new ShowBuilder(id)
  builder.run('beginShow', { name: 'The Salt Lantern', venue: harbourHall, types: [...OSTREL_TYPES] })
  builder.run('joinShow', { name: 'Demo' })
  builder.run('importRig', { hangs: [...HANGS], fixtures: [...FIXTURES], targets: [] })
  for (const piece of SET_PIECES) builder.run('addSetPiece', piece)
  for (const { name, form, on, position } of TARGETS) {
    const setPiece = on === null ? null : choose(builder.show).setPiece(on)
    builder.run('addTarget', { name, form, setPiece, position })
  }
  addGroups(builder)
  for (const family of FAMILIES) builder.run('setTake', { family, take: true })
  recordPalettes(builder)
  builder.run('addCueList', { number: 2, name: 'Side light', intensityRule: 'highest', take: ['intensity'] })
  recordCues(builder, 1, MAIN_CUES)
  recordCues(builder, 2, LIFT_CUES)
  addQuarry(builder)
  builder.run('goToCue', { list: choose(builder.show).list(1), cue: choose(builder.show).cue(1, 14) })
  builder.run('goToCue', { list: choose(builder.show).list(2), cue: null })
  return builder.show
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

/** The tour stop: trims about 0.85 m lower, parts of the set 1.2 m further upstage. */
function addQuarry(builder: ShowBuilder): void {
  const home = showRecordOf(builder.show).venue
  builder.run('addVenue', quarryPlayhouse)
  const quarry = [...builder.show.all.venue.keys()].find((id) => id !== home)
  if (quarry === undefined) throw new RangeError('the tour stop was not added')
  builder.run('switchVenue', { venue: asVenueId(quarry) })
  for (const [id, hang] of builder.show.all.hang) {
    const place = builder.show.all.hangPlace.get(placeId(quarry, id))
    if (!place || hang.form === 'floor' || hang.form === 'boom') continue
    builder.run('moveHang', { hang: asHangId(id), origin: { ...place.origin, z: place.origin.z - 0.85 } })
  }
  for (const [id, piece] of builder.show.all.setPiece) {
    const place = builder.show.all.setPiecePlace.get(placeId(quarry, id))
    if (!place || !['Lighthouse', 'Tide wall'].includes(piece.name)) continue
    const position = { ...place.position, y: place.position.y + 1.2 }
    builder.run('moveSetPiece', { setPiece: asSetPieceId(id), position, yaw: place.yaw })
  }
  builder.run('switchVenue', { venue: home })
}
