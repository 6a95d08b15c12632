/** A palette's aims as a CSV file. */
import { setResponseHeaders } from 'h3'
import { AIM_COLUMNS, aimsOfPalette } from '#core/exchange/aimsTable'
import { paletteId } from '#core/show/ids'
import { ApiError, defineApi, paramOf } from '../../../../../http/api'
import { csvOf } from '../../../../../http/csv'
import { showOf } from '../../../../../http/showOf'

export default defineApi(async (event) => {
  const live = await showOf(event)
  const id = paramOf(event, 'palette', paletteId)
  const palette = live.show.all.palette.get(id)
  if (!palette) throw new ApiError(404, { code: 'not found', message: 'There is no such palette in this show.' })
  setResponseHeaders(event, {
    'content-type': 'text/csv; charset=utf-8',
    'content-disposition': `attachment; filename="palette-${palette.number}-aims.csv"`,
  })
  return csvOf(AIM_COLUMNS, aimsOfPalette(live.show, id))
})
