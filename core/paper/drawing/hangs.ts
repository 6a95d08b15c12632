/** Hangs and the fixtures on them, on paper. */
import type { DrawnFixture, DrawnHang } from '../../drawing/drawnHangs'
import { fixtureSign } from '../../drawing/fixtureSign'
import type { DrawingPoint } from '../../drawing/drawingPoint'
import { widthOf } from '../../drawing/namePlaces'
import type { FixtureId } from '../../show/ids'
import { INKS, type Pen } from './pen'

/** Signs, of the size they have on the screen. */
const SIGN = { large: 0.75, small: 0.5 }
/** From the middle of a sign to its number, units. */
const NUMBER_ABOVE = { large: 9, small: 7 }
/** A hang shorter than this on the drawing is seen end on, units. */
const END_ON = 20
const NUMBER_SIZE = 9

/** Signs of all fixtures; those that are `meant` large, dark and numbered, the others small and faint. */
export function drawHangs(pen: Pen, hangs: readonly DrawnHang[], isMeant: (fixture: FixtureId) => boolean): void {
  for (const { from, to, isUpright } of hangs)
    pen.line([from, to], {
      stroke: INKS.middle,
      width: 0.35,
      ...(isUpright ? { dash: [0.6, 0.9] } : {}),
    })
  const fixtures = hangs.flatMap((hang) => hang.fixtures)
  const [meant, others] = [fixtures.filter(anyOf(isMeant)), fixtures.filter((one) => !anyOf(isMeant)(one))]
  for (const fixture of others) drawSign(pen, fixture, SIGN.small, INKS.faint)
  for (const fixture of meant) drawSign(pen, fixture, SIGN.large, INKS.line)
  let clear: DrawingPoint = { x: -Infinity, y: -Infinity }
  for (const fixture of meant) clear = drawNumber(pen, fixture, clear)
}

const anyOf =
  (isMeant: (fixture: FixtureId) => boolean) =>
  ({ members }: DrawnFixture) =>
    members.some(isMeant)

function drawSign(pen: Pen, { form, at, isStanding }: DrawnFixture, size: number, stroke: string): void {
  const middle = pen.at(at)
  const reach = 8 * size
  pen.names.mark({ left: middle.x - reach, right: middle.x + reach, top: middle.y - reach, bottom: middle.y + reach })
  pen.path(fixtureSign(form, middle, size, isStanding), {
    fill: INKS.paper,
    stroke,
    width: 0.2,
    ...(form === null ? { dash: [0.5, 0.4] } : {}),
  })
}

/** Numbers a fixture where its number does not run into the one before; resolves to where is clear from then on. */
function drawNumber(pen: Pen, { at, label }: DrawnFixture, clear: DrawingPoint): DrawingPoint {
  const { x, y } = pen.at(at)
  const half = (widthOf(label) * NUMBER_SIZE) / 11 / 2
  if (x - half < clear.x && Math.abs(y - clear.y) < NUMBER_SIZE) return clear
  const base = y - NUMBER_ABOVE.large
  pen.names.mark({ left: x - half, right: x + half, top: base - NUMBER_SIZE, bottom: base })
  pen.text({ x, y: base }, label, { anchor: 'middle', size: NUMBER_SIZE, isBold: true })
  return { x: x + half, y }
}

/** The names of hangs at one of their ends, where there is room. */
export function nameHangs(pen: Pen, hangs: readonly DrawnHang[]): void {
  for (const { hang, from, to } of hangs) {
    const name = hang.hang.name
    const [a, b] = [pen.at(from), pen.at(to)]
    const [left, right] = a.x <= b.x ? [a, b] : [b, a]
    const width = widthOf(name)
    const isEndOn = Math.hypot(a.x - b.x, a.y - b.y) < END_ON
    const above = { x: left.x - width / 2, y: Math.min(a.y, b.y) - 22 }
    const ends = [
      { x: left.x - width - 7, y: left.y + 4 },
      { x: right.x + 7, y: right.y + 4 },
    ]
    const below = { x: left.x - width / 2, y: Math.max(a.y, b.y) + 18 }
    const [first = above, ...others] = isEndOn ? [above, below, ...ends] : [...ends, above, below]
    const { at, isFree } = pen.names.place(name, [first, ...others])
    if (isFree) pen.text(at, name, { colour: INKS.middle })
  }
}
