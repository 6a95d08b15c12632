import { beforeEach, describe, expect, it } from 'vitest'
import { adjustedInHand } from '../../palettes/update'
import { paletteValueFor, resolveValue } from '../../palettes/resolve'
import { cueCounts, glanceAt, servedBy, servesInWords } from '../../palettes/use'
import { danglingReferences } from '../../show/references'
import { asPaletteId, groupId, type FixtureTypeId, fixtureTypeId } from '../../show/ids'
import type { Attribute } from '../../attributes/attribute'
import { FAMILIES } from '../../attributes/families'
import { effectsOf } from '../../refocus/effects'
import { palettesWithOtherContents } from '../../refocus/paletteLines'
import { rigOf } from '../../show/rig'
import { applyChanges } from '../../show/changes'
import type { PlainValue } from '../../show/values'
import { vec3 } from '../../geometry/vector'
import { colourOfHex, colourOfLevels } from '../../colour/colour'
import { modesOf } from '../../show/modes'
import { Desk } from '../../../tests/support/smallShow'

let desk: Desk
beforeEach(() => {
  desk = new Desk()
})

const id = (number: number) => desk.choose.palette(number)
const number = (value: number): PlainValue => ({ kind: 'number', number: value })
/** What a palette comes to for a fixture. */
function valueOf(palette: number, fixture: number, attribute: Attribute): PlainValue | null {
  const rigged = rigOf(desk.show).get(desk.fixture(fixture))
  const stored = rigged && paletteValueFor(desk.show, id(palette), rigged, attribute)
  return rigged && stored ? resolveValue(desk.show, rigged, attribute, stored).value : null
}
function typeNamed(name: string): FixtureTypeId {
  for (const [key, type] of desk.show.all.fixtureType) if (type.name === name) return fixtureTypeId.parse(key)
  throw new Error(`no type ${name}`)
}
function group(name: string, entry: string) {
  desk.do('recordGroup', { number: desk.show.all.group.size + 1, name, fixtures: desk.fixtures(entry) })
  for (const [key, known] of desk.show.all.group) if (known.name === name) return groupId.parse(key)
  throw new Error('no group')
}
const clear = () => desk.do('clearHand', { families: [...FAMILIES], fixtures: null })
/** Mixes a colour in the hand of fixture 11. */
const mix = (...levels: [red: number, green: number, blue: number]) =>
  desk.do('setColour', { fixtures: desk.fixtures('11'), colour: { kind: 'colour', ...colourOfLevels(...levels) } })
/** Takes colour from the type with the wheel: it has the wheel only, as types of before. */
function wheelOnly() {
  const key = typeNamed('Plover 250')
  const type = desk.show.all.fixtureType.get(key)
  if (!type) throw new Error('no type')
  const modes = modesOf(desk.show, key).map(({ id: mode, mode: { name, channels } }) => ({ id: mode, name, channels }))
  desk.do('changeType', { ...type, type: key, has: type.has.filter((one) => one !== 'colour'), modes })
}
/** Nothing in the show may point at what is gone. */
const expectSound = () => expect(danglingReferences(desk.show)).toEqual([])

