/** Moves in 1,000 cues of 300 heads: which are too fast, and which sweep what is kept clear. */
import { darkMovesByFixture } from '#core/cues/darkMoves'
import { listsInOrder, timelineOf } from '#core/cues/tracking'
import { poseAt } from '#core/cues/ways'
import { darkRuleId } from '#core/show/compositeIds'
import { positionOnWay } from '#core/cues/fade'
import { Draft } from '#core/show/draft'
import { rigOf } from '#core/show/rig'
import { showRecordOf, type Show } from '#core/show/show'
import { TravelCheck } from '#core/travel/check'
import { progressAt, stepsOf } from '#core/travel/course'
import { tooFast } from '#core/travel/motors'
import { sweepsOf } from '#core/travel/sweep'
import { nearnessTo, zonesOf } from '#core/travel/zones'
import { unwindAll } from '#core/travel/unwinding'
import { surfacesOf } from '#core/venue/surfaces'
import { generateShow, withCues } from './generate'
import { best, line } from './measure'

const SECONDS = 1000
/** Looks of the plain loop at each move. */
const LOOKS = 100

export function benchTravel(): void {
  const byAngle = withFrontRows(withCues(generateShow(300, 200), 1000, 30))
  const draft = new Draft(byAngle)
  for (const id of byAngle.all.cue.keys()) draft.set('cue', id, 'travel', 'straight')
  benchHow('by angle', byAngle)
  benchHow('straight', draft.result())
  benchAgain(byAngle)
  benchDark(byAngle)
  benchUnwinding(byAngle)
}

/** Better ways round for every head, against taking the nearest way cue by cue. */
function benchUnwinding(show: Show): void {
  const list = listsInOrder(show).find(({ cues }) => cues.length > 100)
  if (!list) return
  const heads = [...rigOf(show).values()]
  const plain = best(() => {
    const fresh = { ...show, all: { ...show.all, cueValue: new Map(show.all.cueValue) } }
    return heads.flatMap((rigged) => list.cues.map((_, at) => poseAt(fresh, rigged, list.id, at).pan)).length
  }, 1)
  const whole = best(() => [...unwindAll(show, list.id, null, false)].filter(({ unwound }) => unwound).length, 1)
  const ratio = (whole.milliseconds / plain.milliseconds).toFixed(2)
  line(
    'unwinding 300 heads in 1,000 cues',
    `${whole.milliseconds.toFixed(0)} ms, ${ratio} of the nearest ways; ${whole.result} turn less`,
  )
  const changed = withOneLevel(show)
  timelineOf(changed, list.id)
  const again = best(() => [...unwindAll(changed, list.id, null, false)].length, 1)
  line('after one cell has changed', `${again.milliseconds.toFixed(0)} ms`)
}

/** The show with one intensity set otherwise. */
function withOneLevel(show: Show): Show {
  const draft = new Draft(show)
  const [first] = [...show.all.cueValue].filter(([, { attribute }]) => attribute === 'intensity')
  if (first) draft.put('cueValue', first[0], { ...first[1], value: { kind: 'number', number: 0.123 } })
  return draft.result()
}

/** Everything planned to move in the dark, and again after one cell has changed; against a loop that asks for every pose of every cue. */
function benchDark(show: Show): void {
  const list = listsInOrder(show).find(({ cues }) => cues.length > 100)
  if (!list) return
  const rig = [...rigOf(show).values()]
  const draft = new Draft(blinking(show))
  draft.put('darkRule', darkRuleId(list.id, null, null, null), {
    ...{ list: list.id, cue: null, fixture: null, family: null, when: 'planned', inCue: null },
  })
  const planned = draft.result()
  const darkMovesIn = (show: Show) => [...darkMovesByFixture(show, list.id)].flatMap(({ moves }) => moves)
  const plain = best(() => {
    const fresh = { ...planned, all: { ...planned.all, cueValue: new Map(planned.all.cueValue) } }
    return rig.flatMap((rigged) => list.cues.map((_, at) => poseAt(fresh, rigged, list.id, at).pan)).length
  }, 1)
  const whole = best(() => darkMovesIn(planned).length, 1)
  const moves = darkMovesIn(planned)
  const [goes, stays] = [true, false].map((is) => moves.filter(({ place }) => (place.kind === 'goes') === is))
  const figure = `${whole.milliseconds.toFixed(0)} ms, ${(whole.milliseconds / plain.milliseconds).toFixed(2)} of asking for every pose`
  line('moves in the dark in 1,000 cues of 300 heads', `${figure}; ${goes?.length} go, ${stays?.length} stay live`)
  const after = withOneLevel(planned)
  timelineOf(after, list.id)
  const again = best(() => darkMovesIn(after).length, 1)
  line('after one cell has changed', `${again.milliseconds.toFixed(0)} ms`)
}

