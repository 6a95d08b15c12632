/** The files a show keeps. */
import type { RigFile, TypeFile, Underlay } from './entities'
import { rigFileId, type RigFileId } from './ids'
import { showRecordOf, type Show } from './show'

/** All records that speak of one; several may speak of the same. */
export function keptFilesOf({ all }: Show): (RigFile | TypeFile | Underlay)[] {
  return [...all.rigFile.values(), ...all.typeFile.values(), ...all.underlay.values()]
}

/** What all of them come to, bytes: one that several records speak of counts once. */
export function keptSize(show: Show): number {
  const sizes = new Map(keptFilesOf(show).map(({ digest, size }) => [digest, size]))
  return [...sizes.values()].reduce((sum, size) => sum + size, 0)
}

/** Their digests. */
export function keptDigests(show: Show): string[] {
  return [...new Set(keptFilesOf(show).map(({ digest }) => digest))].sort()
}

/** The rig files of the venue in play, newest first. */
export function rigFilesOf(show: Show): [id: RigFileId, file: RigFile][] {
  const { venue } = showRecordOf(show)
  return [...show.all.rigFile]
    .filter(([, file]) => file.venue === venue)
    .sort(([, a], [, b]) => b.at - a.at)
    .map(([id, file]) => [rigFileId.parse(id), file])
}
