/** Commands of one window, done one after the other in the order they come in; each is answered for itself. */
import { z } from 'zod'
import { mayRun, notAllowed, type Role } from '#core/access/roles'
import { isCommandName } from '#core/commands/registry'
import { commandId, windowId } from '#core/show/ids'
import { guestOf } from '../../../access/guest'
import { defineApi } from '../../../http/api'
import { bodyOf } from '../../../http/body'
import { memberOf } from '../../../http/members'
import { showOf } from '../../../http/showOf'

const MOST_TOGETHER = 100

const commandsBody = z.strictObject({
  window: windowId,
  commands: z
    .array(
      z.strictObject({
        id: commandId,
        name: z.string().max(60),
        input: z.unknown(),
        seenRevision: z.number().int().min(0),
      }),
    )
    .min(1)
    .max(MOST_TOGETHER),
})

export default defineApi(async (event) => {
  const live = await showOf(event)
  const { role } = await guestOf(event)
  const person = await memberOf(event, live)
  const { window, commands } = await bodyOf(event, commandsBody)
  const answers: object[] = []
  for (const command of commands) {
    const answer = isAllowed(role, command.name) ? await live.run({ ...command, window, person }) : refusedTo(role)
    answers.push(answer.ok ? { entry: answer.entry, note: answer.note } : { error: answer.refusal })
  }
  return { answers, undo: await live.undoState(person) }
})

const isAllowed = (role: Role, name: string) => !isCommandName(name) || mayRun(role, name)
const refusedTo = (role: Role) => ({ ok: false, refusal: notAllowed(role) }) as const
