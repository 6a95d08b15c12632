/** What is on its way to the server, and whether the server is there to take it. */
import { defineStore } from 'pinia'
import { computed, shallowRef, triggerRef } from 'vue'
import type { Refusal } from '#core/commands/command'
import { commandId, type CommandId, type ShowId, type WindowId } from '#core/show/ids'
import { framePainted } from '../session/afterNextFrame'
import { newId } from '../session/newId'
import { Outbox, type Settled, type Waiting, type Work } from '../session/outbox'
import { sendTogether, type ReceiveAnswer } from '../session/sending'
import { useConfirmed } from './confirmed'
import { useMessages } from './messages'

export const NOT_OPEN: Refusal = { code: 'not open', message: 'No show is open.' }

export const useSending = defineStore('sending', () => {
  const ground = useConfirmed()
  const messages = useMessages()
  /** What waits for each show that was open here: it is sent on when another is. */
  const outboxes = shallowRef(new Map<ShowId, Outbox>())
  const outbox = computed(() => {
    const box = ground.confirmed && outboxes.value.get(ground.confirmed.id)
    return box ? { box, count: box.waiting.length, isAway: box.isAway, takesMore: box.takesMore } : null
  })
  /** How many commands and undos of the open show wait. */
  const count = computed(() => outbox.value?.count ?? 0)
  const isAway = computed(() => outbox.value?.isAway ?? false)
  /** Whether more is taken; not when the server has been away for too long. */
  const takesMore = computed(() => outbox.value?.takesMore ?? true)

  /** Takes up what this window left for a show, and sends what is put in from now on. */
  function begin(id: ShowId, thisWindow: WindowId) {
    if (outboxes.value.has(id)) return
    const isOpen = () => ground.confirmed?.id === id
    const box = new Outbox(sessionStorage, `rhopander-waiting-${id}-${thisWindow}`, {
      // What a command does is seen already: sending it need not keep its frame waiting.
      ready: framePainted,
      prepare: (next) => withStep(next, isOpen()),
      // Where another show is open by now, what was done to this one is not its business.
      send: (together, giveUp) =>
        sendTogether(id, thisWindow, together, giveUp, (done, undo) => isOpen() && receiveDone(done, undo)),
      changed: () => triggerRef(outboxes),
      tellWhy: (why) => messages.say(why, 'trouble'),
      refused: ({ message }) => messages.say(message, 'trouble'),
    })
    window.addEventListener('pagehide', () => box.sendLast())
    outboxes.value.set(id, box)
    triggerRef(outboxes)
  }

  function serverIs(id: ShowId, isThere: boolean) {
    outboxes.value.get(id)?.serverIs(isThere)
  }

  /** An undo that waited is about the step that is next when its turn comes. */
  function withStep(next: Waiting, isOpen: boolean): Waiting | null {
    const { work } = next
    if (work.kind !== 'toggle' || work.group !== null) return next
    const step = isOpen ? ground.undoState[work.direction] : null
    return step && { ...next, work: { ...work, group: step.group } }
  }

  const receiveDone: ReceiveAnswer = (done, undo) => {
    for (const { entry, note } of done) {
      if (entry) ground.receive(entry)
      if (note) messages.say(note)
    }
    ground.undoState = undo
  }

  /** Why nothing more is taken just now; null where it is. */
  function holdUp(): Refusal | null {
    if (!outbox.value) return NOT_OPEN
    return takesMore.value ? null : takesNoMore(count.value)
  }

  /** Has something done; resolves when it was answered. */
  async function put(work: Work, id: CommandId = commandId.parse(newId())): Promise<Settled> {
    const refusal = holdUp()
    if (refusal || !outbox.value) return { refusal: refusal ?? NOT_OPEN, group: null }
    return outbox.value.box.put({ id, seenRevision: ground.revision, work })
  }

  return { count, isAway, takesMore, begin, serverIs, holdUp, put }
})

function takesNoMore(waiting: number): Refusal {
  const kept = waiting === 1 ? 'the change that waits is' : `the ${waiting} changes that wait are`
  const keeps = waiting === 0 ? 'nothing of what you did is lost' : `${kept} kept and sent when it is back`
  return {
    code: 'away',
    message: `The server has not answered for a minute, so this page takes no more changes; ${keeps}.`,
  }
}
