/** The files of other programs a show keeps. */
import type { RigFile } from './entities'
import { rigFileId, type RigFileId } from './ids'
import { showRecordOf, type Show } from './show'

/** What all of them come to, bytes: one that several records speak of counts once. */
export function keptSize({ all }: Show): number {
  const sizes = new Map([...all.rigFile.values(), ...all.typeFile.values()].map(({ digest, size }) => [digest, size]))
  return [...sizes.values()].reduce((sum, size) => sum + size, 0)
}

/** Their digests. */
export function keptDigests({ all }: Show): string[] {
  return [...new Set([...all.rigFile.values(), ...all.typeFile.values()].map(({ digest }) => digest))].sort()
}

/** The rig files of the venue in play, newest first. */
export function rigFilesOf(show: Show): [id: RigFileId, file: RigFile][] {
  const { venue } = showRecordOf(show)
  return [...show.all.rigFile]
    .filter(([, file]) => file.venue === venue)
    .sort(([, a], [, b]) => b.at - a.at)
    .map(([id, file]) => [rigFileId.parse(id), file])
}
