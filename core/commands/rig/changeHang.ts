/** Renames a hang or says what form it has. Where it hangs is moveHang's. */
import { Draft } from '../../show/draft'
import { hang as hangSchema } from '../../show/entities'
import { hangId } from '../../show/ids'
import { command, done } from '../command'
import { gone, nameInUse } from '../shared/refusals'

export const changeHang = command({
  input: hangSchema.extend({ hang: hangId }),
  undoable: true,
  run(show, { hang, name, form }) {
    const known = show.all.hang.get(hang)
    if (!known) return gone('hang', 'hang')
    const refusal = nameInUse(show, 'hang', name, hang)
    if (refusal) return refusal
    const draft = new Draft(show).set('hang', hang, 'name', name).set('hang', hang, 'form', form)
    const label = name === known.name ? `make ${name} a ${form}` : `rename ${known.name} to ${name}`
    return done(draft, label)
  },
})
