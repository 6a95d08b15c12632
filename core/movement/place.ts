/** A place in the plane of a path, from its middle: metres, or degrees. */
export interface Place {
  readonly along: number
  readonly across: number
}
export const MIDDLE: Place = { along: 0, across: 0 }

/** The part of a round that is over, 0 up to 1. */
export function ofRound(rounds: number): number {
  const part = rounds - Math.floor(rounds)
  // What is less than nothing by a rounding would be a whole round.
  return part < 1 ? part : 0
}
