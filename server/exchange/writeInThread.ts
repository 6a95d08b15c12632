/** Rig files and fixture types, written in a thread with the files the show keeps. */
import type { Knex } from 'knex'
import type { FixtureTypeId } from '#core/show/ids'
import { keptDigests } from '#core/show/keptFiles'
import { filesOf } from '../database/fileRepository'
import { ApiError } from '../http/api'
import { versionContentsOf } from '../live/snapshot'
import type { LiveShow } from '../shows/liveShow'
import { inThread } from './inThread'

export type Written = { readonly ok: true; readonly file: Uint8Array } | { readonly ok: false; readonly why: string }

/** No rig takes longer, milliseconds. */
const LONGEST = 120_000

/** The file of the rig in play, or of one type; `module` is the thread's script. Throws ApiError where what was kept is damaged. */
export async function writeInThread(
  module: URL,
  knex: Knex,
  live: LiveShow,
  type: FixtureTypeId | null,
): Promise<Buffer> {
  const { show } = live
  const stored = await filesOf(knex, show.id, keptDigests(show))
  const contents = await versionContentsOf(live, show)
  const work = { show: show.id, contents, stored, type }
  const written = await inThread<Written>(module, work, { longest: LONGEST })
  if (written.ok) return Buffer.from(written.file)
  const message = `This cannot be written: ${written.why}. Let go of that file (in the Rig room, beside the venue or at its type), and write it again.`
  throw new ApiError(422, { code: 'cannot be written', message })
}
