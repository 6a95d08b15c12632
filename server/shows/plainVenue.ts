/** The stage a new show starts on until its own is drawn: 12 m wide, 9 m deep. */
import type { Venue } from '#core/show/entities'

export const PLAIN_VENUE: Venue = {
  name: 'First venue',
  outline: [
    { x: -6, y: -1 },
    { x: 6, y: -1 },
    { x: 6, y: 9 },
    { x: -6, y: 9 },
  ],
  opening: { width: 11, height: 6.5, depth: 9 },
  keepClear: [],
  levels: [],
  note: '',
  date: null,
}
