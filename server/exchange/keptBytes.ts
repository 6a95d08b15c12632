/** What is in the files a show keeps: of rigs whole, of types that type. */
import type { KeptType } from '#core/exchange/gdtf/keptType'
import { wheelPictures, type WheelPicture } from '#core/exchange/gdtf/wheelPictures'
import { NotReadable } from '#core/exchange/xml/xml'
import type { RigFile, TypeFile } from '#core/show/entities'
import { fixtureTypeId, type FixtureTypeId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import type { StoredFiles } from '../database/fileRepository'
import { textOf, TYPE } from './rigFile'
import { readZip } from './zip'

/** The files types came from: all of them, or that of one. */
export async function typesKept(
  show: Show,
  stored: StoredFiles,
  only?: FixtureTypeId,
): Promise<Map<FixtureTypeId, { kept: KeptType; bytes: Uint8Array }>> {
  const found = new Map<FixtureTypeId, { kept: KeptType; bytes: Uint8Array }>()
  for (const [id, file] of show.all.typeFile) {
    if (only !== undefined && id !== only) continue
    const whole = bytesOf(file, stored)
    const bytes = file.entry === '' ? whole : (await readZip(whole, (name) => name === file.entry)).get(file.entry)
    const xml = bytes && (await readZip(bytes, (name) => name === TYPE)).get(TYPE)
    if (!bytes || !xml) throw new NotReadable(`${file.name} that was kept holds no ${file.entry || TYPE}`)
    const { part, leftHanded } = file
    found.set(fixtureTypeId.parse(id), { kept: { xml: textOf(xml), part, leftHanded }, bytes })
  }
  return found
}

export function bytesOf({ name, digest }: RigFile | TypeFile, stored: StoredFiles): Uint8Array {
  const bytes = stored.get(digest)
  if (!bytes) throw new NotReadable(`${name} that was kept is not there`)
  return bytes
}

/** A picture larger than this is none of a gobo, bytes. */
const LARGEST_PICTURE = 500_000
const PNG = [0x89, 0x50, 0x4e, 0x47]

/** The pictures of the wheels of a type that came from a file, as PNG in base 64; throws NotReadable. */
export async function wheelPicturesKept(
  show: Show,
  type: FixtureTypeId,
  stored: StoredFiles,
): Promise<(Omit<WheelPicture, 'name'> & { readonly png: string })[]> {
  const kept = (await typesKept(show, stored, type)).get(type)
  if (!kept) return []
  const slots = wheelPictures(kept.kept.xml)
  const files = await readZip(kept.bytes, (name) => name.startsWith('wheels/'))
  return slots.flatMap(({ wheel, slot, name }) => {
    const bytes = files.get(`wheels/${name}.png`) ?? files.get(`wheels/${name}`)
    const isPicture = bytes && bytes.length <= LARGEST_PICTURE && PNG.every((byte, i) => bytes[i] === byte)
    return isPicture ? [{ wheel, slot, png: Buffer.from(bytes).toString('base64') }] : []
  })
}
