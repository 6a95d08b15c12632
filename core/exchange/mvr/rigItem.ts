/** What of a thing an item is about: all of something new, or where it differs. */
export type RigAspect = 'new' | 'place' | 'address' | 'number' | 'name' | 'type' | 'modes' | 'members'

/** One thing of a rig file to take or to leave. */
export interface RigItem {
  readonly key: string
  readonly kind: 'type' | 'hang' | 'fixture' | 'group' | 'target' | 'set piece' | 'underlay'
  readonly name: string
  readonly what: RigAspect
  /** Of a set piece, or of lines; empty for one in none. */
  readonly layer?: string
  readonly before: string
  readonly after: string
  /** Whether it is taken unless a person says otherwise. */
  readonly suggested: boolean
}

export function keyOf(kind: RigItem['kind'], id: string, what: RigAspect = 'new'): string {
  return `${kind} ${id} ${what}`
}

/** Nearer than this, metres and degrees, is the same place. */
export const SAME = { metres: 0.001, degrees: 0.05 }
