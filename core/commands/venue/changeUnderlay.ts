/** Places what lies under the plan anew, names it, shows or hides it or layers of it. */
import { Draft } from '../../show/draft'
import { underlay as underlaySchema } from '../../show/entities'
import { underlayId, type UnderlayId } from '../../show/ids'
import { normalisedName } from '../../show/names'
import type { Show } from '../../show/show'
import { command, done, refuse, type Outcome } from '../command'
import { definedFields } from '../shared/definedFields'
import { gone } from '../shared/refusals'

export const changeUnderlay = command({
  input: underlaySchema
    .omit({ venue: true, digest: true, size: true, form: true, width: true, height: true })
    .partial()
    .extend({ underlay: underlayId }),
  undoable: true,
  run(show, { underlay, ...fields }) {
    const known = show.all.underlay.get(underlay)
    if (!known) return gone('underlay', 'underlay')
    const refusal = fields.name === undefined ? null : nameInVenue(show, underlay, fields.name)
    if (refusal) return refusal
    const draft = new Draft(show).put('underlay', underlay, { ...known, ...definedFields(fields) })
    return done(draft, inWords(known.name, fields), `${Object.keys(fields).join()} of underlay ${underlay}`)
  },
})

/** Refuses a name another one in its venue has. */
function nameInVenue(show: Show, underlay: UnderlayId, wanted: string): Outcome | null {
  const venue = show.all.underlay.get(underlay)?.venue
  for (const [id, { name, venue: where }] of show.all.underlay)
    if (id !== underlay && where === venue && normalisedName(name) === normalisedName(wanted))
      return refuse('name taken', { kind: 'underlay', name }, 'name')
  return null
}

function inWords(name: string, { visible }: { readonly visible?: boolean | undefined }): string {
  if (visible === undefined) return `change the underlay ${name}`
  return `${visible ? 'show' : 'hide'} the underlay ${name}`
}
