/** What the plan of moves in the dark looks at: which cues and fixtures, when, what stays live; and what that would come to. */
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { CommandInput } from '#core/commands/registry'
import type { Family } from '#core/attributes/families'
import type { DarkMove } from '#core/cues/darkMoves'
import type { CueId } from '#core/show/ids'
import { darkLines, type DarkFault, type DarkLine } from '#core/travel/dark'
import { useConfirmed } from './confirmed'
import { useCuesRoom } from './cuesRoom'
import { useSelection } from './selection'
import { useShow } from './show'
import { useTravelCheck } from './travelCheck'

/** What a plan is for. */
export type DarkScope = 'list' | 'cue' | 'fixtures' | 'lines'
export type DarkWhen = NonNullable<CommandInput<'setDarkMoves'>['when']>
export type MovingFamily = Exclude<Family, 'intensity'>
type Said = CommandInput<'setDarkMoves'>

export const useDarkPlan = defineStore('darkPlan', () => {
  const store = useShow()
  const room = useCuesRoom()
  const selection = useSelection()
  const check = useTravelCheck()
  const ground = useConfirmed()

  const scope = ref<DarkScope>('list')
  const when = ref<DarkWhen>('planned')
  /** The cue everything is to go in, where that is asked for. */
  const inCue = ref<CueId | null>(null)
  const live = ref<readonly MovingFamily[]>([])
  const isTrying = ref(false)
  const filter = ref<DarkFault | 'all'>('all')
  /** The lines it is for, as they were when they were chosen. */
  const chosenLines = shallowRef<readonly DarkLine[]>([])
  const chosen = computed<ReadonlySet<string>>(() => new Set(chosenLines.value.map(({ key }) => key)))

  const listId = computed(() => room.list?.id ?? null)
  const known = computed(() => check.known.filter(({ list }) => list === listId.value).flatMap(({ dark }) => dark))

  const whom = computed<Pick<Said, 'cues' | 'fixtures'> | null>(() => {
    const all = { cues: null, fixtures: null }
    if (scope.value === 'list') return all
    if (scope.value === 'cue') return room.cue ? { ...all, cues: [room.cue.id] } : null
    if (scope.value === 'fixtures')
      return selection.order.size > 0 ? { ...all, fixtures: [...selection.order.keys()] } : null
    const these = chosenLines.value
    const cues = [...new Set(these.map(({ cue }) => cue))]
    const fixtures = [...new Set(these.flatMap((line) => line.fixtures))]
    return these.length > 0 ? { cues, fixtures } : null
  })
  /** What would be said; null where there is nothing it could be for. */
  const asked = computed<Said | null>(() => {
    if (!whom.value || !listId.value || (when.value === 'in cue' && inCue.value === null)) return null
    const cue = when.value === 'in cue' ? inCue.value : null
    return { ...whom.value, list: listId.value, when: when.value, inCue: cue, live: [...live.value] }
  })
  const outcome = computed(() =>
    isTrying.value && asked.value && store.view ? store.attempt('setDarkMoves', asked.value) : null,
  )
  /** The show as it would be. */
  const tried = computed(() => (outcome.value?.ok && outcome.value.changes.length > 0 ? outcome.value.after() : null))

  /** What the plan tried comes to, once it was worked out beside the page. */
  const found = shallowRef<readonly DarkMove[] | null>(null)
  /** How far that has come, 0 to 1; null while nothing is worked out. */
  const part = ref<number | null>(null)
  let asks = 0
  watch(tried, async (show) => {
    const own = (asks += 1)
    found.value = null
    part.value = null
    ground.stop('dark moves')
    if (!show || !listId.value) return
    part.value = 0
    const all: DarkMove[] = []
    const isWhole = await ground.darkMoves(show, listId.value, (news) => {
      all.push(...news.found)
      // The last of the news may come after the end.
      if (own === asks && news.part < 1) part.value = news.part
      if (own === asks && news.part === 1) [found.value, part.value] = [all, null]
    })
    if (own === asks && !isWhole) part.value = null
  })
  /** What was kept, until the check has come to the same. */
  const kept = shallowRef<readonly DarkMove[] | null>(null)
  watch(
    () => check.part,
    (goesOn) => {
      if (goesOn === null) kept.value = null
    },
  )

  const moves = computed(() => found.value ?? kept.value ?? known.value)
  const lines = computed<readonly DarkLine[]>(() => darkLines(moves.value))
  const shown = computed(() => lines.value.filter(({ fault }) => filter.value === 'all' || fault === filter.value))
  const tally = computed(() => {
    const cues = (of: readonly DarkLine[]) => new Set(of.map(({ cue }) => cue)).size
    return {
      goes: cues(lines.value.filter(({ goesIn }) => goesIn)),
      wrongPlace: cues(lines.value.filter(({ fault }) => fault === 'wrongPlace')),
      noTime: cues(lines.value.filter(({ fault }) => fault === 'noTime')),
      onPurpose: cues(lines.value.filter(({ why }) => why === 'on purpose')),
    }
  })
  function begin() {
    filter.value = 'all'
    isTrying.value = true
  }
  function putBack() {
    isTrying.value = false
  }
  async function keep(): Promise<boolean> {
    if (!asked.value) return false
    kept.value = found.value
    const isDone = await store.send('setDarkMoves', asked.value)
    if (isDone) putBack()
    else kept.value = null
    return isDone
  }
  watch(listId, putBack)

  return {
    ...{ scope, when, inCue, live, isTrying, filter, chosenLines, chosen },
    ...{ asked, whom, tried, found, part, lines, shown, tally, moves, begin, putBack, keep },
  }
})
