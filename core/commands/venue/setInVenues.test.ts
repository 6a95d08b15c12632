import { describe, expect, it } from 'vitest'
import { richDesk, venueNamed } from '../../../tests/support/richShow'
import type { Desk } from '../../../tests/support/smallShow'
import { playing } from '../../cues/tracks'
import { litBy } from '../../cues/playback'
import { pictureOf, stageLookup } from '../../cues/onStage'
import { distance, vec3 } from '../../geometry/vector'
import { venueSheet, venuesInOrder, type VenueValue } from '../../refocus/venueSheet'
import { placeId } from '../../show/compositeIds'
import { asFixtureId } from '../../show/ids'
import { rigOf } from '../../show/rig'

/** What stands in a line of the sheet, by venue. */
function lineOf(desk: Desk, name: string, what: string): Record<string, VenueValue> {
  const row = venueSheet(desk.show).find((one) => one.name === name && one.what === what)
  return Object.fromEntries(venuesInOrder(desk.show).map(({ venue }, i) => [venue.name, row?.values[i] ?? null]))
}

function set(desk: Desk, venue: string, name: string, what: string, value: VenueValue) {
  const row = venueSheet(desk.show).find((one) => one.name === name && one.what === what)
  if (!row) throw new Error(`no line ${name} ${what}`)
  return desk.ask('setInVenues', {
    cells: [{ kind: row.kind, id: row.id, what, venue: venueNamed(desk.show, venue), value }],
  })
}

/** The substitute: 62, which no number finds while it plays another. */
const spareOf = (desk: Desk) =>
  asFixtureId([...desk.show.all.fixture].find(([, { number, cell }]) => number === 62 && cell === null)?.[0] ?? '')

const playAt = (desk: Desk, venue: string) => desk.do('switchVenue', { venue: venueNamed(desk.show, venue) })

describe('the sheet of venues', () => {
  it('has every number of every venue side by side, and sets any of them', () => {
    const desk = richDesk()
    const trims = () => lineOf(desk, 'Bar', 'trim')
    expect(trims()['Quarry']).toBe(6.2)
    expect(set(desk, 'Harbour Hall', 'Bar', 'trim', 6.9)).toBe(true)
    expect(trims()).toEqual({ 'Harbour Hall': 6.9, Quarry: 6.2 })
    expect(set(desk, 'Quarry', 'Front rows', 'kept clear up to', 1.9)).toBe(true)
    expect(lineOf(desk, 'Front rows', 'kept clear up to')).toEqual({ 'Harbour Hall': 1.6, Quarry: 1.9 })
    expect(set(desk, 'Quarry', 'Bow, 11', 'to stage left', 0.05)).toBe(true)
    expect(lineOf(desk, 'Bow, 11', 'to stage left')).toEqual({ 'Harbour Hall': 0.12, Quarry: 0.05 })
    const differing = venueSheet(desk.show).filter(({ differs }) => differs)
    expect(differing.map(({ name, what }) => `${name} ${what}`)).toEqual(
      expect.arrayContaining(['Bar trim', '14 on', 'Front rows kept clear up to', 'Bow, 11 to stage left']),
    )
    expect(differing.filter(({ name }) => name === '14')).toHaveLength(1)
  })

  it('takes a hang off a venue with what is on it, and puts it there again as it is elsewhere', () => {
    const desk = richDesk()
    expect(set(desk, 'Quarry', 'Bar', 'trim', null)).toBe(true)
    expect(lineOf(desk, '11', 'on')).toEqual({ 'Harbour Hall': 'Bar', Quarry: null })
    expect(set(desk, 'Quarry', '11', 'along', 1)).toBe(false)
    expect(set(desk, 'Quarry', 'Bar', 'trim', 5)).toBe(true)
    expect(lineOf(desk, 'Bar', 'trim')['Quarry']).toBe(5)
    const home = lineOf(desk, '11', 'along')
    expect(home['Quarry']).toBe(home['Harbour Hall'])
  })

  it('refuses what is no number, no hang, and hangs under the floor', () => {
    const desk = richDesk()
    expect(set(desk, 'Quarry', 'Bar', 'trim', -1)).toBe(false)
    expect(set(desk, 'Quarry', 'Bar', 'length', 0)).toBe(false)
    expect(set(desk, 'Quarry', 'Bar', 'trim', 'high')).toBe(false)
    expect(set(desk, 'Quarry', 'Bar', 'trim', 1001)).toBe(false)
    expect(set(desk, 'Quarry', 'Bow, 11', 'upstage', -1001)).toBe(false)
    expect(set(desk, 'Quarry', 'Front rows', 'kept clear up to', 0)).toBe(false)
    expect(set(desk, 'Quarry', '12', 'on', 'Nowhere')).toBe(false)
    expect(set(desk, 'Quarry', '12', 'on', 'by 99')).toBe(false)
    expect(set(desk, 'Quarry', '12', 'on', 'by 62')).toBe(false)
  })
})

