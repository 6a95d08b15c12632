/** Reads a back-up in this page, to look into it: nothing of it is kept. */
import { readShowDocument, type ReadShowFile } from '#core/exchange/showFile'
import { showId } from '#core/show/ids'
import { newId } from './newId'

/** Larger files are not read here. Bytes, packed and unpacked. */
const LARGEST = { packed: 50_000_000, unpacked: 400_000_000 }

export async function readBackup(file: File): Promise<ReadShowFile> {
  const tooLarge = { ok: false, message: 'It is too large to be looked into here.' } as const
  if (file.size > LARGEST.packed) return tooLarge
  try {
    const text = await unpacked(file)
    return text === null ? tooLarge : readShowDocument(JSON.parse(text), showId.parse(newId()))
  } catch {
    return { ok: false, message: 'It cannot be read: choose a back-up that was saved by this program.' }
  }
}

/** Whether a file is packed; else it is the plain JSON of a show. */
async function isPacked(file: File): Promise<boolean> {
  const [first, second] = new Uint8Array(await file.slice(0, 2).arrayBuffer())
  return first === 0x1f && second === 0x8b
}

/** The text of a file; null where it grows beyond all measure as it is unpacked. */
async function unpacked(file: File): Promise<string | null> {
  if (!(await isPacked(file))) return file.text()
  const reader = file.stream().pipeThrough(new DecompressionStream('gzip')).getReader()
  const decoder = new TextDecoder()
  const parts: string[] = []
  let size = 0
  for (;;) {
    const { done, value } = await reader.read()
    if (done) return parts.join('') + decoder.decode()
    size += value.byteLength
    if (size > LARGEST.unpacked) return null
    parts.push(decoder.decode(value, { stream: true }))
  }
}
