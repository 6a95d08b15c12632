/** Forgets what controls with addresses of their own do. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { controlBindingId } from '../../show/ids'
import { command, done } from '../command'
import { namesInWords } from '../shared/wording'

export const unbindControls = command({
  input: z.strictObject({ bindings: z.array(controlBindingId).min(1) }),
  undoable: true,
  run(show, { bindings }) {
    const draft = new Draft(show)
    for (const binding of bindings) draft.remove('controlBinding', binding)
    const addresses = bindings.flatMap((binding) => show.all.controlBinding.get(binding)?.address ?? [])
    return done(draft, `forget ${namesInWords(addresses)}`)
  },
})
