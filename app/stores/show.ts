/** The show that is open in this window: what is seen of it, and what one wants done to it. */
import { defineStore, storeToRefs } from 'pinia'
import { ref } from 'vue'
import { mayRun, notAllowed, type Role } from '#core/access/roles'
import type { Outcome, Refusal } from '#core/commands/command'
import type { CommandInput, CommandName } from '#core/commands/registry'
import { commandId, type ShowId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { newId } from '../session/newId'
import { openShow, troubleOf, UNREADABLE, type Trouble } from '../session/openShow'
import { begun, outcomeOf } from '../session/pending'
import { listenToShow } from '../session/stream'
import { claimWindow } from '../session/thisWindow'
import { useClock } from './clock'
import { useConfirmed } from './confirmed'
import { useMessages } from './messages'
import { NOT_OPEN, useSending } from './sending'
import { useTracked } from './tracked'

export const useShow = defineStore('show', () => {
  const messages = useMessages()
  const clock = useClock()
  const sending = useSending()
  const ground = useConfirmed()
  const tracked = useTracked()
  const { view, confirmed, revision, person, undoState } = storeToRefs(ground)
  const trouble = ref<Trouble | null>(null)
  const connected = ref(false)
  /** What one may do here, and whether by a link. */
  const role = ref<Role>('owns')
  const isByLink = ref(false)
  let stopListening: () => void = () => undefined
  /** The show that was asked for last. */
  let wanted: ShowId | null = null
  let opening: { readonly id: ShowId; readonly done: Promise<void> } | null = null

  /** Opens a show; one that is open or just being opened stays so. */
  function open(id: ShowId): Promise<void> {
    if (wanted === id && confirmed.value?.id === id) return Promise.resolve()
    if (wanted === id && opening?.id === id) return opening.done
    opening = { id, done: openAnew(id) }
    return opening.done
  }

  async function openAnew(id: ShowId): Promise<void> {
    close(id)
    const [thisWindow, answered] = await Promise.all([claimWindow(), openShow(id)])
    // Another show was asked for meanwhile, or none.
    if (wanted !== id) return answered.ok ? answered.beside.close() : undefined
    opening = null
    trouble.value = answered.ok ? null : answered.trouble
    if (!answered.ok) return
    role.value = answered.joined.role
    isByLink.value = answered.joined.isByLink
    ground.receiveWhole(answered)
    void answered.beside.isSound.then((isSound) => isSound || shutOut(id, UNREADABLE.trouble))
    sending.begin(id, thisWindow)
    stopListening = listenToShow(id, () => revision.value, {
      entry: (entry, undo) => {
        ground.receive(entry)
        undoState.value = undo
      },
      anew: () => void ground.fetchAnew(),
      tracked: tracked.receive,
      connection: (isThere) => {
        connected.value = isThere
        sending.serverIs(id, isThere)
      },
      shutOut: (why) => shutOut(id, troubleOf(why)),
    })
  }

  /** Closes a show that may not be worked on, and says why. */
  function shutOut(id: ShowId, why: Trouble) {
    if (wanted !== id) return
    close(id)
    trouble.value = why
  }

  function close(next: ShowId | null) {
    wanted = next
    stopListening()
    tracked.clear()
    ground.clear()
    trouble.value = null
  }

  /** Closes a show, unless another was asked for since. */
  function leave(id: ShowId) {
    if (wanted === id) close(null)
  }

  /** What a command would do here and now; nothing is sent. */
  function attempt<N extends CommandName>(name: N, input: CommandInput<N>): Outcome {
    if (!view.value || !person.value) return { ok: false, refusal: NOT_OPEN }
    if (!mayRun(role.value, name)) return { ok: false, refusal: notAllowed(role.value) }
    return outcomeOf(view.value, person.value, { id: commandId.parse('preview'), name, input, now: clock.read() })
  }

  /** The show as a command would leave it, or null where it is refused. */
  function preview<N extends CommandName>(name: N, input: CommandInput<N>): Show | null {
    const outcome = attempt(name, input)
    return outcome.ok ? outcome.after() : null
  }

  /** Carries a command out; resolves to the refusal, if there was one, for whoever asked to show it. */
  async function ask<N extends CommandName>(name: N, input: CommandInput<N>): Promise<Refusal | null> {
    if (!view.value || !person.value) return NOT_OPEN
    if (!mayRun(role.value, name)) return notAllowed(role.value)
    const held = sending.holdUp()
    if (held) return held
    const id = commandId.parse(newId())
    const asked = { id, name, input, now: clock.read() }
    const outcome = outcomeOf(view.value, person.value, asked)
    if (!outcome.ok) return outcome.refusal
    if (outcome.changes.length === 0) return null
    messages.settle(name)
    ground.begin(begun(view.value, asked, outcome))
    const { refusal } = await sending.put({ kind: 'command', name, input }, id)
    if (refusal) ground.forget(id)
    else ground.answered(id)
    return refusal
  }

  /** Carries a command out. Refusals are told to the person; resolves to whether it was done. */
  async function send<N extends CommandName>(name: N, input: CommandInput<N>): Promise<boolean> {
    const refusal = await ask(name, input)
    if (refusal) messages.refuse(name, refusal.message)
    return refusal === null
  }

  return {
    view,
    confirmed,
    revision,
    person,
    undoState,
    trouble,
    connected,
    role,
    isByLink,
    open,
    leave,
    attempt,
    preview,
    ask,
    send,
  }
})
