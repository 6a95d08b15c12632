/** Lets a browser in by the key of a link. */
import { z } from 'zod'
import { person } from '#core/show/entities'
import { comeIn } from '../access/guest'
import { defineOpenApi } from '../http/api'
import { bodyOf } from '../http/body'

const coming = z.strictObject({ key: z.string().max(200), name: person.shape.name.nullable() })

export default defineOpenApi(async (event) => {
  const { key, name } = await bodyOf(event, coming)
  const { role, show } = await comeIn(event, key, name)
  return { role, show }
})
