/** What is written for a command: nothing over what others did that its window had not seen. */
import type { PlainOutcome, Refusal } from '#core/commands/command'
import { COMMANDS, type CommandName } from '#core/commands/registry'
import type { Touch } from '#core/journal/history'
import type { Joining } from '#core/journal/joining'
import type { RecentTouches } from '#core/journal/recentTouches'
import type { ChangeSet } from '#core/show/changes'
import { changeGroupId, type WindowId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import type { CommandRequest, Plan } from './plan'

/** The show a command was run on, and what is known of its last entries. */
export interface Ground {
  readonly show: Show
  readonly touches: RecentTouches
  readonly joining: Joining
  /** Reads who touched registers last after a revision, where that is longer ago than memory goes. */
  readonly touchesSince: (registers: readonly string[], seen: number) => Promise<ReadonlyMap<string, Touch>>
}

/** Plans the entry of a command that came to `outcome` at `now`, milliseconds. */
export async function commandPlan(
  ground: Ground,
  { id, name, person, window, seenRevision }: Omit<CommandRequest, 'input'> & { readonly name: CommandName },
  now: number,
  outcome: PlainOutcome,
): Promise<Plan> {
  if (!outcome.ok) return { refused: outcome.refusal, status: 422 }
  if (outcome.changes.length === 0) return { nothing: null }
  const registers = outcome.changes.map((change) => change.register)
  const who = await writtenByOthers(ground, registers, window, seenRevision)
  if (who !== null) return { refused: changedMeanwhile(outcome.label, who), status: 409 }
  const { undoable } = COMMANDS[name]
  const mergeKey = outcome.mergeKey ?? null
  const at = new Date(now).toISOString()
  const joined = undoable ? ground.joining.groupFor({ person, window, mergeKey, at, registers }) : null
  const group = joined ?? changeGroupId.parse(id)
  return {
    entry: {
      id,
      person,
      window,
      kind: 'do',
      group,
      label: outcome.label,
      undoable,
      mergeKey,
      changes: outcome.changes,
    },
    note: null,
    isBig: isBigChange(name, outcome.changes),
  }
}

/**
 * Whose work a command would overwrite that its window had not seen; null for nobody’s. Its own
 * earlier writes it knows.
 */
async function writtenByOthers(
  { show, touches, touchesSince }: Ground,
  registers: readonly string[],
  window: WindowId,
  seen: number,
): Promise<string | null> {
  const read = seen >= touches.knownSince ? touches : await touchesSince(registers, seen)
  for (const register of registers) {
    const last = read.get(register)
    if (!last || last.seq <= seen || last.window === window) continue
    return show.all.person.get(last.person)?.name ?? 'Someone else'
  }
  return null
}

/** Commands after which one may want the whole show back. */
const BIG: ReadonlySet<string> = new Set<CommandName>([
  'deleteCueList',
  'deleteCues',
  'deleteFixtures',
  'deleteHang',
  'deletePalettes',
  'deleteType',
  'importPalettes',
  'importTables',
  'replaceFixture',
  'replacePaletteInCues',
  'restoreShow',
  'switchVenue',
  'takeRig',
])
/** Registers beyond which any work counts as big. */
const MANY_WRITES = 400

function isBigChange(name: CommandName, changes: ChangeSet): boolean {
  return BIG.has(name) || (COMMANDS[name].undoable && changes.length > MANY_WRITES)
}

const changedMeanwhile = (label: string, who: string): Refusal => ({
  code: 'changed meanwhile',
  message: `“${label}” was not done: ${who} changed this meanwhile. Look at it as it is now, and do it again.`,
})
