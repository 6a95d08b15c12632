import { beforeEach, describe, expect, it, vi } from 'vitest'
import { vec3 } from '#core/geometry/vector'
import { openStores } from '../../tests/support/openStores'
import { Desk } from '../../tests/support/smallShow'
import { useCompared } from './compared'
import { useConfirmed } from './confirmed'
import { useMessages } from './messages'
import { useProposal } from './proposal'
import { showId } from '#core/show/ids'
import { targetsOf } from '#core/show/targets'
import { useShow } from './show'

let desk: Desk
const moveMark = async (settled = true) => {
  useProposal().propose('moveTarget', { target: desk.choose.target('Mark'), position: vec3(1, 3, 0) }, settled)
  await told()
}
/** What the newest proposal carries along is worked out beside the page. */
const told = () => vi.waitUntil(() => useProposal().current?.isReckoned)
const cue = (number: number) => desk.choose.cue(1, number)

/** Palette 1 on the mark, set in cue 1 for 11 and 12, in cue 2 for 13; dark in none. */
beforeEach(() => {
  desk = new Desk()
  desk.do('setTake', { family: 'intensity', take: true })
  desk.aim('11-13', 'Mark')
  desk.record(1, 'Mark')
  desk.do('clearHand', { families: ['position'], fixtures: null })
  for (const [number, who] of [
    [1, '11, 12'],
    [2, '13'],
  ] as const) {
    desk.recall(who, 1)
    desk.level(who, 'intensity', 1)
    desk.cue(number)
  }
  openStores(desk)
})

