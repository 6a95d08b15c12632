/** The parts that mix a colour, as channels drive them: emitters and flags, by the name a type gives them. */

/** "part:Warm_white" for the part "Warm white". Its amount is a level from 0, out or dark, to 1. */
export type ColourPart = `part:${string}`

const PART = /^part:([^\s/._]+(?:_[^\s/._]+)*)$/
const LONGEST_PART = 40

export function isColourPart(text: string): text is ColourPart {
  return PART.test(text) && text.length <= LONGEST_PART
}

/** The id of a part by its name; null for a name that is empty, too long, or holds `/`, `.` or `_`. */
export function colourPart(name: string): ColourPart | null {
  const id: ColourPart = `part:${name.trim().replaceAll(/\s+/g, '_')}`
  return !name.includes('_') && isColourPart(id) ? id : null
}

/** A part as people say it: "Warm white". */
export function colourPartName(part: ColourPart): string {
  return part.slice('part:'.length).replaceAll('_', ' ')
}

/** What a type may mix of. `x` and `y` are CIE 1931; `flux` is the light at full, of a flag the part that comes through. */
export interface UsualPart {
  readonly name: string
  readonly x: number
  readonly y: number
  readonly flux: number
  /** The attribute of DIN SPEC 15800 it goes in and out as. */
  readonly standard: string
}

/** Emitters as they are commonly built; a type says its own colours and fluxes where they differ. */
export const USUAL_EMITTERS: readonly UsualPart[] = [
  { name: 'Red', x: 0.69, y: 0.306, flux: 0.6, standard: 'ColorAdd_R' },
  { name: 'Amber', x: 0.576, y: 0.421, flux: 0.7, standard: 'ColorAdd_A' },
  { name: 'Lime', x: 0.408, y: 0.555, flux: 2, standard: 'ColorAdd_L' },
  { name: 'Green', x: 0.177, y: 0.71, flux: 1, standard: 'ColorAdd_G' },
  { name: 'Cyan', x: 0.09, y: 0.41, flux: 0.7, standard: 'ColorAdd_C' },
  { name: 'Blue', x: 0.143, y: 0.045, flux: 0.2, standard: 'ColorAdd_B' },
  { name: 'Violet', x: 0.165, y: 0.02, flux: 0.06, standard: 'ColorAdd_V' },
  { name: 'Warm white', x: 0.45, y: 0.408, flux: 1.8, standard: 'ColorAdd_WW' },
  { name: 'Cool white', x: 0.313, y: 0.329, flux: 2, standard: 'ColorAdd_CW' },
]

/** Flags that go into a white light. */
export const USUAL_FLAGS: readonly UsualPart[] = [
  { name: 'Cyan', x: 0.165, y: 0.3, flux: 0.4, standard: 'ColorSub_C' },
  { name: 'Magenta', x: 0.34, y: 0.145, flux: 0.16, standard: 'ColorSub_M' },
  { name: 'Yellow', x: 0.45, y: 0.515, flux: 0.82, standard: 'ColorSub_Y' },
]