describe('a substitute', () => {
  it('has no more to do once the absent fixture hangs there itself; until then only its hang can be given', () => {
    const desk = richDesk()
    playAt(desk, 'Quarry')
    const [id, { fixture, venue }] = [...desk.show.all.substitute][0] ?? fail()
    expect(desk.refused('changeFixtures', { changes: [{ fixture, along: 1 }] })).toMatch(
      /^14 does not hang in this venue, 62 plays its values here: give it a hang first\.$/,
    )
    desk.do('changeFixtures', { changes: [{ fixture, hang: desk.choose.hang('Bar'), along: 1 }] })
    expect(desk.show.all.substitute.has(id)).toBe(false)
    expect(desk.show.all.fixturePlace.get(placeId(venue, fixture))).toMatchObject({ along: 1 })
  })

  it('plays in its own place and at its own address what the absent one would, aimed anew; angles it refuses', () => {
    const desk = richDesk()
    desk.do('clearHand', { fixtures: null, families: ['position', 'intensity', 'beam', 'colour'] })
    desk.aim('14', 'Bow')
    desk.level('14', 'intensity', 0.7)
    desk.cue(8)
    desk.do('goToCue', { list: desk.choose.list(1), cue: desk.choose.cue(1, 8) })
    playAt(desk, 'Quarry')
    const played = () => rigOf(desk.show).get(desk.fixture(14)) ?? raise()
    const spare = desk.show.all.fixture.get(spareOf(desk))
    expect(rigOf(desk.show).has(spareOf(desk))).toBe(false)
    expect([played().by, played().fixture.number]).toEqual([spareOf(desk), 14])
    expect([played().fixture.universe, played().fixture.address]).toEqual([spare?.universe, spare?.address])
    expect(played().place.along).toBe(
      desk.show.all.fixturePlace.get(placeId(venueNamed(desk.show, 'Quarry'), spareOf(desk)))?.along,
    )
    const seen = () => pictureOf(desk.show, played(), stageLookup(desk.show, desk.person))
    const target = desk.choose.target('Bow')
    expect(seen().positionValue).toMatchObject({ kind: 'aim', target, choice: null })
    expect(distance(seen().position.point ?? raise(), vec3(0, 0, 0))).toBeGreaterThan(0)
    expect(litBy(desk.show, playing(desk.show).get(`${desk.fixture(14)} intensity`) ?? [], Infinity)?.level).toBe(0.7)
    desk.do('turnHeads', { fixtures: desk.fixtures('14'), pan: { how: 'to', degrees: 20 }, tilt: null })
    expect([seen().positionValue, seen().position.state]).toEqual([null, 'resting'])
  })

  it('goes when the absent one hangs there after all, or when the substitute goes', () => {
    const desk = richDesk()
    expect(set(desk, 'Quarry', '14', 'on', 'Bar')).toBe(true)
    expect(desk.show.all.substitute.size).toBe(0)
    expect(set(desk, 'Quarry', '14', 'on', 'by 62')).toBe(true)
    expect(set(desk, 'Quarry', '14', 'on', null)).toBe(true)
    expect(desk.show.all.substitute.size).toBe(0)
    expect(set(desk, 'Quarry', '14', 'on', 'by 62')).toBe(true)
    desk.do('deleteFixtures', { fixtures: [spareOf(desk)] })
    expect(desk.show.all.substitute.size).toBe(0)
  })
})

describe('venues', () => {
  it('are added empty or as another, and deleted with what is there only', () => {
    const desk = richDesk()
    const like = desk.show.all.venue.get(venueNamed(desk.show, 'Quarry')) ?? raise()
    desk.do('addVenue', { ...like, name: 'Bare', from: null })
    desk.do('addVenue', { ...like, name: 'As the Quarry', from: venueNamed(desk.show, 'Quarry') })
    expect(lineOf(desk, 'Bar', 'trim')).toMatchObject({ Bare: null, 'As the Quarry': 6.2 })
    expect(lineOf(desk, '14', 'on')).toMatchObject({ Bare: null, 'As the Quarry': 'by 62' })
    const quarry = venueNamed(desk.show, 'Quarry')
    desk.do('deleteVenue', { venue: quarry })
    for (const kind of ['hangPlace', 'fixturePlace', 'setPiecePlace', 'targetPlace', 'touchUp', 'substitute'] as const)
      expect([...desk.show.all[kind].values()].filter(({ venue }) => venue === quarry)).toEqual([])
    expect(desk.ask('deleteVenue', { venue: venueNamed(desk.show, 'Harbour Hall') })).toBe(false)
  })

  it('keep their note and day when something else of them is changed', () => {
    const desk = richDesk()
    const venue = venueNamed(desk.show, 'Quarry')
    desk.do('changeVenue', { venue, name: 'Old Quarry' })
    expect(desk.show.all.venue.get(venue)).toMatchObject({
      name: 'Old Quarry',
      note: 'Get-in at noon',
      date: '2031-05-02',
    })
  })
})

function raise(): never {
  throw new Error('not there')
}

function fail(): never {
  throw new Error('nothing is substituted')
}
