/** What the plain JSON of a show is, as a JSON Schema. */
import { openShowSchema } from '#core/exchange/openShow'
import { defineApi } from '../http/api'

export default defineApi(() => openShowSchema())
