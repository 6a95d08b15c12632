/** The rig of the venue in play as a rig file, for other programs. */
import { setResponseHeaders } from 'h3'
import { writeRigFile } from '../../../../exchange/rigFile'
import { defineApi } from '../../../../http/api'
import { fileNameOf } from '../../../../http/fileName'
import { showOf } from '../../../../http/showOf'

export default defineApi(async (event) => {
  const { show } = await showOf(event)
  const file = await writeRigFile(show)
  setResponseHeaders(event, { 'content-type': 'application/zip', ...fileNameOf(show, new Date().toISOString(), 'mvr') })
  return Buffer.from(file)
})
