/** The whole show for a page, in columns and compressed. What has not changed since is not written anew. */
import { promisify } from 'node:util'
import { gzip } from 'node:zlib'
import { compacted } from '#core/history/compact'
import { KINDS, type EntityOf, type Kind } from '#core/show/entities'
import type { Show } from '#core/show/show'

/** A change of a show makes new maps of the kinds it touches and keeps the others. */
const written = new WeakMap<object, string>()

function columnsOf<K extends Kind>(kind: K, entities: ReadonlyMap<string, EntityOf[K]>): string {
  const known = written.get(entities)
  if (known !== undefined) return known
  const text = JSON.stringify(compacted(kind, entities))
  written.set(entities, text)
  return text
}

/** The answer to opening a show, as compressed JSON; `head` is what stands beside its things. */
export async function snapshotOf(show: Show, head: object): Promise<Buffer> {
  const columns: string[] = []
  for (const kind of KINDS) {
    columns.push(`"${kind}":${columnsOf(kind, show.all[kind])}`)
    // Others get their turn between kinds.
    await new Promise((resolve) => setImmediate(resolve))
  }
  const text = `${JSON.stringify(head).slice(0, -1)},"all":{"columns":{${columns.join(',')}}}}`
  return promisify(gzip)(text, { level: 4 })
}
