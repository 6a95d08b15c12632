/**
 * Which fixtures this window has selected, in order, and the subset of them that is worked on.
 * Never stored: it belongs to the window.
 */
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { patternGroupsOf } from '#core/groups/groups'
import { alike, inverted, ordered, type Order } from '#core/selection/order'
import { subsetsOf } from '#core/selection/patterns'
import type { Pattern } from '#core/show/patterns'
import { countedAs } from '#core/show/cells'
import type { Show } from '#core/show/show'
import type { FixtureId } from '#core/show/ids'
import { rigOf } from '#core/show/rig'
import { useMessages } from './messages'
import { useShow } from './show'
import { useWorkingSet } from './workingSet'
import { counted } from '#core/show/counted'

/** Selections one can go back to. */
const REMEMBERED = 50
const ONE_BY_ONE: Pattern = { kind: 'single' }

/** The same list as before while it says the same: who watches it hears only of true changes. */
function kept(before: readonly FixtureId[] | undefined, now: readonly FixtureId[]): readonly FixtureId[] {
  return before?.length === now.length && before.every((id, i) => id === now[i]) ? before : now
}

/** Those that are in the show, and in the working set if one is on. */
function touchable(ids: readonly FixtureId[], show: Show | null, members: ReadonlySet<FixtureId> | null) {
  return ids.filter((id) => show?.all.fixture.has(id) && (members === null || members.has(id)))
}

export const useSelection = defineStore('selection', () => {
  const show = useShow()
  const messages = useMessages()
  const workingSet = useWorkingSet()
  const chosen = shallowRef<readonly FixtureId[]>([])
  const earlier = shallowRef<readonly (readonly FixtureId[])[]>([])
  const later = shallowRef<readonly (readonly FixtureId[])[]>([])
  const pattern = shallowRef<Pattern | null>(null)
  /** Which subset is worked on; null for the whole. */
  const step = ref<number | null>(null)
  /** Presses add to the selection, as they do with Shift: for hands without a keyboard. */
  const isAdding = ref(false)

  const rig = computed(() => (show.view ? rigOf(show.view) : new Map<never, never>()))
  /** The whole selection without fixtures that have gone or may not be touched. */
  const whole = computed<readonly FixtureId[]>((before) =>
    kept(before, touchable(chosen.value, show.view, workingSet.members)),
  )
  /** How many are selected: a bar with its cells is one. */
  const count = computed(() => (show.view ? new Set(countedAs(show.view, whole.value).values()).size : 0))
  const subsets = computed(() =>
    show.view && pattern.value ? subsetsOf(pattern.value, whole.value, patternGroupsOf(show.view)) : [],
  )
  /** What is worked on: the subset, or the whole selection. */
  const fixtures = computed<readonly FixtureId[]>((before) =>
    kept(before, step.value === null ? whole.value : (subsets.value[step.value] ?? whole.value)),
  )
  const order = computed(() => new Map(fixtures.value.map((id, i) => [id, i + 1])))
  /** Selected, but not in the subset that is worked on. */
  const waiting = computed<ReadonlySet<FixtureId>>(() => new Set(whole.value.filter((id) => !order.value.has(id))))

  function replace(ids: readonly FixtureId[]) {
    chosen.value = ids
    pattern.value = null
    step.value = null
  }

  function set(ids: readonly FixtureId[]) {
    const allowed = [...new Set(ids)].filter((id) => workingSet.isIn(id))
    const outside = new Set(ids).size - allowed.length
    if (outside > 0)
      messages.say(`${counted(outside, 'fixture is', 'fixtures are')} outside the working set ${workingSet.name}.`)
    if (chosen.value.length > 0) earlier.value = [...earlier.value, chosen.value].slice(-REMEMBERED)
    later.value = []
    replace(allowed)
  }

  function add(ids: readonly FixtureId[]) {
    set([...whole.value, ...ids])
  }

  /** Takes fixtures in, or lets go of them when all are in already. */
  function toggle(ids: readonly FixtureId[]) {
    if (ids.every((id) => whole.value.includes(id))) set(whole.value.filter((id) => !ids.includes(id)))
    else add(ids)
  }

  /** Whether a press adds to the selection. */
  function adds(event: { readonly shiftKey: boolean; readonly ctrlKey: boolean; readonly metaKey: boolean }): boolean {
    return isAdding.value || event.shiftKey || event.ctrlKey || event.metaKey
  }

  function clear() {
    if (chosen.value.length > 0) set([])
  }

  /** Goes back to the selection before this one. */
  function goBack() {
    const last = earlier.value.at(-1)
    if (!last) return
    earlier.value = earlier.value.slice(0, -1)
    later.value = [...later.value, chosen.value]
    replace(last)
  }

  /** To the selection one went back from. */
  function goOn() {
    const next = later.value.at(-1)
    if (!next) return
    later.value = later.value.slice(0, -1)
    earlier.value = [...earlier.value, chosen.value]
    replace(next)
  }

  /** Orders the selection anew; its pattern goes on over the new order. */
  function bringInto(by: Order) {
    const kept = pattern.value
    set(ordered(whole.value, by, rig.value))
    pattern.value = kept
  }

  const invert = () => set(inverted(whole.value, rig.value).filter((id) => workingSet.isIn(id)))
  const addAlike = (by: 'type' | 'hang') => set(alike(whole.value, by, rig.value).filter((id) => workingSet.isIn(id)))

  function part(by: Pattern | null) {
    pattern.value = by
    step.value = by === null ? null : 0
  }

  /** Has a pattern at hand without stepping into it. */
  function keepPattern(by: Pattern) {
    pattern.value = by
    step.value = null
  }

  /** To the next subset or the previous one, round and round; without a pattern, fixture by fixture. */
  function stepBy(by: 1 | -1) {
    if (whole.value.length === 0) return
    pattern.value ??= ONE_BY_ONE
    const count = subsets.value.length
    if (count === 0) return
    if (step.value === null) step.value = by === 1 ? 0 : count - 1
    else step.value = (step.value + by + count) % count
  }

  function backToWhole() {
    step.value = null
  }

  return {
    whole,
    count,
    fixtures,
    order,
    waiting,
    pattern,
    subsets,
    step,
    isAdding,
    adds,
    /** The selections one can go back and on to. */
    before: computed(() => earlier.value.at(-1)),
    after: computed(() => later.value.at(-1)),
    set,
    add,
    toggle,
    clear,
    goBack,
    goOn,
    bringInto,
    invert,
    addAlike,
    part,
    keepPattern,
    stepBy,
    backToWhole,
  }
})
