/** Takes an output out. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { outputId } from '../../show/ids'
import { command, done } from '../command'
import { gone } from '../shared/refusals'

export const deleteOutput = command({
  input: z.strictObject({ output: outputId }),
  undoable: true,
  run(show, { output }) {
    const known = show.all.output.get(output)
    if (!known) return gone('output', 'output')
    return done(new Draft(show).remove('output', output), `delete the output ${known.name}`)
  },
})
