/** The theme's colours for what is drawn on a canvas, where classes do not reach. */
import type { Palette } from '#core/show/entities'

const TOKENS = ['brass', 'coral', 'shoal', 'rule-2'] as const

export type Inks = Readonly<Record<'brass' | 'coral' | 'shoal' | 'rule', string>>

const token = (style: CSSStyleDeclaration, name: string) => style.getPropertyValue(`--color-${name}`).trim()

/** Reads the tokens of the theme in use. */
export function readInks(): Inks {
  const style = getComputedStyle(document.documentElement)
  const [brass = '', coral = '', shoal = '', rule = ''] = TOKENS.map((name) => token(style, name))
  return { brass, coral, shoal, rule }
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
