/** Says how controls are listened to, and whom they are told back to. */
import { Draft } from '../../show/draft'
import { controlLine } from '../../show/entities'
import { CONTROL_LINE } from '../../show/ids'
import { controlLineOf } from '../../show/controlLine'
import { command, done } from '../command'
import { definedFields } from '../shared/definedFields'

export const setControlLine = command({
  input: controlLine.partial(),
  undoable: true,
  run(show, fields, { person }) {
    const known = show.all.controlLine.get(CONTROL_LINE)
    const owner = known?.person ?? (show.all.person.has(person) ? person : null)
    const draft = new Draft(show).put('controlLine', CONTROL_LINE, {
      ...controlLineOf(show),
      person: owner,
      ...definedFields(fields),
    })
    if (fields.isOn === undefined) return done(draft, 'change how controls are listened to')
    return done(draft, fields.isOn ? 'listen to controls' : 'listen to no controls')
  },
})
