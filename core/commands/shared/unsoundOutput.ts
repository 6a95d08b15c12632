/** Outputs that cannot be: universes the wrong way round, too many, or by numbers the protocol does not have. */
import { output as schema, type Output } from '../../show/entities'
import { refuse, type Outcome } from '../command'

export function unsoundOutput(output: Output): Outcome | null {
  const read = schema.safeParse(output)
  if (read.success) return null
  const [issue] = read.error.issues
  return refuse('output unsound', { why: issue?.message ?? 'it makes no sense' }, String(issue?.path[0] ?? 'first'))
}
