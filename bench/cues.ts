/** Cues, and what follows a change. */
import { resolveValue } from '#core/palettes/resolve'
import { solvePosition } from '#core/palettes/solve'
import { HOME } from '#core/kinematics/head'
import { rigOf } from '#core/show/rig'
import { givenBy } from '#core/show/values'
import { effectsOf } from '#core/refocus/effects'
import { Draft } from '#core/show/draft'
import type { Show } from '#core/show/show'
import { listsInOrder, stateAt, type ListInOrder } from '#core/cues/tracking'
import { poseInCue } from '#core/cues/ways'
import { looseValues, USUAL_LIMITS } from '#core/refocus/looseValues'
import { distance } from '#core/geometry/vector'
import { stageOf } from '#core/venue/stage'
import { generateShow, withCues } from './generate'
import { best, bestAfter, line } from './measure'

/** 1,000 cues of 300 fixtures: 90,000 values. */
export function benchCues(): void {
  const show = withCues(generateShow(300, 200), 1000, 30)
  const list = listsInOrder(show).find(({ cues }) => cues.length === 1000)
  const last = list?.cues.at(-1)?.id
  if (!list || !last) throw new Error('no cues')
  const fresh = () => ({ id: show.id, all: { ...show.all, cueValue: new Map(show.all.cueValue) } })
  const cold = bestAfter(fresh, (unseen) => stateAt(unseen, list, last).size)
  const warm = best(() => stateAt(show, list, last).size)
  // The obvious way: every value of every cue up to it, in turn.
  const slow = best(() => {
    const state = new Map<string, unknown>()
    for (const { id } of list.cues)
      for (const value of show.all.cueValue.values())
        if (value.cue === id) state.set(`${value.fixture} ${value.attribute}`, value)
    return state.size
  }, 2)
  line('state at the last of 1,000 cues, first asked for (wanted < 50 ms)', `${cold.milliseconds.toFixed(1)} ms`)
  line('the same asked again', `${warm.milliseconds.toFixed(2)} ms`)
  line('the obvious way against it, first asked for', (slow.milliseconds / cold.milliseconds).toFixed(0))
  const waysTo = (seen: Show) => [...rigOf(seen).keys()].reduce((sum, id) => sum + poseInCue(seen, id, last).pan, 0)
  const ways = bestAfter(fresh, waysTo)
  line('ways round at the last of 1,000 cues for 300 heads, first asked for', `${ways.milliseconds.toFixed(0)} ms`)
  const palette = [...show.all.palette.keys()][0] ?? ''
  const own = [...show.all.paletteValue].find(([, value]) => value.palette === palette)
  if (!own) throw new Error('no palette')
  const draft = new Draft(show)
  for (const [id, value] of show.all.paletteValue)
    if (value.palette === palette && value.value.kind === 'aim')
      draft.put('paletteValue', id, { ...value, value: { ...value.value, offset: { x: 0.4, y: 0, z: 0 } } })
  const after = draft.result()
  const effects = best(() => effectsOf(show, after).cues.length)
  const obvious = best(() => slowEffects(show, after, list), 2)
  if (effects.result !== obvious.result) throw new Error(`${effects.result} cues follow, not ${obvious.result}`)
  line('effects of one palette over 1,000 cues (wanted < 500 ms)', `${effects.milliseconds.toFixed(0)} ms`)
  line('every cue solved before and after against it', (obvious.milliseconds / effects.milliseconds).toFixed(1))
  const loose = best(() => looseValues(show, USUAL_LIMITS).length, 3)
  line('loose values among 90,000', `${loose.milliseconds.toFixed(0)} ms`)
}

/** Every position of every cue solved on both sides: how many cues have one that differs. */
function slowEffects(before: Show, after: Show, list: ListInOrder): number {
  let following = 0
  for (const { id } of list.cues) {
    const differs = [...stateAt(before, list, id).values()].some((stored) => {
      if (stored.attribute !== 'position') return false
      const [was, is] = [before, after].map((show) => {
        const rigged = rigOf(show).get(stored.fixture)
        const value = givenBy(stored)
        const plain = rigged && value ? resolveValue(show, rigged, 'position', value).value : null
        return rigged && plain ? solvePosition(rigged.mount, stageOf(show), plain, HOME).point : null
      })
      return was && is && distance(was, is) > 1e-4
    })
    if (differs) following += 1
  }
  return following
}
