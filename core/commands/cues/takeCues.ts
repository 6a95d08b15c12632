/** Takes cues that came from elsewhere as a list of their own. */
import { z } from 'zod'
import { attributeId } from '../../attributes/attribute'
import { putCueValue } from '../../cues/marks'
import { counted } from '../../show/counted'
import { Draft } from '../../show/draft'
import { cue as cueSchema, cueList } from '../../show/entities'
import { cueId, cueListId, fixtureId } from '../../show/ids'
import { typedFixtures } from '../../show/rig'
import type { Show } from '../../show/show'
import { cueContent, fitsAttribute, MISFIT_OF_ATTRIBUTE } from '../../show/values'
import { command, done, refuse, type Outcome } from '../command'
import { gone } from '../shared/refusals'
import { PLAIN_LIST } from './addCueList'

const takenValue = z
  .strictObject({ fixture: fixtureId, attribute: attributeId, value: cueContent })
  .refine(fitsAttribute, MISFIT_OF_ATTRIBUTE)
const input = z.strictObject({
  number: cueList.shape.number,
  name: cueList.shape.name,
  cues: z
    .array(
      cueSchema
        .pick({ number: true, name: true, rise: true, fall: true })
        .extend({ values: z.array(takenValue).max(200_000) }),
    )
    .min(1)
    .max(10_000)
    .refine((cues) => new Set(cues.map(({ number }) => number)).size === cues.length, 'two cues have the same number'),
})
type Input = z.infer<typeof input>

export const takeCues = command({
  input,
  undoable: true,
  run(show, { number, name, cues }, { newId }) {
    for (const known of show.all.cueList.values())
      if (known.number === number) return refuse('number taken', { kind: 'cueList', number, by: known.name }, 'number')
    const missing = missingIn(show, cues)
    if (missing) return missing
    const list = cueListId.parse(newId())
    const draft = new Draft(show).put('cueList', list, { ...PLAIN_LIST, number, name })
    for (const { values, ...own } of cues) {
      const id = cueId.parse(newId())
      const plain = { note: '', move: null, delay: 0, follow: 'wait', travel: null, quiet: false } as const
      draft.put('cue', id, { ...own, ...plain, list })
      for (const value of values) putCueValue(draft, { cue: id, ...value })
    }
    return done(draft, `take ${counted(cues.length, 'cue')} as ${name}`)
  },
})

/** What values speak of must be in the show. */
function missingIn(show: Show, cues: Input['cues']): Outcome | null {
  const typed = typedFixtures(show)
  for (const { values } of cues)
    for (const { fixture, attribute, value } of values) {
      const known = typed.get(fixture)
      if (!known) return gone('fixture', 'cues')
      if (!known.type.has.includes(attribute))
        return refuse('bad input', { field: 'values', why: `${attribute} cannot be set so` }, 'cues')
      if (value.kind === 'link' && !show.all.palette.has(value.palette)) return gone('palette', 'cues')
      if (value.kind === 'aim' && value.target !== null && !show.all.target.has(value.target))
        return gone('target', 'cues')
    }
  return null
}