describe('the reach of what is recorded', () => {
  it('is any for a shared place, the type for a shared zoom, and own where fixtures differ', () => {
    desk.aim('11-13', 'Bow')
    desk.level('11-13', 'zoom', 12)
    desk.level('13', 'zoom', 20)
    desk.do('recordPalette', { number: 1, name: 'Bow', shelf: 'focus', colour: 'brass', reach: 'usual' })
    expect(servedBy(desk.show, id(1)).map((r) => r.fixture.number)).toEqual([11, 12, 13, 14, 41])
    expect(valueOf(1, 41, 'position')).toMatchObject({ kind: 'aim', target: desk.choose.target('Bow'), choice: null })
    expect(valueOf(1, 14, 'zoom')).toBeNull()
    desk.level('11-13', 'zoom', 14)
    desk.do('storeInPalette', { palette: id(1), how: 'merge', reach: 'usual' })
    expect([valueOf(1, 14, 'zoom'), valueOf(1, 11, 'zoom'), valueOf(1, 41, 'zoom')]).toEqual([
      number(14),
      number(14),
      null,
    ])
    expect(glanceAt(desk.show, id(1)).reaches).toEqual(['kind', 'any'])
  })

  it('says whom it was recorded with, and how much wider it serves', () => {
    const words = (number: number) => {
      const { recorded, wider } = servesInWords(desk.show, id(number))
      return [recorded, wider].filter(Boolean).join(', ')
    }
    desk.aim('11-13', 'Mark')
    desk.do('recordPalette', { number: 5, name: 'All', shelf: 'position', colour: 'kelp', reach: 'any' })
    expect(words(5)).toBe('3 fixtures, serves any')
    desk.aim('14', 'Mark')
    desk.do('storeInPalette', { palette: id(5), how: 'merge', reach: 'any' })
    expect(words(5)).toBe('4 fixtures, serves any')
    desk.do('deleteFixtures', { fixtures: desk.fixtures('12') })
    expect(words(5)).toBe('3 fixtures, serves any')
    desk.aim('14', 'Bow')
    desk.do('storeInPalette', { palette: id(5), how: 'replace', reach: 'own' })
    expect(words(5)).toBe('1 fixture')
    const made = { targets: [desk.choose.target('Mark')], groups: [], pool: null, numberFrom: 30 }
    desk.do('makePalettesFromTargets', { ...made, shelf: 'position' })
    expect(words(30)).toBe('serves any')
  })

  it('keeps the way round of a fixture that was turned, beside the place for any', () => {
    desk.aim('11, 12', 'Bow')
    desk.do('turnOtherSide', { fixtures: desk.fixtures('12'), how: 'other' })
    const side = desk.seen(12).position.side
    desk.do('recordPalette', { number: 1, name: 'Bow', shelf: 'position', colour: 'brass', reach: 'usual' })
    expect(glanceAt(desk.show, id(1)).reaches).toEqual(['own', 'any'])
    expect(desk.seen(12).position.side).toBe(side)
  })

  it('brings a mixed colour to wheels that take no colour by the nearest slot, and says so', () => {
    wheelOnly()
    mix(0.04, 0.08, 0.7)
    desk.do('setTake', { family: 'colour', take: true })
    const label = desk.do('recordPalette', {
      number: 1,
      name: 'Blue',
      shelf: 'colour',
      colour: 'shoal',
      reach: 'usual',
    })
    expect(label).toMatch(/Plover 250: Deep blue/)
    expect(valueOf(1, 41, 'colour')).toMatchObject({ kind: 'colour', level: expect.closeTo(0.7, 9) })
  })

  it('obeys the masks in what a colour means elsewhere, and writes over nothing that was recorded', () => {
    wheelOnly()
    desk.do('setTake', { family: 'colour', take: true })
    mix(0.2, 0.3, 0.85)
    const choicesIn = (palette: number) =>
      [...desk.show.all.paletteValue.values()].flatMap((stored) =>
        stored.palette === id(palette) && stored.attribute === 'colourWheel' ? [stored.value] : [],
      )
    const colour = { shelf: 'colour', colour: 'shoal', reach: 'usual' } as const
    desk.do('setTake', { attribute: 'colourWheel', take: false })
    desk.do('recordPalette', { number: 1, name: 'Held back', ...colour })
    expect(choicesIn(1)).toEqual([])
    desk.do('setTake', { attribute: 'colourWheel', take: true })

    // What was only worked out for a type goes along with the colour; what was recorded from one of it stays.
    const merge = () => desk.do('storeInPalette', { palette: id(2), how: 'merge', reach: 'usual' })
    mix(0, 0, 1)
    desk.do('recordPalette', { number: 2, name: 'Meant', ...colour })
    const [blue] = choicesIn(2)
    mix(1, 0, 0)
    merge()
    const [red] = choicesIn(2)
    expect(red).not.toEqual(blue)
    const turn = { out: 0, drop: 0, yaw: 0, pitch: 0, roll: 0, mode: null, count: 1, gap: null, middle: 0 }
    desk.do('placeFixtures', { ...turn, hang: desk.choose.hang('Bar'), type: typeNamed('Plover 250'), numberFrom: 31 })
    const second = { kind: 'number', number: 2 } as const
    desk.do('setValue', { fixtures: desk.fixtures('31'), attribute: 'colourWheel', value: second })
    merge()
    mix(0, 0, 1)
    merge()
    expect([valueOf(2, 41, 'colour'), choicesIn(2)]).toMatchObject([{ level: expect.closeTo(1, 9) }, [second]])
  })
})

