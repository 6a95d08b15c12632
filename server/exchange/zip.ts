/** Zip files from outside, read with a limit on everything that can be made to swell; and written, always the same bytes for the same files. */
import { zipSync, type Zippable } from 'fflate'
import { crc32 } from 'node:zlib'
import { fromBufferPromise, type Entry, type ZipFile } from 'yauzl'
import { NotReadable } from '#core/exchange/xml/xml'

/** What a rig file may hold, bytes. */
const MOST = { entries: 5000, entry: 128_000_000, whole: 512_000_000, ratio: 300 }
/** Small ones pack well without meaning harm. */
const SMALL = 1_000_000

/**
 * The files in a zip that are wanted, by name; throws NotReadable with the reason for anything that
 * is damaged, made to swell, or has names that lead out of it.
 */
export async function readZip(
  bytes: Uint8Array,
  isWanted: (name: string) => boolean,
): Promise<Map<string, Uint8Array>> {
  const zip = await opened(bytes)
  const files = new Map<string, Uint8Array>()
  let whole = 0
  try {
    if (zip.entryCount > MOST.entries) throw new NotReadable(`it holds more than ${MOST.entries} files`)
    for await (const entry of zip.eachEntry()) {
      if (entry.fileName.endsWith('/') || !isWanted(entry.fileName)) continue
      checkSize(entry)
      whole += entry.uncompressedSize
      if (whole > MOST.whole) throw new NotReadable('what it holds is larger than any rig')
      files.set(entry.fileName, await contentsOf(zip, entry))
    }
  } catch (error) {
    throw notReadable(error)
  }
  return files
}

async function opened(bytes: Uint8Array): Promise<ZipFile> {
  try {
    return await fromBufferPromise(Buffer.from(bytes), { lazyEntries: true, validateEntrySizes: true })
  } catch (error) {
    throw notReadable(error)
  }
}

function notReadable(error: unknown): NotReadable {
  if (error instanceof NotReadable) return error
  return new NotReadable(`it is no whole zip file: ${error instanceof Error ? error.message : 'damaged'}`)
}

function checkSize({ fileName, uncompressedSize, compressedSize, generalPurposeBitFlag }: Entry): void {
  if ((generalPurposeBitFlag & 1) !== 0) throw new NotReadable(`${fileName} in it is locked with a password`)
  if (uncompressedSize > MOST.entry)
    throw new NotReadable(`${fileName} in it is larger than ${MOST.entry / 1_000_000} MB`)
  if (uncompressedSize > SMALL && uncompressedSize > compressedSize * MOST.ratio)
    throw new NotReadable(`${fileName} in it swells to ${Math.round(uncompressedSize / compressedSize)} times its size`)
}

async function contentsOf(zip: ZipFile, entry: Entry): Promise<Uint8Array> {
  const chunks: Buffer[] = []
  for await (const chunk of await zip.openReadStreamPromise(entry)) chunks.push(Buffer.from(chunk))
  const contents = Buffer.concat(chunks)
  if (crc32(contents) !== entry.crc32)
    throw new NotReadable(`${entry.fileName} in it is damaged (its checksum does not fit)`)
  return contents
}

/** When everything in a written zip was made, so that the same files are the same bytes. */
const MADE = new Date(1980, 0, 1)

export function writeZip(files: ReadonlyMap<string, Uint8Array>): Uint8Array {
  const all: Zippable = {}
  for (const [name, contents] of files) all[name] = [contents, { mtime: MADE, level: 6 }]
  return zipSync(all)
}
