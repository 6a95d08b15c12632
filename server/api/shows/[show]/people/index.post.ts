/** Joins whoever asks to the show, and tells who they are and what they may do. */
import { z } from 'zod'
import { ENTITY_SCHEMAS } from '#core/show/entities'
import { guestOf } from '../../../../access/guest'
import { defineApi } from '../../../../http/api'
import { bodyOf } from '../../../../http/body'
import { memberOf } from '../../../../http/members'
import { showOf } from '../../../../http/showOf'

const joining = z.strictObject({ name: ENTITY_SCHEMAS.person.shape.name.optional() })

export default defineApi(async (event) => {
  const live = await showOf(event)
  const { name } = await bodyOf(event, joining)
  const person = await memberOf(event, live, name)
  const { role, session } = await guestOf(event)
  return { person, role, isByLink: Boolean(session?.link) }
})
