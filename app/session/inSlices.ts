/** Long work of the page, a little at a time. */
import { framePainted } from './afterNextFrame'

/** So long it goes on before the page has its turn, milliseconds. */
const SLICE = 8

/** Runs work to its end, telling each step; resolves to null where it is stopped before. */
export async function inSlices<Step, Result>(
  work: Generator<Step, Result>,
  tell: (step: Step) => void,
  stopped: AbortSignal,
): Promise<Result | null> {
  let began = performance.now()
  while (!stopped.aborted) {
    const step = work.next()
    if (step.done === true) return step.value
    tell(step.value)
    if (performance.now() - began < SLICE) continue
    await framePainted()
    began = performance.now()
  }
  return null
}
