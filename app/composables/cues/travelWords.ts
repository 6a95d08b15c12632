/** How light travels, to choose from. */
import { travelInWords } from '#core/cues/travel'
import { TRAVELS } from '#core/show/entities'

export const TRAVEL_OPTIONS = TRAVELS.map((key) => ({ key, name: travelInWords(key) }))
