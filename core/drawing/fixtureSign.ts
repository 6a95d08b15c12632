/** The sign of a fixture by its form, as an SVG path round a point; upside down where it stands. */
import type { FixtureType } from '../show/entities'
import type { DrawingPoint } from './drawingPoint'

/** How far a sign of scale 1 reaches from its middle, units of the drawing. */
export const SIGN_REACH = 8

/** `form` is null for a fixture without a type. */
export function fixtureSign(
  form: FixtureType['form'] | null,
  { x, y }: DrawingPoint,
  scale: number,
  isStanding: boolean,
): string {
  const down = isStanding ? -scale : scale
  const s = (length: number) => length * scale
  switch (form) {
    case 'profile':
      return `M${x - s(8)} ${y - 6 * down}h${s(16)}l${s(-2.5)} ${13 * down}h${s(-11)}Z`
    case 'wash':
      return `M${x - s(7.5)} ${y}a${s(7.5)} ${s(7.5)} 0 1 0 ${s(15)} 0a${s(7.5)} ${s(7.5)} 0 1 0 ${s(-15)} 0Z`
    case 'beam': {
      const round = (dx: number, dy: number) => `a${s(2)} ${s(2)} 0 0 1 ${s(dx)} ${s(dy)}`
      return `M${x - s(2.5)} ${y - s(7.5)}h${s(5)}${round(2, 2)}v${s(11)}${round(-2, 2)}h${s(-5)}${round(-2, -2)}v${s(-11)}${round(2, -2)}Z`
    }
    case 'lamp':
      return `M${x - s(7)} ${y - 4 * down}h${s(14)}a${s(7)} ${s(8)} 0 0 ${isStanding ? 0 : 1} ${s(-14)} 0Z`
    case null:
      return `M${x} ${y - s(7.5)}l${s(7.5)} ${s(7.5)}l${s(-7.5)} ${s(7.5)}l${s(-7.5)} ${s(-7.5)}Z`
  }
}
