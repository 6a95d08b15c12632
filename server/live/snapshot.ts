/** The whole show for pages that open it, in columns and compressed: what has not changed since is not written again. */
import { setImmediate as turn } from 'node:timers/promises'
import { showFileHead } from '#core/exchange/showFile'
import { ColumnWriter } from '#core/history/compact'
import { KINDS, type Kind } from '#core/show/kinds'
import type { Show } from '#core/show/show'
import type { StoredFiles } from '../database/fileRepository'
import { filesInJson } from './filesInJson'
import { gzipOf, gzipPart, type GzipPart } from './gzipParts'

/** Others get their turn after so long, milliseconds. */
const A_WHILE = 8

/** The things of one kind, written anew only when there are others: a change makes new maps of the kinds it touches. */
class KindSnapshot<K extends Kind> {
  readonly #kind: K
  readonly #before: string
  readonly #writer: ColumnWriter<K>
  #written: { readonly entities: object; readonly part: GzipPart } | null = null

  /** `before` separates it from what it follows. */
  constructor(kind: K, before: string) {
    this.#kind = kind
    this.#before = before
    this.#writer = new ColumnWriter(kind)
  }

  async part({ all }: Show): Promise<GzipPart> {
    const entities = all[this.#kind]
    if (this.#written?.entities === entities) return this.#written.part
    const pieces: string[] = []
    let begun = performance.now()
    for (const piece of this.#writer.pieces(entities)) {
      pieces.push(piece)
      if (performance.now() - begun < A_WHILE) continue
      await turn()
      begun = performance.now()
    }
    const part = await gzipPart(`${this.#before}"${this.#kind}":${pieces.join('')}`)
    this.#written = { entities, part }
    return part
  }
}

class Snapshots {
  readonly #kinds: readonly KindSnapshot<Kind>[]
  #last: { readonly show: Show; readonly parts: Promise<readonly GzipPart[]> } | null = null

  constructor() {
    this.#kinds = KINDS.map((kind, i) => new KindSnapshot(kind, i === 0 ? '' : ','))
  }

  /** One at a time; whoever asks for the same gets the same. */
  parts(show: Show): Promise<readonly GzipPart[]> {
    if (this.#last?.show === show) return this.#last.parts
    const before = this.#last?.parts.catch(() => undefined)
    const made = { show, parts: Promise.resolve(before).then(() => this.#make(show)) }
    made.parts.catch(() => {
      if (this.#last === made) this.#last = null
    })
    this.#last = made
    return made.parts
  }

  async #make(show: Show): Promise<readonly GzipPart[]> {
    const parts: GzipPart[] = []
    for (const kind of this.#kinds) parts.push(await kind.part(show))
    return parts
  }
}

/** Who holds a show that changes. */
export interface ShowHolder {
  readonly show: Show
  readonly revision: number
}

const kept = new WeakMap<ShowHolder, Snapshots>()

/** A show that is or was that of `live`, in one field of a compressed JSON record after those of `head`; `rest` stands behind it. */
async function compressed(
  live: ShowHolder,
  show: Show,
  head: object,
  field: string,
  rest: readonly GzipPart[] = [],
): Promise<Buffer> {
  const snapshots = kept.get(live) ?? new Snapshots()
  kept.set(live, snapshots)
  const begin = gzipPart(`${JSON.stringify(head).slice(0, -1)},"${field}":{"columns":{`)
  return gzipOf([await begin, ...(await snapshots.parts(show)), await gzipPart('}}'), ...rest, await gzipPart('}')])
}

/** The show as it is, for a page. */
export function snapshotOf(live: ShowHolder): Promise<Buffer> {
  const { show, revision } = live
  return compressed(live, show, { id: show.id, revision }, 'all')
}

/** A show that is or was that of `live`, with the files it keeps, as a back-up; `madeAt` is an instant as text. */
export async function backupOf(live: ShowHolder, show: Show, files: StoredFiles, madeAt: string): Promise<Buffer> {
  const rest: GzipPart[] = []
  for (const text of filesInJson(files)) rest.push(await gzipPart(text))
  return compressed(live, show, showFileHead(show, madeAt), 'contents', rest)
}

/** A show that is or was that of `live` as a version of it. */
export function versionContentsOf(live: ShowHolder, show: Show): Promise<Buffer> {
  return compressed(live, show, { id: show.id }, 'contents')
}

/** A show that is or was that of `live`, under a name, as versions are held. */
export async function heldAs(live: ShowHolder, show: Show, name: string): Promise<{ name: string; contents: Buffer }> {
  return { name, contents: await versionContentsOf(live, show) }
}
