/**
 * What the server has told of the show that is open, entry by entry and in order, and what our own
 * commands make of it that are still under way. Commands are pure, so when an entry of someone else
 * arrives they are simply run again on the new ground.
 */
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { DarkMove } from '#core/cues/darkMoves'
import type { JournalEntry } from '#core/journal/entry'
import type { CueDifference } from '#core/refocus/cueDifference'
import type { PaletteDifference } from '#core/refocus/difference'
import type { CommandId, CueListId, PersonId, VenueId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { openShow, type Opened } from '../session/openShow'
import type { CheckedCourse } from '#core/travel/check'
import type { Unwound } from '#core/travel/unwinding'
import { consequencesOf, type Consequences } from '../session/showCopy'
import type { Tell, ShowJob, UnwindingAsked } from '../session/showWork'
import type { Beside } from '../session/showWorker'
import { confirmedBy, withPending, type Pending } from '../session/pending'
import { request } from '../session/request'
import type { UndoState } from '#core/journal/undoState'
import { entryList } from '../session/responses'
import { useClock } from './clock'

/** How long entries that came too early wait for those before them, milliseconds. */
const GAP_PATIENCE = 1000

export const useConfirmed = defineStore('confirmed', () => {
  const clock = useClock()
  const confirmed = shallowRef<Show | null>(null)
  const revision = ref(0)
  const person = ref<PersonId | null>(null)
  const pending = shallowRef<readonly Pending[]>([])
  const undoState = ref<UndoState>({ undo: null, redo: null })
  /** Entries that came before the one that is next. */
  const early = new Map<number, JournalEntry>()
  let gap: ReturnType<typeof setTimeout> | undefined
  let beside: Beside | null = null

  /** The show with our own unconfirmed commands on top. */
  const view = computed<Show | null>(() => {
    const ground = confirmed.value
    const who = person.value
    if (!ground || !who) return null
    return withPending(ground, who, pending.value)
  })

  function receiveWhole({ opened, joined, tookMilliseconds, beside: next }: Opened) {
    beside?.close()
    beside = next
    clock.set(joined.now, tookMilliseconds)
    confirmed.value = opened.show
    revision.value = opened.revision
    person.value = joined.person
    undoState.value = joined.undo
  }

  /** Fetches the whole show again; what is under way goes on top of it. */
  async function fetchAnew() {
    const show = confirmed.value
    if (!show) return
    const fetched = await openShow(show.id)
    if (!fetched.ok) return
    const isSound = await fetched.beside.isSound
    const isOld = confirmed.value?.id !== show.id || fetched.opened.revision < revision.value
    if (!isSound || isOld) return fetched.beside.close()
    receiveWhole(fetched)
    early.clear()
  }

  /** Fetches the entries between the one we have and one that came too early. */
  async function fetchMissing() {
    const show = confirmed.value
    if (!show) return
    const missing = await request(`/api/shows/${show.id}/entries?since=${revision.value}`, entryList)
    if (confirmed.value?.id !== show.id || !missing.ok) return
    if (missing.body.entries) for (const entry of missing.body.entries) receive(entry)
    else await fetchAnew()
  }

  /** Takes an entry in, in order; one that is not the next waits for those before it. */
  function receive(entry: JournalEntry) {
    if (!confirmed.value || entry.seq <= revision.value) return
    early.set(entry.seq, entry)
    for (let next = early.get(revision.value + 1); next; next = early.get(revision.value + 1)) {
      early.delete(next.seq)
      confirmed.value = confirmedBy(next, confirmed.value, pending.value)
      revision.value = next.seq
      forget(next.id)
    }
    clearTimeout(gap)
    if (early.size > 0) gap = setTimeout(() => void fetchMissing(), GAP_PATIENCE)
  }

  function forget(id: CommandId) {
    if (pending.value.some((command) => command.id === id))
      pending.value = pending.value.filter((command) => command.id !== id)
  }

  /** A command was answered: it goes with its entry, or, where it came to nothing, now. */
  function answered(id: CommandId) {
    if (![...early.values()].some((entry) => entry.id === id)) forget(id)
  }

  function begin(command: Pending) {
    pending.value = [...pending.value, command]
  }

  /** What a change from `before` to `after` carries along: worked out beside the page, or here where that has ended. */
  async function consequences(before: Show, after: Show, isSettled: boolean): Promise<Consequences> {
    const here = () => consequencesOf(before, after, isSettled)
    return beside ? Promise.resolve(beside.consequences(before, after, isSettled)).catch(here) : here()
  }

  /** Has a job done beside the page; resolves to false where it did not get to the end, as when the show is closed. */
  async function besidePage(job: (asked: Beside) => Promise<boolean>): Promise<boolean> {
    const asked = beside
    if (!asked) return false
    return job(asked).catch((error: unknown) => {
      if (asked === beside) throw error
      return false
    })
  }
  /** Checks the moves of a show. */
  const checkMoves = (show: Show, tell: Tell<CheckedCourse>) => besidePage((asked) => asked.checkMoves(show, tell))
  /** Looks for better ways round. */
  const unwind = (show: Show, what: UnwindingAsked, tell: Tell<Unwound>) =>
    besidePage((asked) => asked.unwind(show, what, tell))
  /** Finds what of a list of a show moves in the dark, or ought to. */
  const darkMoves = (show: Show, list: CueListId, tell: Tell<DarkMove>) =>
    besidePage((asked) => asked.darkMoves(show, list, tell))
  /** Finds what two venues do to each palette. */
  const difference = (show: Show, here: VenueId, there: VenueId, tell: Tell<PaletteDifference>) =>
    besidePage((asked) => asked.difference(show, here, there, tell))
  /** Finds what two venues do to each cue. */
  const cueDifference = (show: Show, here: VenueId, there: VenueId, tell: Tell<CueDifference>) =>
    besidePage((asked) => asked.cueDifference(show, here, there, tell))
  const stop = (job: ShowJob) => beside?.stop(job)

  function clear() {
    beside?.close()
    beside = null
    clearTimeout(gap)
    early.clear()
    confirmed.value = null
    pending.value = []
  }

  return {
    confirmed,
    revision,
    person,
    pending,
    undoState,
    view,
    receiveWhole,
    receive,
    fetchAnew,
    begin,
    answered,
    forget,
    consequences,
    checkMoves,
    unwind,
    darkMoves,
    difference,
    cueDifference,
    stop,
    clear,
  }
})
