/** Changes an output: what it is, whether it is on, its grand master and black-out. */
import { Draft } from '../../show/draft'
import { outputFields, type Output } from '../../show/entities'
import { outputId } from '../../show/ids'
import { command, done } from '../command'
import { gone, nameInUse } from '../shared/refusals'
import { unsoundOutput } from '../shared/unsoundOutput'

export const changeOutput = command({
  input: outputFields.partial().extend({ output: outputId }),
  undoable: true,
  run(show, { output: id, ...fields }) {
    const known = show.all.output.get(id)
    if (!known) return gone('output', 'output')
    const given = Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined))
    const output = { ...known, ...given }
    const refusal = nameInUse(show, 'output', output.name, id) ?? unsoundOutput(output)
    if (refusal) return refusal
    const [only, second] = Object.keys(given)
    const isLevel = only === 'level' && second === undefined
    return done(
      new Draft(show).put('output', id, output),
      second === undefined ? inWords(known.name, fields) : `change the output ${known.name}`,
      isLevel ? `level of output ${id}` : undefined,
    )
  },
})

type Switched = { readonly [F in 'isOn' | 'isBlack' | 'level']?: Output[F] | undefined }

function inWords(name: string, { isOn, isBlack, level }: Switched) {
  if (isOn !== undefined) return `turn the output ${name} ${isOn ? 'on' : 'off'}`
  if (isBlack !== undefined) return isBlack ? `black out ${name}` : `end the black-out of ${name}`
  if (level !== undefined) return `grand master of ${name} at ${Math.round(level * 100)} %`
  return `change the output ${name}`
}
