/** The thread that reads kept versions: compares them, or works out what restoring one changes. */
import { parentPort, workerData } from 'node:worker_threads'
import { gunzipSync } from 'node:zlib'
import { z } from 'zod'
import type { PlainOutcome } from '#core/commands/command'
import { runCommand } from '#core/commands/registry'
import { compareShows } from '#core/history/compare'
import { readCollections } from '#core/history/collections'
import type { ShowId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { versionWork, type ComparedVersions, type HeldShow } from './versions'

const record = z.object({ id: z.string(), contents: z.object({ columns: z.unknown() }) })

/** What a version holds, as `readCollections` takes it. */
function contentsOf({ contents }: HeldShow): unknown {
  const stored: unknown = JSON.parse(gunzipSync(contents).toString('utf8'))
  // Versions of before are the contents alone.
  const read = record.safeParse(stored)
  return read.success ? read.data.contents : stored
}

type ReadShow = { readonly ok: true; readonly show: Show } | Extract<ComparedVersions, { readonly ok: false }>

function showIn(held: HeldShow, id: ShowId): ReadShow {
  const read = readCollections(contentsOf(held), id)
  if (read.ok) return { ok: true, show: { id, all: read.all } }
  const message = `“${held.name}” cannot be read. ${read.message}`
  return { ok: false, refusal: { code: 'not a show', message } }
}

function worked(): ComparedVersions | PlainOutcome {
  const work = versionWork.parse(workerData)
  const later = showIn(work.kind === 'compare' ? work.later : work.current, work.show)
  if (!later.ok) return later
  if (work.kind === 'restore') {
    const input = { name: work.version.name, contents: contentsOf(work.version) }
    const outcome = runCommand(later.show, 'restoreShow', input, work.id, work)
    if (!outcome.ok) return outcome
    const { ok, changes, label, mergeKey } = outcome
    return { ok, changes, label, mergeKey }
  }
  const earlier = showIn(work.earlier, work.show)
  return earlier.ok ? { ok: true, differences: compareShows(earlier.show, later.show) } : earlier
}

parentPort?.postMessage(worked())
