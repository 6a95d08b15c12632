/** Changes how the pass of the venue in play is gone through. */
import { Draft } from '../../show/draft'
import { pass } from '../../show/entities'
import { command, done } from '../command'
import { inPass } from '../shared/inPass'

export const changePass = command({
  input: pass.pick({ order: true, level: true, others: true, corrections: true }).partial(),
  undoable: true,
  run: (show, { order, level, others, corrections }) =>
    inPass(show, ({ id }) => {
      const draft = new Draft(show)
      if (order !== undefined) draft.set('pass', id, 'order', order)
      if (level !== undefined) draft.set('pass', id, 'level', level)
      if (others !== undefined) draft.set('pass', id, 'others', others)
      if (corrections !== undefined) draft.set('pass', id, 'corrections', corrections)
      return done(draft, 'change how the pass goes', level === undefined ? undefined : 'level of the pass')
    }),
})
