/** What the journal is asked when something is undone: the steps, and who wrote a register. */
import type { Json } from '../show/json'
import type { ChangeGroupId, PersonId, WindowId } from '../show/ids'

/** What undo takes back as one: a command, or several that joined. Dead once undone. */
export interface ChangeGroup {
  readonly id: ChangeGroupId
  readonly person: PersonId
  readonly label: string
  /** Empty for a group that is only known by other groups' registers. */
  readonly registers: ReadonlySet<string>
  readonly firstSeq: number
  readonly live: boolean
  /** Passed over by undo and redo because its person said so. */
  readonly waived: boolean
}

/** What a `do` made of a register. */
export interface RegisterWrite {
  readonly seq: number
  readonly group: ChangeGroupId
  readonly person: PersonId
  readonly before: Json | undefined
  readonly after: Json | undefined
}

/**
 * The part of a journal that one step is planned by. Of every register of the things it wrote:
 * its own writes, the first write, and of the live writes of others the last and the last before
 * the step; in order of `seq`, with the groups of all these. More changes nothing.
 */
export interface History {
  readonly groups: ReadonlyMap<ChangeGroupId, ChangeGroup>
  readonly writes: ReadonlyMap<string, readonly RegisterWrite[]>
}

/** Who wrote what last, in which window. */
export interface Touch {
  readonly seq: number
  readonly person: PersonId
  readonly window: WindowId
}
