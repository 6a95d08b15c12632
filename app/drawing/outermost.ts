/** Which of many ellipses cover what all of them cover: filling one over hundreds takes longer than a frame. */
import type { Ellipse } from './brush'

/** Points of a rim that are looked at. */
const RIM = Array.from({ length: 12 }, (_, i) => ({ c: Math.cos((i * Math.PI) / 6), s: Math.sin((i * Math.PI) / 6) }))

/** Those that lie in no larger one of them, the largest first. */
export function outermost(ellipses: readonly Ellipse[]): Ellipse[] {
  const found: Ellipse[] = []
  for (const ellipse of [...ellipses].sort((a, b) => b.long * b.short - a.long * a.short))
    if (!found.some((larger) => liesIn(ellipse, larger))) found.push(ellipse)
  return found
}

function liesIn(inner: Ellipse, outer: Ellipse): boolean {
  const [c, s] = [Math.cos(inner.turn), Math.sin(inner.turn)]
  return RIM.every((at) => {
    const [along, across] = [inner.long * at.c, inner.short * at.s]
    return holds(outer, inner.x + along * c - across * s, inner.y + along * s + across * c)
  })
}

function holds({ x, y, long, short, turn }: Ellipse, px: number, py: number): boolean {
  const [dx, dy] = [px - x, py - y]
  const [c, s] = [Math.cos(turn), Math.sin(turn)]
  return ((dx * c + dy * s) / long) ** 2 + ((dy * c - dx * s) / short) ** 2 <= 1
}
