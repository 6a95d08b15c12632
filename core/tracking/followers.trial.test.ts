import fc from 'fast-check'
import { expect, it } from 'vitest'
import { rounds, Tally } from '../../tests/support/rounds'
import { richDesk } from '../../tests/support/richShow'
import { Draft } from '../show/draft'
import { placeId } from '../show/compositeIds'
import { asTargetId, type TargetId } from '../show/ids'
import { showRecordOf, type Show } from '../show/show'
import { targetsOf } from '../show/targets'
import { add, vec3, type Vec3 } from '../geometry/vector'
import { channelLevels, followedLevels } from '../output/channelLevels'
import { listsInOrder } from '../cues/tracking'
import { Followers } from './followers'
import type { TrackedPlaces } from './following'

const tally = new Tally('Frames with trackers')
const RICH = richDesk()
RICH.do('patchFixtures', { fixtures: RICH.fixtures('11-14,41'), universe: 3, address: 1, gap: 0, apart: 'never' })

/** The obvious way: a show in which the targets really stand there, each free of what it was tied to. */
function withTargetsAt(show: Show, places: ReadonlyMap<TargetId, Vec3>): Show {
  const { venue } = showRecordOf(show)
  const draft = new Draft(show)
  for (const [target, position] of places) {
    const known = show.all.target.get(target)
    if (!known) continue
    draft.put('target', target, { ...known, setPiece: null, local: null })
    draft.put('targetPlace', placeId(venue, target), { venue, target, position })
  }
  return draft.result()
}

const asTracked = (places: ReadonlyMap<TargetId, Vec3>): TrackedPlaces =>
  new Map([...places].map(([target, place]) => [target, { place, state: 'follows' as const }]))

const little = fc.double({ min: -0.4, max: 0.4, noNaN: true })
const step = fc.record({
  by: fc.record({ x: little, y: little, z: fc.double({ min: 0, max: 0.4, noNaN: true }) }),
  /** What is done first, and how long it takes until the frame, milliseconds. */
  does: fc.constantFrom('nothing', 'go', 'go', 'pause', 'recall', 'let go'),
  list: fc.nat(1),
  after: fc.integer({ min: 1, max: 1500 }),
})

it('what goes out is what would if the targets really stood there, in fades, cues, hands and cells', () => {
  fc.assert(
    fc.property(fc.array(step, { minLength: 1, maxLength: 6 }), (steps) => {
      const desk = RICH.copy()
      desk.now = 10_000
      for (const { by, does, list: nth, after } of steps) {
        const list = listsInOrder(desk.show)[nth]?.id
        if (does === 'go' && list) desk.ask('goOn', { list })
        if (does === 'pause' && list) desk.ask('pauseList', { list })
        if (does === 'recall') desk.recall('11-14', 2)
        if (does === 'let go') desk.ask('clearHand', { families: ['position'], fixtures: null })
        desk.now += after
        const places = new Map(
          [...targetsOf(desk.show).values()]
            .filter(({ target }) => target.form.kind === 'point')
            .map(({ id, position }) => [asTargetId(id), add(position, by)] as const),
        )
        const there = channelLevels(withTargetsAt(desk.show, places), desk.now)
        const followed = followedLevels(desk.show, desk.now, asTracked(places), new Followers())
        expect([...followed].map(([universe, levels]) => [universe, [...levels]])).toEqual(
          [...there].map(([universe, levels]) => [universe, [...levels]]),
        )
        tally.count('frames')
      }
    }),
    rounds(30),
  )
  expect(tally.of('frames')).toBeGreaterThan(0)
})

it('a head follows all the way round without ever whirling about', () => {
  const desk = RICH.copy()
  desk.aim('12', 'Mark')
  const mark = desk.choose.target('Mark')
  const followers = new Followers()
  let before: number | null = null
  // Round under the head, which hangs over its own place: pan goes on past half a turn while it can.
  for (let i = 0; i <= 360; i += 2) {
    const turn = (i * Math.PI) / 180
    const place = vec3(-1 + 1.5 * Math.cos(turn), 1.5 * Math.sin(turn), 0)
    const levels = followedLevels(desk.show, desk.now, asTracked(new Map([[mark, place]])), followers)
    const pan = panOf(desk.show, levels)
    if (before !== null) expect(Math.abs(pan - before)).toBeLessThan(8)
    before = pan
  }
})

/** The pan fixture 12 is sent, degrees. */
function panOf(show: Show, levels: ReadonlyMap<number, Uint8Array>): number {
  const [id] = RICH.fixtures('12')
  const fixture = show.all.fixture.get(id ?? '')
  const [channel] = (show.all.fixtureMode.get(fixture?.mode ?? '')?.channels ?? []).filter(({ functions }) =>
    functions.some(({ does }) => does === 'pan'),
  )
  const bytes = levels.get(fixture?.universe ?? 0)
  const [of] = channel?.functions ?? []
  if (!channel || !of || !bytes || !fixture?.address || channel.fine === null) throw new Error('12 is not patched')
  const at = (place: number) => bytes[(fixture.address ?? 0) + place - 2] ?? 0
  return of.from + ((at(channel.coarse) * 256 + at(channel.fine)) / 65535) * (of.to - of.from)
}
