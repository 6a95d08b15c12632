/** Sends what a window wants done to the server, and reads its answers. */
import type { Refusal } from '#core/commands/command'
import type { ShowId, WindowId } from '#core/show/ids'
import type { Sent, Waiting } from './outbox'
import { request, type Answered } from './request'
import type { UndoState } from '#core/journal/undoState'
import { answer, answers, type DoneEntry } from './responses'

/** Gets what was done, and what can be undone after it. */
export type ReceiveAnswer = (done: readonly DoneEntry[], undo: UndoState) => void

/** Sends commands together, or one undo or restored version alone. */
export async function sendTogether(
  show: ShowId,
  window: WindowId,
  together: readonly Waiting[],
  giveUp: AbortSignal,
  receive: ReceiveAnswer,
): Promise<Sent> {
  const [first] = together
  if (!first) return { kind: 'answered', refusals: [] }
  const path = `/api/shows/${show}`
  const { id, seenRevision, work } = first
  if (work.kind === 'command') return sendCommands(path, window, together, giveUp, receive)
  const { direction, group, how } = work.kind === 'toggle' ? work : {}
  const route = work.kind === 'toggle' ? 'undo' : `versions/${work.version}/restore`
  const body = { id, window, seenRevision, direction, group, how }
  return taken(await request(`${path}/${route}`, answer, body, giveUp), ({ entry, note, undo }) => {
    receive([{ entry, note }], undo)
    return [null]
  })
}

async function sendCommands(
  path: string,
  window: WindowId,
  together: readonly Waiting[],
  giveUp: AbortSignal,
  receive: ReceiveAnswer,
): Promise<Sent> {
  const commands = together.flatMap(({ id, seenRevision, work }) =>
    work.kind === 'command' ? [{ id, name: work.name, input: work.input, seenRevision }] : [],
  )
  const answered = await request(`${path}/commands`, answers, { window, commands }, giveUp)
  // One that cannot even be read must not take the others with it: the first goes alone, the rest after it.
  if (!answered.ok && !answered.isAway && together.length > 1)
    return sendCommands(path, window, together.slice(0, 1), giveUp, receive)
  return taken(answered, (body) => {
    receive(
      body.answers.flatMap((one) => ('error' in one ? [] : [one])),
      body.undo,
    )
    return body.answers.map((one) => ('error' in one ? one.error : null))
  })
}

/** What a request that was sent alone came to. */
function taken<T>(answered: Answered<T>, read: (body: T) => (Refusal | null)[]): Sent {
  if (answered.ok) return { kind: 'answered', refusals: read(answered.body) }
  const why = answered.refusal.code === 'unreachable' ? null : answered.refusal.message
  return answered.isAway ? { kind: 'away', why } : { kind: 'answered', refusals: [answered.refusal] }
}
