/**
 * What is on stage once everything has arrived: the hand over the cues over the resting state.
 */
import { LEADING } from '../attributes/catalogue'
import { beamAt, type Beam } from '../kinematics/forward'
import { HOME, type Pose } from '../kinematics/head'
import { poolDiameter } from '../light/zoom'
import { contentsOf, paletteValueFor, resolveValue } from '../palettes/resolve'
import { isTurnedNearest, solvePosition, solveZoom, type SolvedPosition, type SolvedZoom } from '../palettes/solve'
import { derivedEach } from '../show/derived'
import { kindOf, type Attribute, type NumberAttribute } from '../attributes/attribute'
import type { FixtureType } from '../show/entities'
import type { FixtureId, PaletteId, PersonId } from '../show/ids'
import { amountIn, type Amounts } from '../show/amounts'
import { rangeOf } from '../show/attributeRange'
import { colourWheelOf, restColour } from '../show/colours'
import { amountsSeen, seenAttributes } from '../show/lightShape'
import { rigOf, type RiggedFixture } from '../show/rig'
import { showRecordOf, type Show, type ShowPart } from '../show/show'
import { colourIn, type LinkValue, type PlainColour, type PlainValue, type Value } from '../show/values'
import { atRest } from './atRest'
import { broughtUp } from './broughtUp'
import { playedBack, playedPose, putValue, type GrowingValues, type ValueMap } from './playback'
import { stageOf, type StageKind } from '../venue/stage'

/** What is left of the light of the others while some are brought out. */
const DIMMED = 0.2

/**
 * How bright fixtures are seen while a person brings some out; null when nothing is brought out. A
 * palette that highlight shows says itself how bright.
 */
function highlightOf(show: Show, person: PersonId): ((fixture: FixtureId, intensity: number) => number) | null {
  const how = show.all.person.get(person)?.highlight ?? 'off'
  if (how === 'off' || show.all.highlighted.size === 0) return null
  const isOut = (fixture: FixtureId) => show.all.highlighted.has(`${person}.${fixture}`)
  if (how === 'others dimmed') return (fixture, intensity) => (isOut(fixture) ? intensity : intensity * DIMMED)
  const { highlight } = showRecordOf(show)
  const shown = highlight === null ? null : paletteLookup(show, highlight)
  return (fixture, intensity) => (isOut(fixture) && !shown?.(fixture, LEADING.light) ? 1 : intensity)
}

/** What a person has in hand. */
export const handOf = derivedEach(['handValue'], (show, person: PersonId): ValueMap => {
  const hand: GrowingValues = new Map()
  for (const { person: holder, fixture, attribute, value } of show.all.handValue.values())
    if (holder === person) putValue(hand, fixture, attribute, value)
  return hand
})

/** One fixture's part of the stage picture. */
export interface StageFixture {
  readonly rigged: RiggedFixture
  readonly position: SolvedPosition
  readonly beam: Beam
  readonly positionValue: PlainValue | null
  readonly zoom: SolvedZoom
  readonly zoomValue: PlainValue | null
  /** 0 to 1. */
  readonly intensity: number
  /** The intensity seen, 0 to 1: with what is brought out by highlight. */
  readonly seen: number
  readonly colour: PlainColour
  /** Of its first colour wheel; 0 is open. */
  readonly colourSlot: number
  /** What else of its light is seen and away from rest. */
  readonly amounts: Amounts
  /** The palette the position was recalled from, if any. */
  readonly palette: PaletteId | null
}

/** Looks an attribute of a fixture up; null when nothing sets it. */
export type Lookup = (fixture: FixtureId, attribute: Attribute) => Value | null

/** The picture of one fixture for any source of values, as the stage has it: its head near the pose the lists bring it to. */
export function pictureOf(show: Show, rigged: RiggedFixture, lookup: Lookup): StageFixture {
  return pictureNear(show, rigged, lookup, () => playedPose(show, (rigged.bar ?? rigged).id))
}

/**
 * The picture of one fixture for any source of values. An aim without a stored choice is taken near
 * the pose `near` tells, which is asked for such only; that of a cell is its bar's.
 */
export function pictureNear(
  show: ShowPart<'paletteValue' | 'touchUp' | StageKind>,
  rigged: RiggedFixture,
  lookup: Lookup,
  near: () => Pose,
): StageFixture {
  const own = ownPicture(show, rigged, lookup, near)
  return rigged.bar ? onBar(show, own, pictureNear(show, rigged.bar, lookup, near)) : own
}

