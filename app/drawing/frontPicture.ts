/** A small picture of where light falls: the stage seen from the front and a little above. */
import type { StageFixture } from '#core/cues/onStage'
import { shownColour, type ScreenColour } from '#core/cues/shownColour'
import { vec3, type Vec3 } from '#core/geometry/vector'
import type { Venue } from '#core/show/entities'
import type { ScreenPoint } from '../composables/stage/usePlanView'
import { strokeAll, traceLine, traceRing, type Brush } from './brush'
import { ownInk, type Inks } from './inks'
import { lightFormOn, rimOf } from '#core/drawing/lightForm'

/** The picture is thought of this large, and scaled to what there is. */
const SIZE = { width: 130, height: 70 }
/** Corners of a pool's outline. */
const CORNERS = 20
/** How strongly a pool is filled, and the openings of a gobo in it. */
const FILLED = 0.18
const PATTERNED = 0.5
/** Light whose bands differ less than this is white, as far as can be told. */
const COLOURED = 0.12
/** More lights than this cannot be told apart so small: some of them stand for all. */
const MOST = 36

export interface FrontPicture {
  readonly fixtures: readonly StageFixture[]
  readonly venue: Pick<Venue, 'opening' | 'outline'>
  /** Whether dim light is drawn dim, or all of it alike. */
  readonly byIntensity: boolean
}

/** Draws into a sheet of this many pixels; the picture stands in its middle. */
export function drawFrontPicture(
  brush: Brush,
  inks: Inks,
  { fixtures, venue, byIntensity }: FrontPicture,
  sheet: { readonly width: number; readonly height: number },
) {
  const scale = Math.min(sheet.width / SIZE.width, sheet.height / SIZE.height)
  const metre = (scale * (SIZE.width - 12)) / (venue.opening.width + 4)
  const foot = sheet.height / 2 + scale * (58 - SIZE.height / 2)
  // Depth and height both go up, so that upstage and high stay apart.
  const project = (p: Vec3): ScreenPoint => ({
    x: sheet.width / 2 + metre * p.x,
    y: foot - metre * (0.5 * p.y + 0.58 * p.z),
  })
  const front = venue.outline.filter((p) => p.y <= 0.01).map((p) => project(vec3(p.x, p.y, 0)))
  strokeAll(brush, { ink: inks.rule, opacity: 1 }, () => {
    for (const [i, point] of front.entries()) if (i > 0) traceLine(brush, front[i - 1] ?? point, point)
  })
  const step = Math.max(1, fixtures.length / MOST)
  for (let i = 0; i < fixtures.length; i += step) {
    const fixture = fixtures[Math.floor(i)]
    if (fixture) drawLight(brush, inks, fixture, byIntensity ? fixture.intensity : 1, project)
  }
}

function drawLight(
  brush: Brush,
  inks: Inks,
  fixture: StageFixture,
  strength: number,
  project: (p: Vec3) => ScreenPoint,
) {
  const { position, beam } = fixture
  const { point } = position
  if (!point) return
  const ink = position.state === 'out of reach' ? inks.coral : inks.brass
  strokeAll(brush, { ink, opacity: 0.45 * strength, width: 0.8 }, () => {
    traceLine(brush, project(beam.lens), project(point))
  })
  const { round, cut } = lightFormOn(fixture, point.z)
  const rims = cut?.outlines ?? (round?.kind === 'closed' ? [rimOf(round, CORNERS)] : [])
  if (rims.length === 0) return
  const trace = (rings: readonly (readonly Vec3[])[]) => {
    for (const ring of rings) traceRing(brush, ring.map(project))
  }
  const own = inkOf(shownColour(fixture), inks)
  const isPatterned = cut !== null && cut.lit.length !== cut.outlines.length
  brush.beginPath()
  trace(cut?.lit ?? rims)
  brush.fillStyle = own
  brush.globalAlpha = (isPatterned ? PATTERNED : FILLED) * strength
  brush.fill()
  strokeAll(brush, { ink: own, opacity: strength, width: 0.9 }, () => trace(rims))
}

/** White light in brass, as light is drawn; coloured light in its own. */
function inkOf(colour: ScreenColour, { brass, isPaper }: Inks): string {
  const bands = [colour.red, colour.green, colour.blue]
  return Math.max(...bands) - Math.min(...bands) < COLOURED ? brass : ownInk(colour, isPaper)
}
