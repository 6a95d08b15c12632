/** How light travels, in words and to choose from. */
import type { Travel } from '#core/cues/travel'
import { TRAVELS } from '#core/show/entities'

export const travelInWords = (travel: Travel): string => (travel === 'straight' ? 'straight' : 'by angle')
export const TRAVEL_OPTIONS = TRAVELS.map((key) => ({ key, name: travelInWords(key) }))