describe('recording into a palette', () => {
  beforeEach(() => {
    desk.aim('11, 12', 'Bow')
    desk.record(1, 'Bow', 'focus')
  })

  it('merges over what is there, replaces it, or removes fixtures and attributes', () => {
    clear()
    desk.aim('13', 'Mark')
    desk.level('13', 'zoom', 9)
    desk.do('storeInPalette', { palette: id(1), how: 'merge', reach: 'own' })
    expect(servedBy(desk.show, id(1)).map((r) => r.fixture.number)).toEqual([11, 12, 13])
    desk.do('removeFromPalette', { palette: id(1), fixtures: desk.fixtures('13'), attributes: ['zoom'] })
    expect([valueOf(1, 13, 'zoom'), valueOf(1, 13, 'position')?.kind]).toEqual([null, 'aim'])
    desk.do('removeFromPalette', { palette: id(1), fixtures: desk.fixtures('11'), attributes: null })
    expect(valueOf(1, 11, 'position')).toBeNull()
    clear()
    desk.aim('14', 'Mark')
    desk.do('storeInPalette', { palette: id(1), how: 'replace', reach: 'own' })
    expect(servedBy(desk.show, id(1)).map((r) => r.fixture.number)).toEqual([14])
    expect(desk.refused('removeFromPalette', { palette: id(1), fixtures: null, attributes: null })).toContain('Delete')
  })

  it('leaves cues and combined palettes the light of what is taken out, loose', () => {
    desk.cue(1)
    desk.go(1)
    desk.recall('11, 12', 1)
    desk.record(2, 'Look', 'combined')
    clear()
    const { pose } = desk.seen(11).position
    desk.recall('11', 1)
    const before = desk.show
    const label = desk.do('removeFromPalette', { palette: id(1), fixtures: desk.fixtures('11'), attributes: null })
    expect(effectsOf(before, desk.show).cues).toEqual([])
    expect(label).toContain('1 cue value and 1 in hand stay as they are, loose')
    expect(palettesWithOtherContents(before, desk.show)).toEqual([id(1), id(2)])
    clear()
    expect(desk.seen(11).position.pose).toEqual(pose)
    expect(valueOf(2, 11, 'position')?.kind).toBe('aim')
    const links = [...desk.show.all.cueValue.values()].map(({ value }) => value.kind)
    expect(links.sort()).toEqual(['aim', 'link'])
    expectSound()
  })

  it('takes by attribute, once or until changed', () => {
    clear()
    // The person's own mask is what they last used: with colour.
    desk.do('setTake', { family: 'colour', take: true })
    desk.level('11', 'zoom', 8)
    desk.do('storeInPalette', { palette: id(1), how: 'merge', reach: 'own' })
    const { take } = desk.show.all.person.get(desk.person) ?? { take: [] }
    desk.level('11', 'zoom', 9)
    desk.level('11', 'edge', 0.5)
    desk.do('setTake', { attribute: 'edge', take: false })
    desk.do('setTake', { once: true })
    desk.do('setTake', { family: 'colour', take: false })
    desk.do('storeInPalette', { palette: id(1), how: 'merge', reach: 'own' })
    expect([valueOf(1, 11, 'zoom'), valueOf(1, 11, 'edge')]).toEqual([number(9), null])
    expect(desk.held(11, 'edge')).toEqual(number(0.5))
    // What the person had set for themselves stands again, not what everybody begins with.
    expect(desk.show.all.person.get(desk.person)).toMatchObject({ take, heldBack: [], takeOnce: false, usual: null })
  })

  it('follows the mask of its shelf as it was when it was made', () => {
    desk.do('setShelfMask', { shelf: 'position', take: ['position', 'beam'], heldBack: ['iris'] })
    desk.level('11', 'zoom', 9)
    desk.level('11', 'edge', 0.1)
    desk.record(2, 'Wide', 'position')
    expect([valueOf(2, 11, 'zoom'), valueOf(2, 11, 'edge')]).toEqual([number(9), number(0.1)])
    expect(desk.refused('setShelfMask', { shelf: 'beam', take: [], heldBack: [] })).toContain('Leave one family on')
  })
})

