import { ApiError, defineApi } from '../http/api'

export default defineApi(() => {
  throw new ApiError(404, { code: 'not found', message: 'There is nothing at this address.' })
})
