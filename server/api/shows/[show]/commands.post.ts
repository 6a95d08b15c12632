/** Commands of one window, done one after the other in the order they come in; each is answered for itself. */
import { z } from 'zod'
import { commandId, windowId } from '#core/show/ids'
import { defineApi } from '../../../http/api'
import { bodyOf } from '../../../http/body'
import { personOf } from '../../../http/person'
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
  const person = personOf(event)
  const { window, commands } = await bodyOf(event, commandsBody)
  const answers: object[] = []
  for (const command of commands) {
    const answer = await live.run({ ...command, window, person })
    answers.push(answer.ok ? { entry: answer.entry, note: answer.note } : { error: answer.refusal })
  }
  return { answers, undo: await live.undoState(person) }
})