describe('updating', () => {
  beforeEach(() => {
    desk.aim('11-13', 'Bow')
    desk.record(1, 'Bow', 'position')
    desk.cue(1)
    desk.go(1)
  })

  it('writes what was changed in hand to where it came from, through the cue, and cues follow', () => {
    desk.do('nudgeAim', { fixtures: desk.fixtures('11, 12'), by: vec3(0.5, 0, 0) })
    expect([...adjustedInHand(desk.show, desk.person).keys()]).toEqual([id(1)])
    const outcome = desk.attempt('updatePalettes', { palettes: null })
    const after = outcome.ok ? applyChanges(desk.show, outcome.changes) : desk.show
    const { palettes, cues } = effectsOf(desk.show, after)
    expect(palettes[0]?.fixtures.map(({ shiftMetres }) => shiftMetres)).toEqual([
      expect.closeTo(0.5, 9),
      expect.closeTo(0.5, 9),
    ])
    expect(cues).toEqual([{ cue: desk.choose.cue(1, 1), how: 'set' }])
    expect(desk.do('updatePalettes', { palettes: null })).toBe('update Bow (2 fixtures)')
    expect(valueOf(1, 11, 'position')).toMatchObject({ offset: vec3(0.5, 0, 0) })
    expect(valueOf(1, 13, 'position')).toMatchObject({ offset: vec3(0, 0, 0) })
    expect(desk.held(11, 'position')).toEqual({ kind: 'link', palette: id(1) })
    expect(desk.refused('updatePalettes', { palettes: null })).toContain('Nothing in hand was changed')
  })

  it('changes a value for a type as it is when all it serves change alike, else beside it', () => {
    desk.level('11-14', 'zoom', 12)
    desk.do('recordPalette', { number: 2, name: 'Tight', shelf: 'beam', colour: 'kelp', reach: 'kind' })
    desk.level('11', 'zoom', 8)
    desk.do('updatePalettes', { palettes: null })
    expect([valueOf(2, 11, 'zoom'), valueOf(2, 12, 'zoom')]).toEqual([number(8), number(12)])
    expect(glanceAt(desk.show, id(2)).reaches).toEqual(['own', 'kind'])
    desk.level('11-14', 'zoom', 10)
    desk.do('updatePalettes', { palettes: null })
    expect([valueOf(2, 11, 'zoom'), valueOf(2, 14, 'zoom')]).toEqual([number(10), number(10)])
    expect([...desk.show.all.paletteValue.values()].filter((v) => v.palette === id(2))).toHaveLength(2)
  })

  it('holds back what the person or the palette holds back', () => {
    desk.do('nudgeAim', { fixtures: desk.fixtures('11'), by: vec3(0.5, 0, 0) })
    desk.do('setTake', { family: 'position', take: false })
    expect(adjustedInHand(desk.show, desk.person).size).toBe(0)
  })

  it('tells which cues follow another zoom, set and carried', () => {
    desk.level('11', 'zoom', 12)
    desk.record(2, 'Tight', 'beam')
    desk.cue(2)
    desk.aim('12', 'Mark')
    desk.cue(3)
    desk.level('11', 'zoom', 20)
    desk.record(3, 'Open', 'beam')
    desk.cue(4)
    desk.do('openPalette', { palette: id(2) })
    desk.level('11', 'zoom', 14)
    const before = desk.show
    expect(desk.do('keepPalette', {})).toBe('edit Tight (fixture 11)')
    const { changed, cues } = effectsOf(before, desk.show)
    expect(changed).toEqual([{ palette: id(2), attributes: ['zoom'], fixtures: desk.fixtures('11') }])
    expect(cues).toEqual([
      { cue: desk.choose.cue(1, 2), how: 'set' },
      { cue: desk.choose.cue(1, 3), how: 'carried' },
    ])
    expect(desk.held(11, 'zoom')).toBeUndefined()
  })

  it('edits in place with an empty hand only, and drops without a trace', () => {
    expect(desk.refused('keepPalette', {})).toBe('No palette is open in the hand.')
    desk.level('14', 'zoom', 9)
    expect(desk.refused('openPalette', { palette: id(1) })).toContain('Record or clear them')
    clear()
    const before = desk.show.all.paletteValue
    desk.do('openPalette', { palette: id(1) })
    desk.do('nudgeAim', { fixtures: desk.fixtures('11'), by: vec3(1, 0, 0) })
    desk.do('dropPalette', {})
    expect(desk.show.all.paletteValue).toBe(before)
    expect(desk.show.all.handValue.size).toBe(0)
  })
})

