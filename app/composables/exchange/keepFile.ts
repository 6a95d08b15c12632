/** Puts a file in that something of the show will speak of. */
import { underlay } from '#core/show/entities'
import type { ShowId } from '#core/show/ids'
import { requestWithFile } from '../../session/request'

const stored = underlay.pick({ digest: true, size: true })

export const keepFile = (show: ShowId, file: Blob) => requestWithFile(`/api/shows/${show}/files`, stored, file)
