/** The rig of the venue in play as a rig file, for other programs. */
import { setResponseHeaders } from 'h3'
import { writeInThread } from '../../../../exchange/writeInThread'
import { defineApi } from '../../../../http/api'
import { fileNameOf } from '../../../../http/fileName'
import { showOf } from '../../../../http/showOf'
import { writtenFile } from '../../../../http/writtenFile'
import { useShowRegistry } from '../../../../shows/useShowRegistry'

/** The build puts the thread beside the server; where that is, is known only once the server has been loaded. */
const writeRigThread = () => new URL('./writeRigThread.mjs', import.meta.url)

export default defineApi(async (event) => {
  const live = await showOf(event)
  const { knex } = await useShowRegistry()
  const written = await writeInThread(writeRigThread(), knex, live, null)
  const file = writtenFile(written)
  const named = fileNameOf(live.show, new Date().toISOString(), 'mvr')
  setResponseHeaders(event, { 'content-type': 'application/zip', ...named })
  return file
})