describe('combined palettes', () => {
  beforeEach(() => {
    desk.aim('11, 12', 'Bow')
    desk.record(1, 'Bow', 'position')
    desk.level('11, 12', 'zoom', 12)
    desk.record(2, 'Tight', 'beam')
    desk.record(3, 'Look', 'combined')
    desk.record(4, 'Whole', 'combined')
  })

  it('follow their parts, and count for the cues that use them', () => {
    desk.cue(1)
    expect(glanceAt(desk.show, id(4)).hasLinks).toBe(true)
    expect([1, 2, 3, 4].map((n) => cueCounts(desk.show).get(id(n)))).toEqual([1, 1, 1, 1])
    desk.recall('11', 2)
    desk.level('11', 'zoom', 7)
    desk.do('updatePalettes', { palettes: null })
    expect(valueOf(4, 11, 'zoom')).toEqual(number(7))
  })

  it('are changed at the palette that holds the value itself', () => {
    clear()
    desk.recall('11', 4)
    desk.level('11', 'zoom', 7)
    expect(desk.do('updatePalettes', { palettes: null })).toBe('update Tight (fixture 11)')
    expect(desk.held(11, 'zoom')).toEqual({ kind: 'link', palette: id(4) })
  })

  it('refuse a loop and name it', () => {
    desk.recall('11', 4)
    expect(desk.refused('storeInPalette', { palette: id(3), how: 'merge', reach: 'own' })).toContain(
      'Look → Whole → Look',
    )
  })

  it('refuse to nest deeper than can be followed, in words', () => {
    const show = desk.show
    const add = (made: number, part: number) => {
      desk.recall('11', part)
      desk.do('recordPalette', { number: made, name: `Nest ${made}`, shelf: 'combined', colour: 'brass' })
    }
    add(100, 3)
    let made = 100
    for (; made < 140; made++) {
      desk.recall('11', made)
      const next = { number: made + 1, name: `Nest ${made + 1}`, shelf: 'combined', colour: 'brass' } as const
      const outcome = desk.attempt('recordPalette', next)
      if (!outcome.ok) {
        expect(outcome.refusal.message).toContain('linked through more than 32 palettes')
        break
      }
      desk.do('recordPalette', next)
    }
    expect(made).toBeLessThan(135)
    expect(desk.seen(11).position.state).toBe('reached')
    desk.show = show
  })

  it('handed to a palette made of the one that goes leave no loop', () => {
    const label = desk.do('deletePalettes', { palettes: [id(3)], links: { how: 'links', to: id(4) } })
    expect(label).toContain('links to')
    expect(desk.seen(11).position.state).toBe('reached')
    expectSound()
  })

  it('come out of the deletion of a part with what it gave', () => {
    desk.cue(1)
    expect(desk.refused('deletePalettes', { palettes: [id(2)], links: { how: 'refuse' } })).toContain('1 palette')
    desk.do('deletePalettes', { palettes: [id(2)], links: { how: 'loose' } })
    expect(valueOf(4, 12, 'zoom')).toEqual(number(12))
    expectSound()
  })
})

