/** The theme's colours for what is drawn on a canvas, where classes do not reach. */
import type { ScreenColour } from '#core/cues/shownColour'
import type { Palette } from '#core/show/entities'

const TOKENS = ['brass', 'coral', 'shoal', 'rule-2'] as const

export interface Inks extends Readonly<Record<'brass' | 'coral' | 'shoal' | 'rule', string>> {
  readonly isPaper: boolean
}

const token = (style: CSSStyleDeclaration, name: string) => style.getPropertyValue(`--color-${name}`).trim()

/** Reads the tokens of the theme in use. */
export function readInks(isPaper: boolean): Inks {
  const style = getComputedStyle(document.documentElement)
  const [brass = '', coral = '', shoal = '', rule = ''] = TOKENS.map((name) => token(style, name))
  return { brass, coral, shoal, rule, isPaper }
}

/** What the carry sheet is drawn with: grounds, words, and the colours of palettes. */
export interface SheetInks {
  readonly ground: string
  readonly row: string
  readonly looked: string
  readonly line: string
  readonly words: string
  readonly quiet: string
  readonly coral: string
  readonly palettes: Readonly<Record<Palette['colour'], string>>
}

export function readSheetInks(): SheetInks {
  const style = getComputedStyle(document.documentElement)
  const of = (name: string) => token(style, name)
  return {
    ground: of('night'),
    row: of('deck'),
    looked: of('plank'),
    line: of('rule'),
    words: of('sail'),
    quiet: of('haze'),
    coral: of('coral'),
    palettes: {
      brass: of('brass'),
      coral: of('coral'),
      kelp: of('kelp'),
      shoal: of('shoal'),
      heather: of('heather'),
      rose: of('rose'),
      amber: of('amber'),
      sail: of('sail'),
    },
  }
}

/** What charts are drawn with: lines, what is wrong, and what is written beside. */
export function readChartInks(): Readonly<Record<'seen' | 'fault' | 'quiet' | 'line', string>> {
  const style = getComputedStyle(document.documentElement)
  const of = (name: string) => token(style, name)
  return { seen: of('brass'), fault: of('coral'), quiet: of('haze'), line: of('rule') }
}

/** Bands from 0 to 255 as CSS. */
export const cssOf = (bands: readonly number[]) => `rgb(${bands.map(Math.round).join(' ')})`

/** How much of what is bright stays on paper, where white light would not be seen. */
const ON_PAPER = 0.72
/** The ink that light is drawn with in its own colour, as CSS. */
export function ownInk({ red, green, blue }: ScreenColour, isPaper: boolean): string {
  return cssOf([red, green, blue].map((band) => 255 * band * (isPaper ? ON_PAPER : 1)))
}
