/** The theme's colours for what is drawn on a canvas, where classes do not reach. */
const TOKENS = ['brass', 'coral', 'shoal'] as const

export type Inks = Readonly<Record<(typeof TOKENS)[number], string>>

/** Reads the tokens of the theme in use. */
export function readInks(): Inks {
  const style = getComputedStyle(document.documentElement)
  const [brass, coral, shoal] = TOKENS.map((token) => style.getPropertyValue(`--color-${token}`).trim())
  return { brass: brass ?? '', coral: coral ?? '', shoal: shoal ?? '' }
}