/** A cell's picture with what it shares with its bar: where it points, and whatever else it has not for itself. */
export function onBar(show: ShowPart<StageKind>, cell: StageFixture, bar: StageFixture): StageFixture {
  const { mount, type } = cell.rigged
  const { pose, state } = bar.position
  const { pan, tilt } = pose
  const landed = solvePosition(mount, stageOf(show), { kind: 'angles', pan, tilt }, pose)
  const zoom = type.has.includes(LEADING.width) ? cell.zoom : bar.zoom
  const pool = landed.throwMetres === null ? null : poolDiameter(landed.throwMetres, zoom.angle)
  return {
    ...cell,
    position: { ...landed, state },
    beam: beamAt(mount, pose),
    zoom: { ...zoom, pool },
    amounts: bar.amounts.size === 0 ? cell.amounts : new Map([...bar.amounts, ...cell.amounts]),
  }
}

/** What a fixture shows of what it has for itself. */
function ownPicture(
  show: ShowPart<'paletteValue' | 'touchUp' | StageKind>,
  rigged: RiggedFixture,
  lookup: Lookup,
  near: () => Pose,
): StageFixture {
  const resolve = (attribute: Attribute) => {
    const value = lookup(rigged.id, attribute)
    return value === null ? null : resolveValue(show, rigged, attribute, value)
  }
  const level = (attribute: NumberAttribute) => {
    const plain = resolve(attribute)?.value
    return plain?.kind === 'number' ? plain.number : rangeOf(rigged.type, attribute).home
  }
  const resolved = resolve(LEADING.place)
  const positionValue = resolved?.value ?? null
  const zoomValue = resolve(LEADING.width)?.value ?? null
  const intensity = level(LEADING.light)
  const reference = isTurnedNearest(positionValue) ? near() : HOME
  const position = solvePosition(rigged.mount, stageOf(show), positionValue, reference)
  return {
    rigged,
    position,
    beam: beamAt(rigged.mount, position.pose),
    positionValue,
    zoom: solveZoom(rigged, zoomValue, position.throwMetres),
    zoomValue,
    intensity,
    seen: intensity,
    colour: colourIn(resolve(LEADING.colour)?.value ?? null) ?? restColour(rigged.type),
    colourSlot: colourWheelOf(rigged.type) ? level(LEADING.glass) : 0,
    amounts: amountsSeen(rigged.type, (attribute) => amountIn(resolve(attribute)?.value ?? null)),
    palette: resolved?.through[0] ?? null,
  }
}

const shownBy = new WeakMap<FixtureType, readonly Attribute[]>()
/** What a picture shows of a type. */
function shownOf(type: FixtureType): readonly Attribute[] {
  const shown = shownBy.get(type) ?? [...Object.values(LEADING), ...seenAttributes(type)]
  shownBy.set(type, shown)
  return shown
}

/** The newest picture of a fixture, and all that it was worked out from. */
interface Remembered {
  readonly contents: ReturnType<typeof contentsOf>
  readonly touchUps: Show['all']['touchUp']
  readonly stage: ReturnType<typeof stageOf>
  readonly values: readonly (Value | null)[]
  readonly reference: Pose
  readonly picture: StageFixture
}
const remembered = new WeakMap<RiggedFixture, Remembered>()

/** The picture of a fixture, the same object as last time where nothing it depends on has changed. */
function rememberedPicture(show: Show, rigged: RiggedFixture, lookup: Lookup): StageFixture {
  const own = rememberedOwn(show, rigged, lookup)
  if (!rigged.bar) return own
  const bar = rememberedPicture(show, rigged.bar, lookup)
  const known = joined.get(own)
  if (known?.bar === bar) return known.picture
  const picture = onBar(show, own, bar)
  joined.set(own, { bar, picture })
  return picture
}
/** Pictures of cells by what they show for themselves, with that of their bar. */
const joined = new WeakMap<StageFixture, { readonly bar: StageFixture; readonly picture: StageFixture }>()

function rememberedOwn(show: Show, rigged: RiggedFixture, lookup: Lookup): StageFixture {
  const [contents, stage] = [contentsOf(show), stageOf(show)]
  const { touchUp: touchUps } = show.all
  const values = shownOf(rigged.type).map((attribute) => lookup(rigged.id, attribute))
  const reference = playedPose(show, rigged.id)
  const known = remembered.get(rigged)
  const isNear = known?.reference.pan === reference.pan && known.reference.tilt === reference.tilt
  const isOnSame = known?.contents === contents && known.touchUps === touchUps && known.stage === stage
  if (isOnSame && isNear && isSame(known.values, values)) return known.picture
  const picture = ownPicture(show, rigged, lookup, () => reference)
  remembered.set(rigged, { contents, touchUps, stage, values, reference, picture })
  return picture
}

const isSameLink = (a: LinkValue, b: LinkValue) =>
  a.palette === b.palette && a.way?.side === b.way?.side && a.way?.pan === b.way?.pan

