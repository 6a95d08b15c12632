/** The stage of the venue in play on paper: in plan and from stage left, with some light in it. */
import type { StageFixture } from '../../cues/onStage'
import { drawnHangs, drawnSpots } from '../../drawing/drawnHangs'
import { besideMark, widthOf } from '../../drawing/namePlaces'
import { PLAN, SIDE } from '../../drawing/projections'
import { SECTION_HANGS } from '../../drawing/sectionHangs'
import { ORIGIN, vec3, type Vec3 } from '../../geometry/vector'
import type { FixtureId } from '../../show/ids'
import { setPiecesOf } from '../../show/setPieces'
import { entity, showRecordOf, type Show } from '../../show/show'
import type { PrintedArea } from '../pageSizes'
import { drawFloor, drawSideOfHouse } from './ground'
import { drawHangs, nameHangs } from './hangs'
import { drawBeams, drawPools, drawPoolsEdgeOn } from './light'
import { INKS, Pen, viewAround, type Drawing, type View } from './pen'
import { drawRuler } from './ruler'
import { drawSetFromSide, drawSetInPlan, nameSet } from './set'

/** A place on the stage and what is written beside it. */
export interface NamedPlace {
  readonly name: string
  readonly at: Vec3
}

/** What a drawing of the stage shows beside the stage itself. */
export interface Shown {
  readonly light: readonly StageFixture[]
  readonly places: readonly NamedPlace[]
}

const venueOf = (show: Show) => entity(show, 'venue', showRecordOf(show).venue)

/** Opposite corners of what is seen through the opening. */
function stageCorners(show: Show): [Vec3, Vec3] {
  const { opening } = venueOf(show)
  return [vec3(-opening.width / 2, 0, 0), vec3(opening.width / 2, opening.depth, opening.height)]
}

/** How far beyond the stage places are that a drawing still holds, metres: light that lands far out would make all else small. */
const BEYOND = 3

/** Around the heads of some light and its places, with the middle of the setting line; around the stage without any. */
function viewOf(show: Show, { light, places }: Shown, projection: View['projection'], paper: PrintedArea): View {
  const [low, high] = stageCorners(show)
  const held = ({ x, y, z }: Vec3) =>
    vec3(between(x, low.x, high.x), between(y, low.y, high.y), between(z, low.z, high.z))
  const heads = light.map(({ rigged }) => rigged.mount.pivot)
  const lit = [...light.flatMap(({ position }) => position.point ?? []), ...places.map(({ at }) => at)].map(held)
  return viewAround(heads.length > 0 ? [...heads, ...lit, ORIGIN] : [low, high], projection, paper)
}

const between = (value: number, low: number, high: number) => Math.min(high + BEYOND, Math.max(low - BEYOND, value))

/** Some light on the whole stage in plan, small: without names and numbers. */
export function glanceDrawing(show: Show, light: readonly StageFixture[], paper: PrintedArea): Drawing {
  const pen = new Pen(viewAround(stageCorners(show), PLAN, paper))
  const spots = drawnSpots(show)
  drawFloor(pen, venueOf(show))
  drawSetInPlan(pen, setPiecesOf(show))
  drawPools(pen, light)
  drawBeams(pen, light, ({ rigged, beam }) => spots.get(rigged.id) ?? beam.lens)
  return pen.finished()
}

/** In plan, upstage up. */
export function planDrawing(show: Show, shown: Shown, paper: PrintedArea): Drawing {
  const pen = new Pen(viewOf(show, shown, PLAN, paper))
  const spots = drawnSpots(show)
  drawFloor(pen, venueOf(show))
  drawSetInPlan(pen, setPiecesOf(show))
  drawPools(pen, shown.light)
  drawBeams(pen, shown.light, ({ rigged, beam }) => spots.get(rigged.id) ?? beam.lens)
  const hangs = drawnHangs(show)
  drawHangs(pen, hangs, isLit(shown.light))
  drawPlaces(pen, shown.places)
  nameHangs(pen, hangsWith(hangs, shown.light))
  nameSet(pen, setPiecesOf(show))
  drawRuler(pen)
  return pen.finished()
}

/** From stage left: the house to the left, upstage to the right. */
export function sideDrawing(show: Show, shown: Shown, paper: PrintedArea): Drawing {
  const pen = new Pen(viewOf(show, shown, SIDE, paper))
  drawSideOfHouse(pen, venueOf(show))
  drawSetFromSide(pen, setPiecesOf(show))
  drawPoolsEdgeOn(pen, shown.light)
  drawBeams(pen, shown.light, ({ beam }) => beam.lens)
  const hangs = SECTION_HANGS.side(show)
  drawHangs(pen, hangs, isLit(shown.light))
  drawPlaces(pen, shown.places)
  nameHangs(pen, hangsWith(hangs, shown.light))
  drawRuler(pen)
  return pen.finished()
}

function isLit(light: readonly StageFixture[]): (fixture: FixtureId) => boolean {
  const lit = new Set(light.map(({ rigged }) => rigged.id))
  return (fixture) => lit.has(fixture)
}

function hangsWith<H extends { readonly hang: { readonly fixtures: readonly { readonly id: FixtureId }[] } }>(
  hangs: readonly H[],
  light: readonly StageFixture[],
): H[] {
  const lit = isLit(light)
  return hangs.filter(({ hang }) => hang.fixtures.some(({ id }) => lit(id)))
}

/** Behind a name that lies over light. */
const VEIL = { fill: INKS.paper, opacity: 0.7 }

/** Crosses where lights are aimed, with their names. */
function drawPlaces(pen: Pen, places: readonly NamedPlace[]): void {
  for (const { name, at } of places) {
    const { x, y } = pen.at(at)
    pen.path(`M${x - 5} ${y}H${x + 5}M${x} ${y - 5}V${y + 5}`, { stroke: INKS.mark, width: 0.3 })
    pen.names.mark({ left: x - 5, right: x + 5, top: y - 5, bottom: y + 5 })
    const place = pen.names.place(name, besideMark({ x, y }, name))
    pen.path(`M${place.at.x - 2} ${place.at.y - 10}h${widthOf(name) + 6}v13h${-widthOf(name) - 6}Z`, VEIL)
    pen.text(place.at, name, { colour: INKS.mark, isBold: true })
  }
}
