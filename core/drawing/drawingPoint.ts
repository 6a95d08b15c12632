/** A point on a drawing, in its units; y grows downwards. */
export interface DrawingPoint {
  readonly x: number
  readonly y: number
}