/** Every head without light in two of five cues. */
function blinking(show: Show): Show {
  const draft = new Draft(show)
  const places = new Map(listsInOrder(show).flatMap(({ cues }) => cues.map(({ id }, at) => [id, at] as const)))
  for (const [id, stored] of show.all.cueValue)
    if (stored.attribute === 'intensity')
      draft.put('cueValue', id, {
        ...stored,
        value: { kind: 'number', number: (places.get(stored.cue) ?? 0) % 5 < 2 ? 0 : 0.8 },
      })
  return draft.result()
}

function benchHow(how: string, show: Show): void {
  const steps = listsInOrder(show).flatMap((list) =>
    [...rigOf(show).values()].flatMap((rigged) => stepsOf(show, list, rigged)),
  )
  const [surfaces, zones] = [surfacesOf(show), zonesOf(show)]
  const plain = best(() => steps.filter((step) => step.at > 0 && slowlyIn(show, step)).length, 1)
  const fast = best(() => steps.filter((step) => tooFast(step, surfaces)).length, 1)
  const swept = best(() => steps.filter((step) => sweepsOf(step, zones, surfaces).length > 0).length, 1)
  const figure = ({ milliseconds, result }: typeof fast) =>
    `${milliseconds.toFixed(0)} ms, ${(milliseconds / plain.milliseconds).toFixed(2)} of the plain loop; ${result} found`
  line(`too fast in 1,000 cues of 300 heads, ${how}`, figure(fast))
  line(`sweeps in the same, ${how}`, figure(swept))
}

/** The whole check, and again after one cell has changed. */
function benchAgain(show: Show): void {
  const check = new TravelCheck()
  const run = (one: Show) => [...check.check(one)].filter(({ course }) => course).length
  const whole = best(() => run(show), 1)
  const changed = withOneLevel(show)
  const again = best(() => run(changed), 1)
  const ratio = `${(again.milliseconds / whole.milliseconds).toFixed(4)} of the whole`
  line('the whole check of its moves', `${(whole.milliseconds / SECONDS).toFixed(2)} s, ${whole.result} courses`)
  line('after one cell has changed', `${again.milliseconds.toFixed(0)} ms, ${ratio}, ${again.result} courses`)
}

function withFrontRows(show: Show): Show {
  const draft = new Draft(show)
  const { venue } = showRecordOf(show)
  const outline = [
    { x: -7, y: -2 },
    { x: 7, y: -2 },
    { x: 7, y: -5 },
    { x: -7, y: -5 },
  ]
  draft.set('venue', venue, 'keepClear', [{ name: 'Front rows', outline }])
  return draft.result()
}

/** The plain loop: looks at a move so often, and asks each time how near every zone is. */
function slowlyIn(show: Show, step: ReturnType<typeof stepsOf>[number]): boolean {
  const [surfaces, zones] = [surfacesOf(show), zonesOf(show)]
  const { from, to, travel, place } = step
  let isIn = false
  for (let i = 0; i <= LOOKS; i++) {
    const t = progressAt(place, place.delay + (place.seconds * i) / LOOKS)
    const { beam } = positionOnWay(from, to, t, surfaces, travel)
    for (const zone of zones)
      if (
        nearnessTo(zone, { from: beam.lens, direction: beam.direction }).angle <=
        (to.zoom.angle / 2) * (Math.PI / 180)
      )
        isIn = true
  }
  return isIn
}
