/** Moves in 1,000 cues of 300 heads: which are too fast, and which sweep what is kept clear. */
import { listsInOrder } from '#core/cues/tracking'
import { positionOnWay } from '#core/cues/fade'
import { Draft } from '#core/show/draft'
import { rigOf } from '#core/show/rig'
import { showRecordOf, type Show } from '#core/show/show'
import { TravelCheck } from '#core/travel/check'
import { progressAt, stepsOf } from '#core/travel/course'
import { tooFast } from '#core/travel/motors'
import { sweepsOf } from '#core/travel/sweep'
import { nearnessTo, zonesOf } from '#core/travel/zones'
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
  const [first] = [...show.all.cueValue].filter(([, { attribute }]) => attribute === 'intensity')
  if (!first) return
  const draft = new Draft(show)
  draft.put('cueValue', first[0], { ...first[1], value: { kind: 'number', number: 0.123 } })
  const changed = draft.result()
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
