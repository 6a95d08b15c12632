/** Joins whoever asks to the show, and tells who they are, what they may do and undo, and what time it is. */
import { z } from 'zod'
import { person as personRecord } from '#core/show/entities'
import { guestOf } from '../../../../access/guest'
import { defineApi } from '../../../../http/api'
import { bodyOf } from '../../../../http/body'
import { memberOf } from '../../../../http/members'
import { showOf } from '../../../../http/showOf'
import { useShowRegistry } from '../../../../shows/useShowRegistry'

const joining = z.strictObject({ name: personRecord.shape.name.optional() })

export default defineApi(async (event) => {
  const live = await showOf(event)
  const { name } = await bodyOf(event, joining)
  const person = await memberOf(event, live, name)
  const { role, session } = await guestOf(event)
  const { clock } = await useShowRegistry()
  const undo = await live.undoState(person)
  return { person, role, isByLink: Boolean(session?.link), undo, now: clock.read() }
})