function isSame(before: readonly (Value | null)[], now: readonly (Value | null)[]): boolean {
  return now.every((value, i) => {
    const other = before[i]
    return value === other || (value?.kind === 'link' && other?.kind === 'link' && isSameLink(value, other))
  })
}

/** The hand of a person over the cues, over the palette everything rests at. */
export function stageLookup(show: Show, person: PersonId): Lookup {
  const hand = handOf(show, person)
  const cues = cueLookup(show)
  return (fixture, attribute) => hand.get(fixture)?.get(attribute) ?? cues(fixture, attribute)
}

/** What the cues alone put on stage, over the palette everything rests at. */
export function cueLookup(show: Show): Lookup {
  const cues = playedBack(show)
  const rig = rigOf(show)
  return (fixture, attribute) => {
    const rigged = rig.get(fixture)
    return cues.get(fixture)?.get(attribute) ?? (rigged ? atRest(show, rigged, attribute) : null)
  }
}

/** Links to a palette, for whom it serves. */
function paletteLookup(show: Show, palette: PaletteId): Lookup {
  const rig = rigOf(show)
  return (fixture, attribute) => {
    const rigged = rig.get(fixture)
    return rigged && paletteValueFor(show, palette, rigged, attribute) !== null ? { kind: 'link', palette } : null
  }
}

/**
 * What is seen of fixtures a person brings out: by the palette that highlight shows, else what the
 * catalogue says. Where they point stays: it is what is looked at.
 */
export function seenLookup(show: Show, person: PersonId, lookup: Lookup): Lookup {
  if (show.all.person.get(person)?.highlight !== 'brighter') return lookup
  const { highlight } = showRecordOf(show)
  const shown = highlight === null ? null : paletteLookup(show, highlight)
  const seen = (attribute: Attribute): Value | null => {
    const number = kindOf(attribute).highlight
    return number === undefined ? null : { kind: 'number', number }
  }
  return (fixture, attribute) => {
    const isOut = attribute !== LEADING.place && isBroughtOut(show, person, fixture)
    return (isOut ? (shown?.(fixture, attribute) ?? seen(attribute)) : null) ?? lookup(fixture, attribute)
  }
}

/** Whether a person brings a fixture out to be seen. */
export function isBroughtOut(show: Show, person: PersonId, fixture: FixtureId): boolean {
  return show.all.person.get(person)?.highlight === 'brighter' && show.all.highlighted.has(`${person}.${fixture}`)
}

/** A way of looking values up, under what is brought up to be checked. */
export function underChecks(show: Show, lookup: Lookup): Lookup {
  const up = broughtUp(show)
  return up.size === 0 ? lookup : (fixture, attribute) => up.get(fixture)?.get(attribute) ?? lookup(fixture, attribute)
}

/** The stage picture of some fixtures as a person sees it; those without a place here are left out. */
export function pictureOfSome(
  show: Show,
  person: PersonId,
  fixtures: Iterable<FixtureId>,
): ReadonlyMap<FixtureId, StageFixture> {
  return picturesBy(show, underChecks(show, stageLookup(show, person)), person, fixtures)
}

/** What the stage shows while a person works blind: the cues, without the hand. */
export function stageWithoutHand(show: Show, person: PersonId): ReadonlyMap<FixtureId, StageFixture> {
  return picturesBy(show, underChecks(show, cueLookup(show)), person, rigOf(show).keys())
}

function picturesBy(show: Show, lookup: Lookup, person: PersonId, fixtures: Iterable<FixtureId>) {
  const bringOut = bringingOut(show, person, lookup)
  const rig = rigOf(show)
  const picture = new Map<FixtureId, StageFixture>()
  for (const id of fixtures) {
    const rigged = rig.get(id)
    if (rigged) picture.set(id, bringOut(rememberedPicture(show, rigged, lookup)))
  }
  return picture
}

/** How fixtures are seen while a person brings some out; as they are when nothing is brought out. */
export function bringingOut(show: Show, person: PersonId, lookup: Lookup): (plain: StageFixture) => StageFixture {
  const seenAs = highlightOf(show, person)
  if (!seenAs) return (plain) => plain
  const seenBy = seenLookup(show, person, lookup)
  return (plain) => broughtOut(plain, pictureOf(show, plain.rigged, seenBy), seenAs)
}

/** A fixture with the light it is seen in; what it is set to stays what it is. */
function broughtOut(
  plain: StageFixture,
  { intensity, colour, zoom, amounts }: StageFixture,
  seenAs: (fixture: FixtureId, intensity: number) => number,
): StageFixture {
  return { ...plain, colour, zoom, amounts, seen: seenAs(plain.rigged.id, intensity) }
}

/** The whole stage picture as a person sees it, by fixture. */
export function stagePicture(show: Show, person: PersonId): ReadonlyMap<FixtureId, StageFixture> {
  return pictureOfSome(show, person, rigOf(show).keys())
}
