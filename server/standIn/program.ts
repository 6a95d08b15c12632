/** The stand-in rig as a program: whoever starts it hands it a rig, and it ends with them. */
import { randomUUID } from 'node:crypto'
import { fileURLToPath } from 'node:url'
import { readShowDocument } from '#core/exchange/showFile'
import { showId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { toStandIn, type FromStandIn, type ToStandIn } from './messages'
import { servePage } from './page'
import { Practice } from './practice'

const FILES = fileURLToPath(new URL('../public', import.meta.url))
let practice: Practice | null = null
const tell = (message: FromStandIn) => process.send?.(message)

function read(document: unknown): Show {
  const found = readShowDocument(document, showId.parse(randomUUID()))
  if (!found.ok) throw new Error(`The show cannot be read. ${found.message}`)
  return found.show
}

async function hear(message: ToStandIn): Promise<void> {
  const show = read(message.document)
  if (message.kind === 'stage') return practice?.setStage(show)
  practice = new Practice(show, message.how)
  tell({ kind: 'ready', url: await servePage(practice, FILES, message.port) })
}

process.on('message', (message) => {
  hear(toStandIn.parse(message)).catch((error: unknown) => {
    tell({ kind: 'failed', message: error instanceof Error ? error.message : 'It could not begin.' })
    process.exit(1)
  })
})
process.on('disconnect', () => process.exit(0))
