import { defineApi } from '../../http/api'
import { useHouse } from '../../shows/useHouse'

export default defineApi(async () => ({ shows: await (await useHouse()).shows() }))
