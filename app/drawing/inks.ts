/** The theme's colours for what is drawn on a canvas, where classes do not reach. */
const TOKENS = ['brass', 'coral', 'shoal', 'rule-2'] as const

export type Inks = Readonly<Record<'brass' | 'coral' | 'shoal' | 'rule', string>>

/** Reads the tokens of the theme in use. */
export function readInks(): Inks {
  const style = getComputedStyle(document.documentElement)
  const [brass = '', coral = '', shoal = '', rule = ''] = TOKENS.map((token) =>
    style.getPropertyValue(`--color-${token}`).trim(),
  )
  return { brass, coral, shoal, rule }
}
