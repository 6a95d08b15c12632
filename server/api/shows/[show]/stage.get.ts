/** The stage of the venue in play as a drawing or a model, for other programs. */
import { setResponseHeaders } from 'h3'
import { z } from 'zod'
import { STAGE_FILES, type StageFile } from '#core/exchange/drawing/stageFiles'
import { stageModel } from '#core/exchange/drawing/stageModel'
import { writeDxf } from '#core/exchange/drawing/writeDxf'
import { hangPlotSvg } from '#core/paper/hangPlot'
import type { Show } from '#core/show/show'
import { glbOfBodies } from '../../../exchange/glb'
import { defineApi, queryOf } from '../../../http/api'
import { fileNameOf } from '../../../http/fileName'
import { showOf } from '../../../http/showOf'

/** The plan is drawn so many times smaller. */
const SCALE = 50
const query = z.object({ as: z.enum(STAGE_FILES) })

const WRITE: Readonly<Record<StageFile, (show: Show) => string | Promise<Uint8Array>>> = {
  dxf: writeDxf,
  svg: (show) => hangPlotSvg(show, SCALE),
  glb: (show) => glbOfBodies(stageModel(show)),
}
const TYPE: Readonly<Record<StageFile, string>> = {
  dxf: 'application/dxf; charset=us-ascii',
  svg: 'image/svg+xml',
  glb: 'model/gltf-binary',
}

export default defineApi(async (event) => {
  const { show } = await showOf(event)
  const { as } = queryOf(event, query)
  const file = await WRITE[as](show)
  setResponseHeaders(event, { 'content-type': TYPE[as], ...fileNameOf(show, new Date().toISOString(), as) })
  return typeof file === 'string' ? file : Buffer.from(file)
})
