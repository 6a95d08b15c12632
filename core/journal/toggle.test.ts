import { beforeEach, describe, expect, it } from 'vitest'
import { choose, type Choices } from '#demo/choices'
import { harbourHall } from '#demo/stage'
import { JournaledShow, type Person } from '../../tests/support/journaledShow'
import { Desk } from '../../tests/support/smallShow'
import { vec3 } from '../geometry/vector'
import { FAMILIES } from '../attributes/families'
import { asVenueId } from '../show/ids'
import { modesOf } from '../show/modes'
import { showRecordOf } from '../show/show'
import { targetsOf } from '../show/targets'

/** The small show with a palette of 11 and 12 at the bow, one of 13 at the mark, and two cues of them. */
function prepared(): Desk {
  const desk = new Desk()
  desk.do('setTake', { family: 'colour', take: true })
  desk.aim('11,12', 'Bow')
  desk.record(1, 'Bow')
  desk.look('11,12', '#ff0000')
  desk.cue(1)
  desk.aim('13', 'Mark')
  desk.record(2, 'Mark')
  desk.cue(2)
  return desk
}

let at: JournaledShow
const find = (): Choices => choose(at.show)
const fixture = (number: number) => {
  const [id] = find().fixtures(String(number))
  const known = id && at.show.all.fixture.get(id)
  if (!known) throw new Error(`no fixture ${number}`)
  return { id, ...known }
}
const venueNamed = (wanted: string) =>
  asVenueId([...at.show.all.venue].find(([, { name }]) => name === wanted)?.[0] ?? '')
const clear = (person: Person) => at.do(person, 'clearHand', { fixtures: null, families: [...FAMILIES] })

beforeEach(() => {
  at = new JournaledShow(prepared().show)
})

/** What undoing or redoing a person's last step comes to, asked first, then all the same. */
function insist(person: Person, direction: 'undo' | 'redo' = 'undo') {
  const asked = at[direction](person)
  const done = at[direction](person, 'anyway')
  return { asked, done }
}

describe('undo all the same', () => {
  it('of a value taken out of a cue whose fixture is gone ends, and leaves the step', () => {
    at.do('anna', 'takeOutOfCues', { cues: [find().cue(1, 1)], fixtures: find().fixtures('11'), families: ['colour'] })
    at.do('ben', 'deleteFixtures', { fixtures: find().fixtures('11') })
    const before = at.show
    const { asked, done } = insist('anna')
    expect(asked).toMatchObject({ kind: 'refused', refusal: { code: 'unsound', fault: { code: 'missing' } } })
    expect(done).toEqual({ kind: 'waive', isLeft: true })
    expect(at.show).toBe(before)
  })

  it('of the venue in play plays another, and keeps the show', () => {
    at.do('anna', 'addVenue', { ...harbourHall, name: 'Quarry' })
    const quarry = venueNamed('Quarry')
    at.do('ben', 'switchVenue', { venue: quarry })
    const { asked, done } = insist('anna')
    expect(asked).toMatchObject({ kind: 'refused' })
    expect(done).toMatchObject({ kind: 'anyway', along: [{ register: `show/${at.show.id}/venue` }] })
    expect(showRecordOf(at.show).venue).not.toBe(quarry)
    expect(at.show.all.venue.size).toBe(1)
    // Anna takes that back too: an ordinary step.
    expect(at.undo('anna')?.kind).toBe('toggle')
    expect(showRecordOf(at.show).venue).toBe(quarry)
  })

  it('of a link opens the loop that somebody has closed since', () => {
    const combine = (number: number, part: number) => {
      at.do('anna', 'recallPalette', { palette: find().palette(part), fixtures: find().fixtures('11') })
      at.do('anna', 'recordPalette', { number, name: `Look ${number}`, colour: 'brass', shelf: 'combined' })
      clear('anna')
    }
    combine(12, 1)
    combine(11, 12)
    const [first, second] = [find().palette(11), find().palette(12)]
    at.do('anna', 'aimAtTarget', {
      fixtures: find().fixtures('11'),
      target: find().target('Mark'),
      offset: vec3(0, 0, 0),
      along: null,
    })
    const plain = at.do('anna', 'storeInPalette', { palette: first, how: 'merge', reach: 'own' })
    at.do('ben', 'recallPalette', { palette: first, fixtures: find().fixtures('11') })
    at.do('ben', 'storeInPalette', { palette: second, how: 'merge', reach: 'own' })
    const asked = { group: plain, direction: 'undo' } as const
    expect(at.toggle('anna', { ...asked, how: 'ask' })).toMatchObject({
      kind: 'refused',
      refusal: { code: 'unsound', fault: { code: 'loop' } },
    })
    expect(at.toggle('anna', { ...asked, how: 'anyway' })).toMatchObject({
      kind: 'anyway',
      along: [{ register: expect.stringContaining(`paletteValue/${second}`) }],
    })
  })
})

