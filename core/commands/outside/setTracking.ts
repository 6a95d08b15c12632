/** Says how trackers are listened to in the venue in play. */
import { Draft } from '../../show/draft'
import { trackingFields } from '../../show/entities'
import { showRecordOf } from '../../show/show'
import { trackingOf } from '../../tracking/tracked'
import { command, done } from '../command'
import { definedFields } from '../shared/definedFields'

export const setTracking = command({
  input: trackingFields.partial(),
  undoable: true,
  run(show, fields) {
    const { venue } = showRecordOf(show)
    const draft = new Draft(show).put('tracking', venue, { ...trackingOf(show), ...definedFields(fields), venue })
    if (fields.isOn === undefined) return done(draft, 'change how trackers are listened to')
    return done(draft, fields.isOn ? 'follow trackers' : 'follow no trackers')
  },
})