describe('a proposed change', () => {
  it('is drawn and told without being done, until it is put back', async () => {
    const proposal = useProposal()
    await moveMark()
    expect(proposal.current?.effects.cues.map((effect) => effect.cue)).toEqual([cue(1), cue(2)])
    expect(proposal.drawn).not.toBe(desk.show)
    expect(useShow().view?.all).toBe(desk.show.all)
    proposal.cancel()
    expect([proposal.current, proposal.drawn?.all]).toEqual([null, desk.show.all])
  })

  it('leaves out what is kept out of it, as it was, and lets it in again', async () => {
    const proposal = useProposal()
    await moveMark()
    proposal.exclude({ cues: [cue(2)] })
    await told()
    expect(proposal.current?.effects.cues.map((effect) => effect.cue)).toEqual([cue(1)])
    // What is carried into it from cue 1 stays too.
    const held = proposal.current?.effects.held.map((value) => [
      value.cue,
      desk.show.all.fixture.get(value.fixture)?.number,
    ])
    expect(held?.sort()).toEqual([11, 12, 13].map((number) => [cue(2), number]))
    proposal.exclude({ cues: [] })
    await told()
    expect(proposal.current?.effects.held).toEqual([])
  })

  it('shows a cue before and after, until it is looked at once more', async () => {
    const proposal = useProposal()
    await moveMark()
    proposal.look(cue(1))
    const { before = [], after = [], around = [] } = useCompared().pictures ?? {}
    const numbers = (fixtures: typeof before) => fixtures.map(({ rigged }) => rigged.fixture.number)
    expect([numbers(before), numbers(after), numbers(around)]).toEqual([[11, 12], [11, 12], []])
    expect(before[0]?.position.point).toEqual({ x: 0, y: 2, z: 0 })
    expect(after[0]?.position.point).toEqual({ x: 1, y: 3, z: 0 })
    proposal.look(cue(1))
    expect(useCompared().pictures).toBeNull()
  })

  it('follows what others do meanwhile', async () => {
    await moveMark()
    desk.do('deleteCues', { cues: [cue(2)], later: 'change' })
    useShow().confirmed = desk.show
    await told()
    expect(useProposal().current?.effects.cues).toHaveLength(1)
  })

  it('is nothing where it is refused, and the person is told why', async () => {
    await useProposal().offerOrSay('deleteCues', { cues: [], later: 'change' })
    expect(useProposal().current).toBeNull()
    expect(useMessages().list.at(-1)).toMatchObject({ tone: 'trouble' })
  })

  it('runs its command once for each step of a drag, and tells of the newest', async () => {
    const attempts = vi.spyOn(useShow(), 'attempt')
    const proposal = useProposal()
    const to = (x: number) =>
      proposal.propose('moveTarget', { target: desk.choose.target('Mark'), position: vec3(x, 3, 0) }, false)
    for (const x of [1, 2, 3]) to(x)
    await told()
    expect(attempts).toHaveBeenCalledTimes(3)
    expect(proposal.current?.effects.palettes[0]?.shiftMetres).toBeCloseTo(Math.hypot(3, 1), 9)
    expect(proposal.drawn && targetsOf(proposal.drawn).get(desk.choose.target('Mark'))?.position.x).toBe(3)
  })

  it('does at once what nothing leans on, and shows nothing of it', async () => {
    const ask = vi.spyOn(useShow(), 'ask').mockResolvedValue(null)
    await useProposal().offer('moveTarget', { target: desk.choose.target('Shore'), position: vec3(0, 5, 0) })
    expect([useProposal().current, ask.mock.calls.length]).toEqual([null, 1])
  })

  it('can be committed or cancelled before it is told what it carries along', async () => {
    const send = vi.spyOn(useShow(), 'send').mockResolvedValue(true)
    const ask = vi.spyOn(useShow(), 'ask').mockResolvedValue(null)
    const proposal = useProposal()
    const offer = () => proposal.offer('moveTarget', { target: desk.choose.target('Mark'), position: vec3(1, 3, 0) })
    const first = offer()
    expect([proposal.current, proposal.pending]).toEqual([null, { settled: true }])
    await proposal.commit()
    const second = offer()
    proposal.cancel()
    expect(await Promise.all([first, second])).toEqual([null, null])
    expect([send.mock.calls.length, ask.mock.calls.length, proposal.pending, proposal.current]).toEqual([
      1,
      0,
      null,
      null,
    ])
  })

  it('typed in two fields and left at once is done in order where nothing leans on it', async () => {
    const ask = vi.spyOn(useShow(), 'ask').mockResolvedValue(null)
    const proposal = useProposal()
    const [target, mark] = [desk.choose.target('Shore'), desk.choose.target('Mark')]
    const offered = [1, 2].map((x) => proposal.offer('moveTarget', { target, position: vec3(x, 5, 0) }))
    const leaning = proposal.offer('moveTarget', { target: mark, position: vec3(1, 3, 0) })
    proposal.cancel()
    await Promise.all([...offered, leaning, proposal.decided()])
    expect(ask.mock.calls.map(([, input]) => input)).toEqual([1, 2].map((x) => ({ target, position: vec3(x, 5, 0) })))
    expect([proposal.pending, proposal.current]).toEqual([null, null])
  })

  it('left for another show before it is known what leans on it is not done there', async () => {
    const ask = vi.spyOn(useShow(), 'ask').mockResolvedValue(null)
    const proposal = useProposal()
    const offered = proposal.offer('moveTarget', { target: desk.choose.target('Shore'), position: vec3(1, 5, 0) })
    proposal.cancel()
    useShow().confirmed = { ...desk.show, id: showId.parse('another') }
    expect([await offered, ask.mock.calls.length]).toEqual([null, 0])
  })

  it('is not done unseen because someone else changed the show meanwhile, and is worked out once for each show', async () => {
    const ask = vi.spyOn(useShow(), 'ask').mockResolvedValue(null)
    const reckonings = vi.spyOn(useConfirmed(), 'consequences')
    const proposal = useProposal()
    const offered = proposal.offer('moveTarget', { target: desk.choose.target('Mark'), position: vec3(1, 3, 0) })
    expect(reckonings).toHaveBeenCalledTimes(1)
    desk.do('deleteCues', { cues: [cue(2)], later: 'change' })
    useShow().confirmed = desk.show
    expect(await offered).toBeNull()
    expect(ask).not.toHaveBeenCalled()
    expect(reckonings).toHaveBeenCalledTimes(2)
    expect(proposal.current?.effects.cues.map((effect) => effect.cue)).toEqual([cue(1)])
  })

  it('that was put back tells nothing under the next', async () => {
    const proposal = useProposal()
    void proposal.offer('moveTarget', { target: desk.choose.target('Mark'), position: vec3(1, 3, 0) })
    proposal.cancel()
    proposal.propose('deleteCues', { cues: [cue(2)], later: 'change' }, true)
    await told()
    expect(proposal.current?.effects.palettes).toEqual([])
  })
})
