/** Prints: a chart for each of a hundred palettes as one PDF. */
import { composeAll } from '#core/paper/compose'
import type { PaperChoice } from '#core/paper/choice'
import { printPdf } from '../cli/printPdf'
import { generateShow } from './generate'
import { line } from './measure'

/** Against composing alone: the rest is laying out and writing. */
export async function benchPaper(): Promise<void> {
  const show = generateShow(20, 100)
  const choice: PaperChoice = { size: 'A4', papers: [{ paper: 'palette-charts', numbers: '' }] }
  const start = performance.now()
  const [charts] = composeAll(show, choice)
  const composed = performance.now()
  const pdf = await printPdf(show, choice, Date.now())
  const printed = performance.now() - composed
  const rows = charts?.leaves.flatMap(({ blocks }) =>
    blocks.flatMap((block) => (block.kind === 'table' ? block.rows : [])),
  )
  line(
    `focus charts of ${charts?.leaves.length ?? 0} palettes, ${rows?.length ?? 0} lines, printed (wanted < 10 s)`,
    `${(printed / 1000).toFixed(1)} s, ${(printed / (composed - start)).toFixed(1)} x composing them, ${((pdf?.length ?? 0) / 1e6).toFixed(1)} MB`,
  )
}