describe('deleting', () => {
  beforeEach(() => {
    desk.aim('11, 12', 'Bow')
    desk.record(1, 'Bow', 'position')
    desk.cue(1)
    desk.go(1)
    desk.aim('11', 'Mark')
    desk.record(2, 'Mark', 'position')
  })

  it('is refused while cues lean on it, then leaves the picture as it was', () => {
    expect(desk.refused('deletePalettes', { palettes: [id(1)], links: { how: 'refuse' } })).toContain('1 cue')
    clear()
    desk.do('setPaletteRole', { role: 'rest', palette: id(1) })
    const { pose } = desk.seen(12).position
    desk.do('deletePalettes', { palettes: [id(1)], links: { how: 'loose' } })
    expect(desk.seen(12).position.pose).toEqual(pose)
    expectSound()
  })

  it('hands links over to another palette, loose where that serves nothing', () => {
    const { pose } = desk.seen(12).position
    desk.do('deletePalettes', { palettes: [id(1)], links: { how: 'links', to: id(2) } })
    const values = [...desk.show.all.cueValue.values()]
    expect(values.find((v) => v.fixture === desk.fixture(11))?.value).toEqual({ kind: 'link', palette: id(2) })
    expect(values.find((v) => v.fixture === desk.fixture(12))?.value.kind).toBe('aim')
    expect(desk.seen(12).position.pose).toEqual(pose)
    expectSound()
  })

  it('of what a hand came from leaves the hand as it is', () => {
    desk.do('nudgeAim', { fixtures: desk.fixtures('12'), by: vec3(1, 0, 0) })
    desk.do('deletePalettes', { palettes: [id(1)], links: { how: 'loose' } })
    expect(desk.held(12, 'position')?.kind).toBe('aim')
    expectSound()
  })

  it('a target leaves palettes for any at its place', () => {
    desk.do('makePalettesFromTargets', {
      targets: [desk.choose.target('Mark')],
      groups: [],
      shelf: 'position',
      pool: null,
      numberFrom: 9,
    })
    desk.do('deleteTarget', { target: desk.choose.target('Mark'), aims: 'keep the place' })
    expect(valueOf(9, 14, 'position')).toMatchObject({ kind: 'aim', target: null, offset: vec3(0, 2, 0) })
    expectSound()
  })
})

describe('making and arranging', () => {
  it('makes one a target for any, or one a target and group, spread by rule along a line', () => {
    const front = group('Front', '11-13')
    desk.do('makePalettesFromTargets', {
      targets: [desk.choose.target('Shore'), desk.choose.target('Bow')],
      groups: [front],
      shelf: 'focus',
      pool: 1.8,
      numberFrom: 5,
    })
    expect([5, 6].map((n) => desk.show.all.palette.get(id(n))?.name)).toEqual(['Shore, Front', 'Bow, Front'])
    expect([11, 12, 13].map((n) => valueOf(5, n, 'position'))).toMatchObject([{ at: 0 }, { at: 0.5 }, { at: 1 }])
    expect(valueOf(6, 12, 'zoom')).toEqual({ kind: 'pool', diameter: 1.8 })
    expect(desk.do('changeGroup', { group: front, fixtures: desk.fixtures('11-13, 41, 14') })).toContain(
      '1 palette spread anew',
    )
    expect([12, 41, 14].map((n) => valueOf(5, n, 'position'))).toMatchObject([{ at: 0.25 }, { at: 0.75 }, { at: 1 }])
    desk.do('changeGroup', { group: front, fixtures: desk.fixtures('11, 12') })
    expect(valueOf(5, 41, 'position')).toBeNull()
  })

  it('makes one a slot, with the same gobo on other types and a colour for those that mix', () => {
    desk.do('makePalettesFromType', { type: typeNamed('Plover 250'), part: 'gobo', numberFrom: 1, only: null })
    const dots = [...desk.show.all.palette.values()].find(({ name }) => name === 'Dots')
    expect(valueOf(dots?.number ?? 0, 11, 'gobo')).toEqual(number(1))
    desk.do('makePalettesFromType', { type: typeNamed('Plover 250'), part: 'colourWheel', numberFrom: 20, only: [6] })
    expect(desk.show.all.palette.get(id(20))?.name).toBe('Deep blue')
    expect(valueOf(20, 41, 'colour')).toEqual({ kind: 'colour', ...colourOfHex('#2f4fd8') })
  })

  it('copies, swaps, makes room, splits and merges', () => {
    const [left, right] = [group('Left', '11, 12'), group('Right', '13')]
    desk.aim('11-14', 'Bow')
    desk.record(1, 'Bow', 'position')
    desk.cue(1)
    desk.do('copyPalette', { palette: id(1), number: 2, name: 'Bow again' })
    const [one, two] = [id(1), id(2)]
    desk.do('placePalette', { palette: two, number: 1, how: 'swap' })
    expect([id(1), id(2)]).toEqual([two, one])
    desk.do('placePalette', { palette: one, number: 1, how: 'make room' })
    expect([id(1), id(2)]).toEqual([one, two])
    expect(desk.do('mergePalettes', { keep: two, others: [one] })).toBe('merge Bow into Bow again')
    expect(cueCounts(desk.show).get(two)).toBe(1)
    desk.do('splitPalette', { palette: two, groups: [left, right] })
    const [link] = [...desk.show.all.cueValue.values()].filter((v) => v.fixture === desk.fixture(13))
    const made = link?.value.kind === 'link' ? desk.show.all.palette.get(link.value.palette)?.name : ''
    expect(made).toBe('Bow again, Right')
    expect(servedBy(desk.show, two).map((r) => r.fixture.number)).toEqual([14])
    expectSound()
  })

  it('refuses to merge what is not alike', () => {
    desk.aim('11', 'Bow')
    desk.record(1, 'Bow', 'position')
    desk.aim('11', 'Mark')
    desk.record(2, 'Mark', 'position')
    expect(desk.refused('mergePalettes', { keep: id(1), others: [id(2)] })).toContain('does not hold the same')
    expect(desk.refused('stripTimes', { palettes: [id(1)] })).toContain('None of these')
    desk.do('changePalette', { palette: id(1), time: 4, note: 'slow' })
    desk.do('stripTimes', { palettes: [id(1), id(2)] })
    expect(desk.show.all.palette.get(id(1))).toMatchObject({ time: null, note: 'slow' })
  })
})

