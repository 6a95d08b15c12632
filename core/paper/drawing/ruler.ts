/** A ruler of metres: true when it is measured on paper. */
import { INKS, type Pen } from './pen'

/** Steps of rulers, metres, and the shortest they are drawn, millimetres. */
const STEPS = [0.1, 0.2, 0.5, 1, 2, 5, 10] as const
const SHORTEST_MM = 6
/** At most so much of the drawing's width. */
const PART = 0.45

/** Draws the ruler in the lower right corner and says the scale; resolves to how long it is, metres. */
export function drawRuler(pen: Pen): number {
  const step = STEPS.find((one) => (one * 1000) / pen.view.scale >= SHORTEST_MM) ?? 10
  const count = Math.max(1, Math.min(5, Math.floor((pen.width * PART) / (step * pen.metre))))
  const [right, y] = [pen.width - 14, pen.height - 12]
  const left = right - count * step * pen.metre
  pen.path(`M${left - 12} ${pen.height - 40}h${right - left + 24}v38h${-(right - left + 24)}Z`, {
    fill: INKS.paper,
    opacity: 0.85,
  })
  for (let i = 0; i < count; i++) {
    const x = left + i * step * pen.metre
    pen.path(`M${x.toFixed(2)} ${y - 4}h${(step * pen.metre).toFixed(2)}v4h${(-step * pen.metre).toFixed(2)}Z`, {
      fill: i % 2 === 0 ? INKS.line : INKS.paper,
      stroke: INKS.line,
      width: 0.12,
    })
  }
  pen.text({ x: left, y: y - 8 }, `1:${pen.view.scale}`, { colour: INKS.middle })
  pen.text({ x: right, y: y - 8 }, `${Number((count * step).toFixed(1))} m`, { anchor: 'end', colour: INKS.middle })
  return count * step
}
