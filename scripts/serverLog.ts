/** The server's log in a folder, in a few files that take turns. */
import { join } from 'node:path'
import { createStream, type RotatingFileStream } from 'rotating-file-stream'

export interface ServerLog {
  write(chunk: Buffer): void
  end(): void
}

/** What cannot be written, because the disk is full or can only be read, is lost; the server goes on. */
export function serverLog(folder: string): ServerLog {
  let stream: RotatingFileStream | null = null
  const begin = () => {
    const begun = createStream('server.log', { path: join(folder, 'log'), size: '2M', maxFiles: 5 })
    begun.on('error', () => {
      if (stream === begun) stream = null
    })
    return begun
  }
  return {
    write: (chunk) => {
      stream ??= begin()
      stream.write(chunk)
    },
    end: () => stream?.end(),
  }
}