describe('recall', () => {
  beforeEach(() => {
    desk.aim('11, 12', 'Bow')
    desk.record(1, 'Bow', 'position')
    clear()
  })

  it('is a link, or loose without a way back, for some or for all, and comes off again', () => {
    desk.do('recallPalette', { palette: id(1), fixtures: null })
    expect([desk.held(11, 'position'), desk.held(12, 'position')]).toEqual([
      { kind: 'link', palette: id(1) },
      { kind: 'link', palette: id(1) },
    ])
    desk.do('takeOffPalette', { palette: id(1), fixtures: desk.fixtures('12') })
    expect(desk.held(12, 'position')).toBeUndefined()
    desk.do('recallPalette', { palette: id(1), fixtures: desk.fixtures('12'), as: 'loose' })
    desk.do('nudgeAim', { fixtures: desk.fixtures('12'), by: vec3(1, 0, 0) })
    expect(desk.refused('updatePalettes', { palettes: null })).toContain('Nothing in hand was changed')
    expect(desk.refused('takeOffPalette', { palette: id(1), fixtures: desk.fixtures('12') })).toContain('not in hand')
  })

  it('of what the rig rests at needs no hand; highlight shows its palette and takes nothing', () => {
    desk.do('setPaletteRole', { role: 'rest', palette: id(1) })
    expect(desk.seen(12).position.state).toBe('reached')
    desk.look('11', '#00ff00')
    desk.level('11', 'intensity', 0.5)
    for (const family of ['colour', 'intensity'] as const) desk.do('setTake', { family, take: true })
    desk.record(2, 'See me', 'combined')
    clear()
    desk.do('setPaletteRole', { role: 'highlight', palette: asPaletteId(id(2)) })
    desk.do('setHighlight', { highlight: 'brighter', fixtures: desk.fixtures('11, 12') })
    expect(desk.seen(11)).toMatchObject({ seen: 0.5, intensity: 0, colour: { kind: 'colour' } })
    expect(desk.seen(12)).toMatchObject({ seen: 1, colour: { kind: 'parts', parts: {} } })
    expect(desk.show.all.handValue.size).toBe(0)
  })
})
