/** One process of ours for a folder at a time. The hold ends with the process, however that ends. */
import { statSync } from 'node:fs'
import { connect, createServer, type Server } from 'node:net'
import { text } from 'node:stream/consumers'

export interface FolderHold {
  /** What is told to whoever wants the folder meanwhile. */
  words: string
  release(): Promise<void>
}

/** A name in the kernel's own space of sockets, which leaves no file behind. */
function nameOf(folder: string): string {
  const { dev, ino } = statSync(folder)
  return `\0rhopander-${dev}-${ino}`
}

/** Holds a folder that exists; throws with the words of the process that has it. */
export async function holdFolder(folder: string, words: string): Promise<FolderHold> {
  const path = nameOf(folder)
  const hold = { words, release: () => closed(server) }
  const server = createServer((socket) => socket.end(hold.words))
  const isOurs = await new Promise<boolean>((resolve, reject) => {
    server.once('error', (error: NodeJS.ErrnoException) =>
      error.code === 'EADDRINUSE' ? resolve(false) : reject(error),
    )
    server.listen({ path }, () => resolve(true))
  })
  if (!isOurs) throw new Error(await text(connect({ path })))
  server.unref()
  return hold
}

function closed(server: Server): Promise<void> {
  return new Promise((resolve) => server.close(() => resolve()))
}
