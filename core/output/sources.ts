/**
 * Sources of levels on a network and what they come to together: of each universe the levels of the
 * sources with the highest priority, channel by channel the highest of them. Sources that end or fall
 * silent no longer count. It takes in whatever comes and never holds more than so many.
 */
import { isArtNetOutdated } from './wire/artNet'
import { isOutdated, SOURCE_LOST } from './wire/e131'
import type { Protocol } from '../show/entities'
import type { Universes } from './channelLevels'

/** So many universes are kept of each protocol, and so many sources of each: more than this is no rig but a flood. */
export const MOST_HEARD = { universes: 1024, sources: 16 }
/** Art-Net has no priorities: it counts as E1.31 does where nothing else is said. */
const USUAL_PRIORITY = 100

/** Levels as they came. `universe` by the number it came by, counting from 1; `source` tells senders apart. */
export interface LevelsHeard {
  readonly protocol: Protocol
  readonly universe: number
  readonly source: string
  readonly name: string
  readonly priority?: number
  readonly sequence: number
  readonly isTerminated?: boolean
  readonly levels: Uint8Array
}

/** A source of one universe as it is told. */
export interface SourceTold {
  readonly protocol: Protocol
  readonly universe: number
  readonly source: string
  readonly name: string
  readonly priority: number
  /** Packets since it was told last. */
  readonly packets: number
  /** Whether its levels count: it is of those with the highest priority. */
  readonly counts: boolean
}

interface Source {
  name: string
  priority: number
  sequence: number
  levels: Uint8Array
  heardAt: number
  packets: number
}

interface Universe {
  readonly protocol: Protocol
  readonly number: number
  readonly sources: Map<string, Source>
  merged: Uint8Array | null
}

const SIZE = 512

export class Sources {
  readonly #universes = new Map<string, Universe>()
  /** Packets left out since it was asked last: there were too many universes or sources, or they came out of order. */
  #leftOut = 0

  /** Takes in levels heard at an instant, milliseconds. */
  hear(heard: LevelsHeard, now: number): void {
    const universe = this.#universeOf(heard)
    const known = universe?.sources.get(heard.source)
    if (!universe || (known && isOld(heard, known, now))) return this.#leaveOut()
    if (heard.isTerminated) {
      universe.sources.delete(heard.source)
      universe.merged = null
      return
    }
    if (!known && universe.sources.size >= MOST_HEARD.sources) return this.#leaveOut()
    const { name, sequence, priority = USUAL_PRIORITY } = heard
    const levels = new Uint8Array(SIZE)
    levels.set(heard.levels.subarray(0, SIZE))
    const packets = (known?.packets ?? 0) + 1
    universe.sources.set(heard.source, { name, sequence, priority, levels, packets, heardAt: now })
    universe.merged = null
  }

  #leaveOut(): void {
    this.#leftOut += 1
  }

  #universeOf({ protocol, universe: number }: LevelsHeard): Universe | null {
    const key = `${protocol} ${number}`
    const known = this.#universes.get(key)
    if (known) return known
    if (this.#universes.size >= MOST_HEARD.universes) return null
    const fresh: Universe = { protocol, number, sources: new Map(), merged: null }
    this.#universes.set(key, fresh)
    return fresh
  }

  /** Lets go of sources that have fallen silent by an instant, and of universes without any. */
  forget(now: number): void {
    for (const [key, universe] of this.#universes) {
      for (const [id, { heardAt }] of universe.sources)
        if (now - heardAt > SOURCE_LOST) {
          universe.sources.delete(id)
          universe.merged = null
        }
      if (universe.sources.size === 0) this.#universes.delete(key)
    }
  }

  /** What comes in, by the numbers universes came by; the same levels as long as they are the same. */
  levels(protocol: Protocol): Universes {
    const found = new Map<number, Uint8Array>()
    for (const universe of this.#universes.values())
      if (universe.protocol === protocol && universe.sources.size > 0)
        found.set(universe.number, (universe.merged ??= merged(counting(universe))))
    return found
  }

  /** Every source of every universe, and how many packets were left out; both since it was asked last. */
  tell(): { sources: SourceTold[]; leftOut: number } {
    const sources: SourceTold[] = []
    for (const universe of this.#universes.values()) {
      const { protocol, number, sources: all } = universe
      const counts = new Set(counting(universe))
      for (const [source, one] of all) {
        const { name, priority, packets } = one
        sources.push({ protocol, universe: number, source, name, priority, packets, counts: counts.has(one) })
        one.packets = 0
      }
    }
    const leftOut = this.#leftOut
    this.#leftOut = 0
    return { sources, leftOut }
  }
}

/** Whether levels came late. One who was silent so long that it counts as gone may begin anew anywhere. */
function isOld({ protocol, sequence }: LevelsHeard, known: Source, now: number): boolean {
  if (now - known.heardAt > SOURCE_LOST) return false
  return protocol === 'E1.31' ? isOutdated(known.sequence, sequence) : isArtNetOutdated(known.sequence, sequence)
}

/** The sources of a universe with the highest priority. */
function counting({ sources }: Universe): Source[] {
  const highest = Math.max(...[...sources.values()].map(({ priority }) => priority))
  return [...sources.values()].filter(({ priority }) => priority === highest)
}

function merged(sources: readonly Source[]): Uint8Array {
  const [only, ...others] = sources
  if (!only) return new Uint8Array(SIZE)
  if (others.length === 0) return only.levels
  return only.levels.map((level, i) => Math.max(level, ...others.map(({ levels }) => levels[i] ?? 0)))
}
