/** Runs a change of the stage or of palettes with some of what would follow it held as it was. */
import { z } from 'zod'
import { holdExclusions, hasExclusions } from '../refocus/exclusions'
import { Draft } from '../show/draft'
import { FAMILIES } from '../attributes/families'
import { cueId, fixtureId } from '../show/ids'
import { command, done, refuse, type Command } from './command'

const input = z.strictObject({
  /** The command that makes the change, and its own arguments. */
  name: z.string().max(60),
  input: z.unknown(),
  keepOut: z.strictObject({
    fixtures: z.array(fixtureId),
    cues: z.array(cueId),
    families: z.array(z.enum(FAMILIES)),
  }),
})
export type KeepingOutInput = z.infer<typeof input>

/** `changing` finds the command of a name; null for what cannot be made with anything kept out. */
export function keepingOutOf(
  changing: (name: string) => Pick<Command<unknown>, 'attempt'> | null,
): Command<KeepingOutInput> {
  return command({
    input,
    undoable: true,
    run(show, { name, input: own, keepOut }, environment) {
      const inner = changing(name)
      if (!inner) return refuse('unknown change', {}, 'name')
      const outcome = inner.attempt(show, own, environment)
      if (!outcome.ok || !hasExclusions(keepOut)) return outcome
      const draft = new Draft(show)
      for (const { register, after } of outcome.changes) draft.write(register, after)
      const held = holdExclusions(draft, outcome.after(), keepOut)
      const words = held === 0 ? '' : held === 1 ? '; 1 value held as it was' : `; ${held} values held as they were`
      return done(draft, `${outcome.label}${words}`)
    },
  })
}
