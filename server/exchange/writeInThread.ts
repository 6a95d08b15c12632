/** Rig files and fixture types, written in a thread with the files the show keeps. */
import type { Knex } from 'knex'
import type { FixtureTypeId } from '#core/show/ids'
import { keptDigests } from '#core/show/keptFiles'
import { filesOf } from '../database/fileRepository'
import { versionContentsOf, type ShowHolder } from '../live/snapshot'
import { inThread } from './inThread'

export type Written = { readonly ok: true; readonly file: Uint8Array } | { readonly ok: false; readonly why: string }

/** No rig takes longer, milliseconds. */
const LONGEST = 120_000

/** The file of the rig in play, or of one type; `module` is the thread's script. */
export async function writeInThread(
  module: URL,
  knex: Knex,
  live: ShowHolder,
  type: FixtureTypeId | null,
): Promise<Written> {
  const { show } = live
  const stored = await filesOf(knex, show.id, keptDigests(show))
  const contents = await versionContentsOf(live, show)
  return inThread<Written>(module, { show: show.id, contents, stored, type }, { longest: LONGEST })
}
