/** What the commands for scripts share: reading a document, and saying what is wrong with it. */
import { gunzipSync } from 'node:zlib'

/** Says what is wrong in one line and ends with the code for bad input. */
export function refuse(message: string): never {
  process.stderr.write(`${message}\n`)
  process.exit(2)
}

/** A document as JSON, with or without a byte order mark. */
export function parsedJson(source: string): unknown {
  try {
    return JSON.parse(source.replace(/^\uFEFF/, ''))
  } catch (error) {
    return refuse(`document: not JSON (${error instanceof Error ? error.message.replace(/\s+/g, ' ') : 'unreadable'})`)
  }
}

/** How a packed file begins. */
const PACKED = [0x1f, 0x8b]

/** A file as text, unpacked where it is packed, as back-ups are. */
export function unpacked(file: Buffer): string {
  if (PACKED.some((byte, i) => file[i] !== byte)) return file.toString('utf8')
  try {
    return gunzipSync(file).toString('utf8')
  } catch {
    return refuse('document: it is packed, but damaged')
  }
}