describe('what undo or redo would leave unsound', () => {
  it('is refused, and done with what the step had: a mode of another type', () => {
    const before = fixture(11)
    const wash = fixture(41).type
    if (!wash) throw new Error('41 has no type')
    at.do('anna', 'changeFixtures', { changes: [{ fixture: before.id, type: wash }] })
    const mode = modesOf(at.show, wash).at(-1)?.id
    at.do('ben', 'changeFixtures', { changes: [{ fixture: before.id, mode: mode ?? null }] })
    const { asked, done } = insist('anna')
    expect(asked).toMatchObject({ kind: 'refused', refusal: { code: 'built on', by: 'ben' } })
    expect(done?.kind).toBe('anyway')
    expect(fixture(11)).toEqual(before)
  })

  it('is put right where it is nobody’s work: a list that stands in a cue of another', () => {
    at.do('anna', 'addCueList', { number: 2, name: 'Second', intensityRule: 'highest' })
    at.do('anna', 'moveCues', { cues: [find().cue(1, 2)], list: find().list(2), number: 5 })
    at.do('ben', 'goToCue', { list: find().list(2), cue: find().cue(2, 5), seconds: 3 })
    expect(at.undo('anna')?.kind).toBe('toggle')
    expect(at.show.all.cueList.get(find().list(2))?.onStage).toBeNull()
    expect([...at.show.all.cueRun.values()].filter(({ list }) => list === find().list(2))).toEqual([])
    expect(find().cue(1, 2)).toBeTruthy()
  })

  it('is refused where it would hang from what is gone, and left there all the same', () => {
    at.do('anna', 'changeFixtures', { changes: [{ fixture: fixture(41).id, hang: find().hang('Bar') }] })
    at.do('ben', 'deleteHang', { hang: find().hang('Boom'), fixtures: null })
    const { asked, done } = insist('anna')
    expect(asked).toMatchObject({
      kind: 'refused',
      refusal: { code: 'unsound', fault: { code: 'missing', to: 'hang' } },
    })
    expect(done).toEqual({ kind: 'waive', isLeft: true })
    const place = [...at.show.all.fixturePlace.values()].find((p) => p.fixture === fixture(41).id)
    expect(place?.hang).toBe(find().hang('Bar'))
  })

  it('is refused where a target would be half tied, and done as the step had it', () => {
    const mark = find().target('Mark')
    const stood = targetsOf(at.show).get(mark)?.position
    at.do('anna', 'changeTarget', { target: mark, setPiece: find().setPiece('Dory') })
    at.do('ben', 'moveTarget', { target: mark, position: vec3(1, 1, 0) })
    const { asked, done } = insist('anna')
    expect(asked).toMatchObject({ kind: 'refused', refusal: { code: 'built on', by: 'ben' } })
    expect(done?.kind).toBe('anyway')
    expect(targetsOf(at.show).get(mark)?.position).toEqual(stood)
  })

  it('is refused where it would play a venue that is gone', () => {
    at.do('ben', 'addVenue', { ...harbourHall, name: 'Quarry' })
    at.do('anna', 'switchVenue', { venue: venueNamed('Quarry') })
    expect(at.undo('anna')?.kind).toBe('toggle')
    expect(at.undo('ben')?.kind).toBe('toggle')
    const { asked, done } = insist('anna', 'redo')
    expect(asked).toMatchObject({ kind: 'refused', refusal: { code: 'unsound', fault: { to: 'venue' } } })
    expect(done).toEqual({ kind: 'waive', isLeft: true })
    expect(at.redo('anna')).toBeNull()
  })
})

describe('redo', () => {
  it('of a deletion is not held up by the making of what is deleted', () => {
    at.do('anna', 'insertCue', { ...TIMES, list: find().list(1), number: 7 })
    at.do('anna', 'deleteCues', { cues: [find().cue(1, 7)], later: 'change' })
    at.undo('anna')
    expect(at.redo('anna')?.kind).toBe('toggle')
    expect(() => find().cue(1, 7)).toThrow()
  })

  it('of a change to what is gone changes nothing, and says who took it out', () => {
    const palette = find().palette(2)
    at.do('anna', 'changePalette', { palette, name: 'Other' })
    at.undo('anna')
    at.do('ben', 'deletePalettes', { palettes: [palette], links: { how: 'loose' } })
    expect(at.redo('anna')).toMatchObject({ kind: 'toggle', changes: [], kept: [{ by: 'ben', isGone: true }] })
  })
})

const TIMES = { name: '', rise: 1, fall: 1, move: null, delay: 0, follow: 'wait', travel: 'angle' } as const
