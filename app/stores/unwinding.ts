/** Better ways round for the heads of a list: looked for beside the page, seen before they are kept. */
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { DARK_KINDS } from '#core/cues/darkMoves'
import type { Turning, Unwound } from '#core/travel/unwinding'
import { useConfirmed } from './confirmed'
import { useCuesRoom } from './cuesRoom'
import { useSelection } from './selection'
import { useShow } from './show'

export const useUnwinding = defineStore('unwinding', () => {
  const store = useShow()
  const room = useCuesRoom()
  const selection = useSelection()
  const ground = useConfirmed()

  const scope = ref<'list' | 'fixtures'>('list')
  const isFreed = ref(false)
  /** How far it has come, 0 to 1; null while nothing is looked for. */
  const part = ref<number | null>(null)
  /** The heads with better ways; null where nothing was looked for. */
  const found = shallowRef<readonly Unwound[] | null>(null)
  let looks = 0

  const fixtures = computed(() => (scope.value === 'list' ? null : [...selection.order.keys()]))
  const canLook = computed(() => room.list !== null && fixtures.value?.length !== 0)

  async function look() {
    const show = store.view
    const list = room.list?.id
    if (!show || !list || !canLook.value) return
    const own = (looks += 1)
    part.value = 0
    const all: Unwound[] = []
    found.value = all
    await ground.unwind(show, { list, fixtures: fixtures.value, isFreed: isFreed.value }, (news) => {
      if (own !== looks) return
      all.push(...news.found)
      found.value = [...all]
      part.value = news.part < 1 ? news.part : null
    })
  }
  function putBack() {
    looks += 1
    ground.stop('unwinding')
    part.value = null
    found.value = null
  }

  const ways = computed(() => (found.value ?? []).flatMap((one) => one.ways))
  const outcome = computed(() =>
    part.value === null && ways.value.length > 0 && store.view
      ? store.attempt('setWays', { ways: [...ways.value], byHand: false })
      : null,
  )
  /** The show as it would be. */
  const tried = computed(() => (outcome.value?.ok && outcome.value.changes.length > 0 ? outcome.value.after() : null))
  async function keep(): Promise<boolean> {
    const isDone = await store.send('setWays', { ways: [...ways.value], byHand: false })
    if (isDone) putBack()
    return isDone
  }

  /** All heads together, before and after. */
  const totals = computed(() => {
    const summed = (of: (one: Unwound) => Turning): Turning => {
      const all = (found.value ?? []).map(of)
      const sum = (field: 'seen' | 'degrees' | 'longWays' | 'bent') => all.reduce((n, one) => n + one[field], 0)
      return {
        longest: Math.max(0, ...all.map(({ longest }) => longest)),
        ...{ seen: sum('seen'), degrees: sum('degrees'), longWays: sum('longWays'), bent: sum('bent') },
      }
    }
    return { before: summed(({ before }) => before), after: summed(({ after }) => after) }
  })

  // What was found is of a show that is no longer: it is looked for again.
  watch(
    () => DARK_KINDS.map((kind) => store.view?.all[kind]),
    () => {
      if (found.value !== null) void look()
    },
  )
  watch(() => room.list?.id, putBack)

  return { scope, isFreed, part, found, canLook, ways, tried, totals, look, putBack, keep }
})
