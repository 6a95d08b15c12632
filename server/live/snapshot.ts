/** The whole show for pages that open it, in columns and compressed: what has not changed since is not written again. */
import { setImmediate as turn } from 'node:timers/promises'
import { ColumnWriter } from '#core/history/compact'
import { KINDS, type Kind } from '#core/show/entities'
import type { Show } from '#core/show/show'
import type { LiveShow } from '../shows/liveShow'
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
  #last: { readonly revision: number; readonly body: Promise<Buffer> } | null = null

  constructor() {
    this.#kinds = KINDS.map((kind, i) => new KindSnapshot(kind, i === 0 ? '' : ','))
  }

  /** One at a time; whoever asks for the same gets the same. */
  of({ show, revision }: LiveShow): Promise<Buffer> {
    if (this.#last?.revision === revision) return this.#last.body
    const before = this.#last?.body.catch(() => undefined)
    const made = { revision, body: Promise.resolve(before).then(() => this.#make(show, revision)) }
    made.body.catch(() => {
      if (this.#last === made) this.#last = null
    })
    this.#last = made
    return made.body
  }

  async #make(show: Show, revision: number): Promise<Buffer> {
    const head = JSON.stringify({ id: show.id, revision })
    const parts = [await gzipPart(`${head.slice(0, -1)},"all":{"columns":{`)]
    for (const kind of this.#kinds) parts.push(await kind.part(show))
    return gzipOf([...parts, await gzipPart('}}}')])
  }
}

const kept = new WeakMap<LiveShow, Snapshots>()

/** The show as it is, as compressed JSON. */
export function snapshotOf(live: LiveShow): Promise<Buffer> {
  const snapshots = kept.get(live) ?? new Snapshots()
  kept.set(live, snapshots)
  return snapshots.of(live)
}
