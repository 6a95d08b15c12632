/** Says what a control with an address of its own does; what it did before gives way. */
import { Draft } from '../../show/draft'
import { controlBinding, controlBindingFields } from '../../show/entities'
import { controlBindingId } from '../../show/ids'
import { command, done, refuse } from '../command'

export const bindControl = command({
  input: controlBindingFields,
  undoable: true,
  run(show, binding, { newId }) {
    const fits = controlBinding.safeParse(binding)
    if (!fits.success) {
      const why = fits.error.issues[0]?.message ?? ''
      return refuse('bad input', { field: 'does', why }, 'does')
    }
    const draft = new Draft(show)
    for (const [id, { address }] of show.all.controlBinding)
      if (address === binding.address) draft.remove('controlBinding', id)
    draft.put('controlBinding', controlBindingId.parse(newId()), binding)
    return done(draft, `learn ${binding.address}: ${binding.does}`)
  },
})
