/** What goes out a frame. */
import { rigOf } from '#core/show/rig'
import { asCueId, asCueListId, asFixtureModeId, asTargetId, type CueId } from '#core/show/ids'
import { wholeFixtures } from '#core/show/cells'
import { Draft } from '#core/show/draft'
import type { Show } from '#core/show/show'
import { targetsOf } from '#core/show/targets'
import { channelLevels, followedLevels } from '#core/output/channelLevels'
import { vec3 } from '#core/geometry/vector'
import { Followers } from '#core/tracking/followers'
import { Following } from '#core/tracking/following'
import { trackingOf, USUAL_FOLLOWING } from '#core/tracking/tracked'
import { placeOnWalk } from '#core/tracking/walk'
import { strand } from '#demo/types'
import { putCueValue } from '#core/cues/marks'
import { generateShow, withCues } from './generate'
import { seededRandom } from '#core/standIn/seededRandom'
import { best, line } from './measure'

/** A show all of which is patched, 15 fixtures in a universe, on the way from its first cue to its second since an instant. */
export function onItsWay(cued: Show, startedAt = 0): { draft: Draft; cues: readonly CueId[] } {
  const draft = new Draft(cued)
  let address = 1
  for (const [id, fixture] of wholeFixtures(cued)) {
    const mode = [...cued.all.fixtureMode].find(([, one]) => one.type === fixture.type)
    const universe = Math.floor((address - 1) / 480) + 1
    draft.put('fixture', id, {
      ...fixture,
      mode: asFixtureModeId(mode?.[0] ?? ''),
      universe,
      address: ((address - 1) % 480) + 1,
    })
    address += 32
  }
  const cues = [...cued.all.cue.keys()].map(asCueId)
  const [first, second] = cues
  if (!first || !second) throw new Error('no cues')
  draft.put('cueRun', 'run', {
    list: asCueListId('long'),
    cue: second,
    from: first,
    startedAt,
    seconds: 60,
    settled: false,
    order: 1,
  })
  draft.set('cueList', 'long', 'onStage', second)
  return { draft, cues: [first, second] }
}

export function benchOutput(): void {
  const cued = withCues(generateShow(300, 200), 2, 3000)
  const { draft, cues } = onItsWay(cued)
  const plain = frameOf(draft.result())
  line('a frame of output, 300 fixtures moving (40 a second: 25 ms)', `${plain.toFixed(1)} ms`)
  const random = seededRandom(9)
  for (const rigged of rigOf(cued).values())
    for (const cue of cues)
      putCueValue(draft, { cue, fixture: rigged.id, attribute: 'colour', value: anyColour(random) })
  const mixing = frameOf(draft.result())
  line('the same, each from a colour of its own to another (wanted < 6.25 ms)', `${mixing.toFixed(1)} ms`)
}

const anyColour = (random: () => number) =>
  ({ kind: 'colour', x: 0.25 + 0.25 * random(), y: 0.2 + 0.25 * random(), level: 1 }) as const

/** As many light sources as in 300 heads and more, eight to a bar. */
export function benchCells(): void {
  const { draft, cues } = onItsWay(withCues(generateShow(60, 1, [strand]), 2, 1))
  const random = seededRandom(9)
  for (const { id, bar } of rigOf(draft.before).values())
    for (const cue of bar ? cues : []) {
      putCueValue(draft, { cue, fixture: id, attribute: 'intensity', value: { kind: 'number', number: random() } })
      putCueValue(draft, { cue, fixture: id, attribute: 'colour', value: anyColour(random) })
    }
  line('60 bars of eight cells, each cell in its own', `${frameOf(draft.result()).toFixed(1)} ms`)
}

/** Every head of 100 aimed at one of 40 targets that follow trackers, and all of those on the move. */
export function benchTracking(): void {
  const { draft, cues } = onItsWay(withCues(generateShow(100, 200), 2, 1))
  const { show: record } = draft.before.all
  const venue = record.get(draft.before.id)?.venue
  if (!venue) throw new Error('no venue')
  const targets = [...targetsOf(draft.before).keys()].map(asTargetId)
  draft.put('tracking', venue, { ...trackingOf(draft.before), venue, isOn: true })
  for (const [i, target] of targets.entries())
    draft.put('trackedTarget', target, { ...USUAL_FOLLOWING, target, tracker: i })
  for (const [i, rigged] of [...rigOf(draft.before).values()].entries())
    for (const [nth, cue] of cues.entries()) {
      const target = targets[(i + nth) % targets.length] ?? null
      const value = { kind: 'aim', target, at: null, offset: vec3(0, 0, 0), choice: null } as const
      putCueValue(draft, { cue, fixture: rigged.id, attribute: 'position', value })
    }
  const show = draft.result()
  line('100 heads after 40 trackers, standing (wanted < 10 ms)', `${trackedFrame(show, 1e9).toFixed(1)} ms`)
  line(
    'the same, all of them on their way from one to another (wanted < 10 ms)',
    `${trackedFrame(show, 0).toFixed(1)} ms`,
  )
}

/** Milliseconds a frame takes with every tracker elsewhere each time. */
function trackedFrame(show: Show, since: number): number {
  const [following, followers] = [new Following(), new Followers()]
  let now = since
  return best(() => {
    now += 25
    const trackers = Array.from({ length: 40 }, (_, id) => ({ id, place: placeOnWalk(vec3(0, 0, 3), id, now / 1000) }))
    following.hear(trackers, now)
    return followedLevels(show, now, following.step(show, now), followers).size
  }, 60).milliseconds
}

/** Milliseconds a frame takes of a show in which all is on its way. */
function frameOf(show: Show): number {
  let now = 0
  channelLevels(show, now)
  return best(() => channelLevels(show, (now += 25)).size, 60).milliseconds
}
