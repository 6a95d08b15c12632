/**
 * The show as this window sees it: what the server confirmed, with our own commands that are still
 * under way run on top. Commands are pure, so when an entry of someone else arrives they are simply
 * run again on the new ground.
 */
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Outcome } from '#core/commands/command'
import { runCommand, type CommandInput, type CommandName } from '#core/commands/registry'
import type { JournalEntry } from '#core/journal/entry'
import { applyChanges } from '#core/show/changes'
import { commandId, windowId, type ChangeGroupId, type CommandId, type PersonId, type ShowId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { request } from '../session/request'
import { answer, entryEvent, readSnapshot, type UndoState } from '../session/wire'
import { useMessages } from './messages'

interface Pending {
  readonly id: CommandId
  readonly name: CommandName
  readonly input: unknown
}

export const useShow = defineStore('show', () => {
  const messages = useMessages()
  const confirmed = shallowRef<Show | null>(null)
  const revision = ref(0)
  const person = ref<PersonId | null>(null)
  const pending = shallowRef<readonly Pending[]>([])
  const undoState = ref<UndoState>({ undo: null, redo: null })
  const trouble = ref<string | null>(null)
  const connected = ref(false)
  const thisWindow = windowId.parse(crypto.randomUUID())
  let events: EventSource | null = null

  /** The show with our own unconfirmed commands on top. */
  const view = computed<Show | null>(() => {
    const ground = confirmed.value
    const who = person.value
    if (!ground || !who) return null
    return pending.value.reduce((show, { id, name, input }) => {
      const outcome = runCommand(show, name, input, id, who)
      return outcome.ok ? applyChanges(show, outcome.changes) : show
    }, ground)
  })

  async function open(id: ShowId): Promise<void> {
    close()
    trouble.value = null
    const opened = await fetchSnapshot(id)
    if (!opened) return
    confirmed.value = opened.show
    revision.value = opened.revision
    person.value = opened.person
    undoState.value = opened.undo
    listen(id)
  }

  async function fetchSnapshot(id: ShowId) {
    try {
      const response = await fetch(`/api/shows/${id}`)
      const body: unknown = await response.json()
      if (response.ok) return readSnapshot(body)
      trouble.value = response.status === 404 ? 'There is no such show here.' : 'The show could not be opened.'
    } catch {
      trouble.value = 'The server does not answer. Start it and reload this page.'
    }
    return null
  }

  function listen(id: ShowId) {
    // The browser reconnects by itself but asks from where it first began; entries already known are passed over.
    events = new EventSource(`/api/shows/${id}/events?since=${revision.value}`)
    events.addEventListener('open', () => (connected.value = true))
    events.addEventListener('error', () => (connected.value = false))
    events.addEventListener('entry', (event: MessageEvent<string>) => {
      const { entry, undo } = entryEvent.parse(JSON.parse(event.data))
      take(entry)
      undoState.value = undo
    })
  }

  function close() {
    events?.close()
    events = null
    confirmed.value = null
    pending.value = []
  }

  /** Takes an entry in, in order; one that is not the next waits for the event stream to bring the gap. */
  function take(entry: JournalEntry) {
    if (!confirmed.value || entry.seq !== revision.value + 1) return
    confirmed.value = applyChanges(confirmed.value, entry.changes)
    revision.value = entry.seq
    forget(entry.id)
  }

  function forget(id: CommandId) {
    if (pending.value.some((command) => command.id === id))
      pending.value = pending.value.filter((command) => command.id !== id)
  }

  /** What a command would do here and now; nothing is sent. */
  function attempt<N extends CommandName>(name: N, input: CommandInput<N>): Outcome {
    if (!view.value || !person.value) return { ok: false, refusal: { code: 'not open', message: 'No show is open.' } }
    return runCommand(view.value, name, input, commandId.parse('preview'), person.value)
  }

  /** The show as a command would leave it, or null where it is refused. */
  function preview<N extends CommandName>(name: N, input: CommandInput<N>): Show | null {
    const outcome = attempt(name, input)
    return outcome.ok && view.value ? applyChanges(view.value, outcome.changes) : null
  }

  /** Carries a command out. Refusals are told to the person; resolves to whether it was done. */
  async function send<N extends CommandName>(name: N, input: CommandInput<N>): Promise<boolean> {
    const outcome = attempt(name, input)
    if (!outcome.ok) {
      messages.say(outcome.refusal.message, 'trouble')
      return false
    }
    if (outcome.changes.length === 0) return true
    const id = commandId.parse(crypto.randomUUID())
    pending.value = [...pending.value, { id, name, input }]
    return post('commands', { id, name, input })
  }

  async function post(route: 'commands' | 'undo', body: { readonly id: CommandId; readonly [field: string]: unknown }): Promise<boolean> {
    const show = confirmed.value
    if (!show) return false
    const seenRevision = revision.value
    const answered = await request(`/api/shows/${show.id}/${route}`, answer, { ...body, window: thisWindow, seenRevision })
    if (!answered.ok) {
      forget(body.id)
      const { code, message } = answered.refusal
      if (route === 'undo' && (code === 'built on' || code === 'leaned on')) offerWaysOn(message)
      else messages.say(message, 'trouble')
      return false
    }
    const { entry, note, undo } = answered.body
    if (entry) take(entry)
    else forget(body.id)
    undoState.value = undo
    if (note) messages.say(note)
    return true
  }

  function toggle(direction: 'undo' | 'redo', group: ChangeGroupId, how: 'ask' | 'anyway' | 'waive') {
    return post('undo', { id: commandId.parse(crypto.randomUUID()), direction, group, how })
  }

  async function undo(): Promise<void> {
    const step = undoState.value.undo
    if (step && (await toggle('undo', step.group, 'ask'))) messages.say(`Undone: ${step.label}.`)
  }

  async function redo(): Promise<void> {
    const step = undoState.value.redo
    if (step && (await toggle('redo', step.group, 'ask'))) messages.say(`Redone: ${step.label}.`)
  }

  function offerWaysOn(message: string) {
    const step = undoState.value.undo
    if (!step) return messages.say(message, 'trouble')
    messages.say(message, 'trouble', [
      { label: 'Leave it, go on', run: () => void toggle('undo', step.group, 'waive') },
      { label: 'Undo all the same', run: () => void toggle('undo', step.group, 'anyway') },
    ])
  }

  return { view, confirmed, revision, person, undoState, trouble, connected, open, close, attempt, preview, send, undo, redo }
})
