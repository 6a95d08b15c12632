/**
 * The show as this window sees it: what the server confirmed, with our own commands that are still
 * under way run on top. Commands are pure, so when an entry of someone else arrives they are simply
 * run again on the new ground.
 */
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Outcome, Refusal } from '#core/commands/command'
import type { CommandInput, CommandName } from '#core/commands/registry'
import type { JournalEntry } from '#core/journal/entry'
import { commandId, windowId, type CommandId, type PersonId, type ShowId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { framePainted } from '../session/afterNextFrame'
import { openShow } from '../session/openShow'
import { begun, confirmedBy, outcomeOf, withPending, type Pending } from '../session/pending'
import { request } from '../session/request'
import { listenToShow } from '../session/stream'
import { UnderWay } from '../session/underWay'
import { answer, type UndoState } from '../session/wire'
import { useClock } from './clock'
import { useMessages } from './messages'

interface PostBody {
  readonly id: CommandId
  readonly [field: string]: unknown
}

const NOT_OPEN: Refusal = { code: 'not open', message: 'No show is open.' }

export const useShow = defineStore('show', () => {
  const messages = useMessages()
  const clock = useClock()
  const confirmed = shallowRef<Show | null>(null)
  const revision = ref(0)
  const person = ref<PersonId | null>(null)
  const pending = shallowRef<readonly Pending[]>([])
  const undoState = ref<UndoState>({ undo: null, redo: null })
  const trouble = ref<string | null>(null)
  const connected = ref(false)
  const thisWindow = windowId.parse(crypto.randomUUID())
  const underWay = new UnderWay()
  let stopListening: () => void = () => undefined
  /** The show that was asked for last. */
  let wanted: ShowId | null = null

  /** The show with our own unconfirmed commands on top. */
  const view = computed<Show | null>(() => {
    const ground = confirmed.value
    const who = person.value
    if (!ground || !who) return null
    return withPending(ground, who, pending.value)
  })

  async function open(id: ShowId): Promise<void> {
    close(id)
    const answered = await openShow(id)
    // Another show was asked for meanwhile, or none.
    if (wanted !== id) return
    trouble.value = answered.ok ? null : answered.trouble
    if (!answered.ok) return
    const { opened } = answered
    clock.set(opened.now, answered.tookMilliseconds)
    confirmed.value = opened.show
    revision.value = opened.revision
    person.value = opened.person
    undoState.value = opened.undo
    stopListening = listenToShow(id, opened.revision, {
      entry: (entry, undo) => {
        take(entry)
        undoState.value = undo
      },
      connection: (isThere) => (connected.value = isThere),
    })
  }

  function close(next: ShowId | null) {
    wanted = next
    stopListening()
    confirmed.value = null
    pending.value = []
    trouble.value = null
  }

  /** Closes a show, unless another was asked for since. */
  function leave(id: ShowId) {
    if (wanted === id) close(null)
  }

  /** Takes an entry in, in order; one that is not the next waits for the event stream to bring the gap. */
  function take(entry: JournalEntry) {
    if (!confirmed.value || entry.seq !== revision.value + 1) return
    confirmed.value = confirmedBy(entry, confirmed.value, pending.value)
    revision.value = entry.seq
    forget(entry.id)
  }

  function forget(id: CommandId) {
    if (pending.value.some((command) => command.id === id))
      pending.value = pending.value.filter((command) => command.id !== id)
  }

  /** What a command would do here and now; nothing is sent. */
  function attempt<N extends CommandName>(name: N, input: CommandInput<N>): Outcome {
    if (!view.value || !person.value) return { ok: false, refusal: NOT_OPEN }
    return outcomeOf(view.value, person.value, { id: commandId.parse('preview'), name, input, now: clock.read() })
  }

  /** The show as a command would leave it, or null where it is refused. */
  function preview<N extends CommandName>(name: N, input: CommandInput<N>): Show | null {
    const outcome = attempt(name, input)
    return outcome.ok ? outcome.after() : null
  }

  /** Carries a command out; resolves to the refusal, if there was one, for whoever asked to show it. */
  async function ask<N extends CommandName>(name: N, input: CommandInput<N>): Promise<Refusal | null> {
    const opened = confirmed.value
    if (!view.value || !person.value) return NOT_OPEN
    const id = commandId.parse(crypto.randomUUID())
    const asked = { id, name, input, now: clock.read() }
    const outcome = outcomeOf(view.value, person.value, asked)
    if (!outcome.ok) return outcome.refusal
    if (outcome.changes.length === 0) return null
    pending.value = [...pending.value, begun(view.value, asked, outcome)]
    // What it does is seen already: sending it need not keep its frame waiting.
    return underWay.add(framePainted().then(() => post('commands', { id, name, input }, opened)))
  }

  /** Carries a command out. Refusals are told to the person; resolves to whether it was done. */
  async function send<N extends CommandName>(name: N, input: CommandInput<N>): Promise<boolean> {
    const refusal = await ask(name, input)
    if (refusal) messages.say(refusal.message, 'trouble')
    return refusal === null
  }

  /**
   * Sends a command or an undo for the show that is open, or was when it was asked for, and takes the
   * answer in; resolves to the refusal, if there was one.
   */
  async function post(
    route: 'commands' | 'undo' | `versions/${string}/restore`,
    body: PostBody,
    show: Show | null = confirmed.value,
  ): Promise<Refusal | null> {
    if (!show) return NOT_OPEN
    const path = `/api/shows/${show.id}/${route}`
    const answered = await request(path, answer, { ...body, window: thisWindow, seenRevision: revision.value })
    if (!answered.ok) {
      forget(body.id)
      return answered.refusal
    }
    // Another show is open by now: what was done to this one is not its business.
    if (confirmed.value?.id !== show.id) return null
    const { entry, note, undo } = answered.body
    if (entry) take(entry)
    else forget(body.id)
    undoState.value = undo
    if (note) messages.say(note)
    return null
  }

  return {
    view,
    confirmed,
    revision,
    person,
    undoState,
    trouble,
    connected,
    open,
    leave,
    attempt,
    preview,
    ask,
    answered: () => underWay.answered(),
    send,
    post,
  }
})
