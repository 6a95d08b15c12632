/** Adds an output. It goes nowhere until it is turned on. */
import { Draft } from '../../show/draft'
import { outputFields } from '../../show/entities'
import { outputId } from '../../show/ids'
import { command, done } from '../command'
import { nameInUse } from '../shared/refusals'
import { unsoundOutput } from '../shared/unsoundOutput'

export const addOutput = command({
  input: outputFields.omit({ isOn: true, level: true, isBlack: true }),
  undoable: true,
  run(show, input, { newId }) {
    const output = { ...input, isOn: false, level: 1, isBlack: false }
    const refusal = nameInUse(show, 'output', input.name) ?? unsoundOutput(output)
    if (refusal) return refusal
    return done(new Draft(show).put('output', outputId.parse(newId()), output), `add the output ${input.name}`)
  },
})
