/** Adds a fixture type with its modes. */
import { Draft } from '../../show/draft'
import { command, done } from '../command'
import { putType, typeInUse, typeWithModes } from '../shared/typeWithModes'

export const addType = command({
  input: typeWithModes,
  undoable: true,
  run(show, type, { newId }) {
    const refusal = typeInUse(show, type.maker, type.name)
    if (refusal) return refusal
    const draft = new Draft(show)
    putType(draft, type, newId)
    return done(draft, `add the type ${type.name}`)
  },
})
