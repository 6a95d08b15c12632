/** What is in a rig file, a fixture type or a drawing of a set; nothing of it is taken yet. */
import { z } from 'zod'
import { UPS } from '#core/exchange/drawing/units'
import { AXES } from '#core/exchange/gdtf/readType'
import { lookAtRig } from '../../../../exchange/lookAtRig'
import { ApiError, defineApi, queryOf } from '../../../../http/api'
import { bytesOf } from '../../../../http/body'
import { showOf } from '../../../../http/showOf'

/** Rigs with all their models, bytes. */
const LARGEST_FILE = 256_000_000

/** The build puts the thread beside the server; where that is, is known only once the server has been loaded. */
const rigThread = () => new URL('./rigThread.mjs', import.meta.url)
const query = z.object({
  name: z.string().max(200).default('file'),
  /** The axes of its types that count left-handed, with commas between. */
  leftHanded: z.string().max(20).default(''),
  /** Which way is up in a drawing that does not say. */
  up: z.enum(UPS).default('y'),
})

export default defineApi(async (event) => {
  await showOf(event, 'programs')
  const { name, leftHanded, up } = queryOf(event, query)
  const axes = AXES.filter((axis) => leftHanded.split(',').includes(axis))
  const stop = new AbortController()
  event.node.res.once('close', () => stop.abort())
  const file = await bytesOf(event, LARGEST_FILE)
  if (file.length === 0) throw refused(name, 'it is empty')
  const looked = await lookAtRig(rigThread(), { file, name, leftHanded: axes, up }, stop.signal)
  if (!looked.ok) throw refused(name, looked.why)
  return looked.reading
})

function refused(name: string, why: string): ApiError {
  return new ApiError(422, { code: 'not a rig file', message: `${name} cannot be read: ${why}.` })
}
