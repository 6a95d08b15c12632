/** What is kept of a show: compared in words, written to a file, read back, and brought back. */
import { beforeEach, describe, expect, it } from 'vitest'
import { compareShows, type Difference } from './compare'
import { plainCollections } from './collections'
import { readShowDocument, SHOW_FORMAT_VERSION } from '../exchange/showFile'
import { documentInColumns, documentInRecords } from '../../tests/support/showDocument'
import { showId } from '../show/ids'
import { danglingReferences } from '../show/references'
import { vec3 } from '../geometry/vector'
import type { Show } from '../show/show'
import { Desk } from '../../tests/support/smallShow'

let desk: Desk
/** Two palettes and two cues: the bow, and the mark with its light at half. */
beforeEach(() => {
  desk = new Desk()
  desk.aim('11, 12', 'Bow')
  desk.record(1, 'Bow')
  desk.cue(1, 'Dory drifts in')
  desk.aim('11', 'Mark')
  desk.record(2, 'Mark')
  desk.level('11', 'intensity', 0.5)
  desk.do('setTake', { family: 'intensity', take: true })
  desk.cue(2, 'Runs aground')
})

const said = ({ what, how, lines }: Difference) => [what, how, ...lines]
/** Does something and says what it changed. */
function changedBy(work: () => void): string[][] {
  const before = desk.show
  work()
  return compareShows(before, desk.show).map(said)
}
const cue = (number: number) => desk.choose.cue(1, number)

describe('two states of a show', () => {
  it('are the same to themselves, and where only the hand or a list in play differs', () => {
    expect(compareShows(desk.show, desk.show)).toEqual([])
    const moment = changedBy(() => {
      desk.level('12', 'intensity', 1)
      desk.go(2)
    })
    expect(moment).toEqual([])
  })

  it('differ in palettes, field by field and value by value', () => {
    const changes = changedBy(() => {
      desk.do('changePalette', { palette: desk.choose.palette(1), name: 'Bow, close' })
      desk.aim('12', 'Mark')
      desk.do('storeInPalette', { palette: desk.choose.palette(1), how: 'merge', reach: 'own' })
    })
    expect(changes).toEqual([['1 Bow, close', 'changed', 'name: Bow → Bow, close', '12, position: at Bow → at Mark']])
    const gone = changedBy(() =>
      desk.do('deletePalettes', { palettes: [desk.choose.palette(2)], links: { how: 'loose' } }),
    )
    expect(gone[0]).toEqual(['2 Mark', 'gone'])
    expect(gone[1]?.slice(0, 2)).toEqual(['Cue 2 Runs aground', 'changed'])
  })

  it('differ in cues, with fixtures of the same change on one line', () => {
    const changes = changedBy(() => {
      desk.do('setNumberInCues', {
        cues: [cue(1)],
        fixtures: desk.fixtures('11-13'),
        attribute: 'intensity',
        number: 1,
        where: 'here and on',
      })
      desk.do('changeCues', { cues: [cue(2)], name: 'Aground', rise: 4 })
    })
    expect(changes).toEqual([
      ['Cue 1 Dory drifts in', 'changed', '11, 12, 13: intensity: not set → 100 %'],
      ['Cue 2 Aground', 'changed', 'name: Runs aground → Aground', 'rise: 1 → 4'],
    ])
  })

  it('differ in rig and stage, a thing and its place told together', () => {
    const bar = desk.choose.hang('Bar')
    const changes = changedBy(() => {
      desk.do('moveHang', { hang: bar, origin: vec3(0, 0, 6.5) })
      desk.do('moveTarget', { target: desk.choose.target('Mark'), position: vec3(1, 2, 0) })
      desk.do('deleteFixtures', { fixtures: desk.fixtures('14') })
    })
    expect(changes).toContainEqual(['Hang Bar', 'changed', 'origin changed'])
    expect(changes).toContainEqual(['Target Mark', 'changed', 'position changed'])
    expect(changes.find(([what]) => what === 'Fixture 14')?.slice(0, 2)).toEqual(['Fixture 14', 'gone'])
  })

  it('differ in whatever else a show is made of: members, layers, times, what the show rests at', () => {
    const changes = changedBy(() => {
      desk.do('addLayer', { name: 'Pit' })
      desk.do('recordGroup', { name: 'Even', fixtures: desk.fixtures('11-13'), number: 40 })
      desk.do('setCueTimes', { cues: [cue(1)], fixtures: null, family: 'colour', seconds: 3, delay: null })
      desk.do('setPaletteRole', { role: 'rest', palette: desk.choose.palette(1) })
      desk.do('recordWorkingSet', { workingSet: null, name: 'Wings', fixtures: desk.fixtures('11-12') })
    })
    expect(changes).toContainEqual(['Layer Pit', 'new'])
    expect(changes).toContainEqual(['Show Small', 'changed', 'rest changed'])
    expect(changes).toContainEqual(['Cue 1 Dory drifts in', 'changed', 'a time of a cue is new'])
    expect(changes).toContainEqual(['Working set Wings', 'new'])
    expect(changes).toContainEqual(['Group Even', 'new'])
  })
})

describe('a version brought back', () => {
  const contentsOf = (show: Show) => JSON.parse(JSON.stringify(plainCollections(show)))

  it('leaves nothing different, whatever was done since, and can be undone like any change', () => {
    const then = desk.show
    desk.do('deletePalettes', { palettes: [desk.choose.palette(1)], links: { how: 'loose' } })
    desk.do('moveTarget', { target: desk.choose.target('Bow'), position: vec3(0, 0, 1) })
    desk.do('deleteFixtures', { fixtures: desk.fixtures('13') })
    desk.aim('12', 'Shore')
    desk.cue(3, 'Nobody knows')
    expect(compareShows(then, desk.show).length).toBeGreaterThan(3)
    expect(desk.do('restoreShow', { name: 'Before the storm', contents: contentsOf(then) })).toBe(
      'restore Before the storm',
    )
    expect(compareShows(then, desk.show)).toEqual([])
    expect(danglingReferences(desk.show)).toEqual([])
  })

  it('leaves hands as they are, and lets go of what they hold of things it does not have', () => {
    const then = desk.show
    desk.aim('13', 'Shore')
    desk.record(3, 'Shore')
    desk.cue(3)
    desk.go(3)
    desk.recall('13', 3)
    desk.level('12', 'zoom', 20)
    desk.do('restoreShow', { name: 'Earlier', contents: contentsOf(then) })
    expect(desk.held(13, 'position')).toBeUndefined()
    expect(desk.held(12, 'zoom')).toEqual({ kind: 'number', number: 20 })
    expect(desk.show.all.cueList.get(desk.choose.list(1))?.onStage).toBeNull()
    expect(danglingReferences(desk.show)).toEqual([])
  })

  it('is refused whole where its contents are not those of a show', () => {
    const refused = (contents: unknown) => desk.refused('restoreShow', { name: 'Torn', contents })
    expect(refused(null)).toBe('“Torn” cannot be restored. Its contents are not those of a show.')
    expect(refused({ ...contentsOf(desk.show), show: [] })).toContain('does not hold one show')
    expect(refused({ ...contentsOf(desk.show), palette: [] })).toContain('leans on a palette that is not there')
  })
})

describe('the file of a show', () => {
  const document = () => JSON.parse(JSON.stringify(documentInRecords(desk.show)))
  const copy = showId.parse('copy')

  it.each([
    ['columns', documentInColumns],
    ['records, as it was at first', documentInRecords],
  ])('holds everything in %s, read back under another id', (_, made) => {
    const read = readShowDocument(JSON.parse(JSON.stringify(made(desk.show))), copy)
    if (!read.ok) throw new Error(read.message)
    expect(read.show.id).toBe(copy)
    const { show: record, ...rest } = read.show.all
    const { show: before, ...written } = desk.show.all
    expect(rest).toEqual(written)
    expect([...record.values()]).toEqual([...before.values()])
  })

  it('is refused where its columns do not go together, or hold what does not fit', () => {
    const refusal = (change: (columns: Record<string, Record<string, unknown>>) => void) => {
      const file = JSON.parse(JSON.stringify(documentInColumns(desk.show)))
      change(file.contents.columns)
      const read = readShowDocument(file, copy)
      return read.ok ? '' : read.message
    }
    expect(refusal((all) => Object.assign(all['fixture'] ?? {}, { count: 9 }))).toContain('does not go together')
    expect(refusal((all) => Object.assign(all['fixture'] ?? {}, { columns: {} }))).toContain('does not go together')
    expect(refusal((all) => Object.assign(all['palette'] ?? {}, { values: [] }))).toContain('of the kind palette')
    expect(refusal((all) => delete all['venue'])).toContain('leans on a venue that is not there')
  })

  it('is refused with the reason where it is foreign, newer or damaged', () => {
    const refusal = (file: unknown) => {
      const read = readShowDocument(file, copy)
      return read.ok ? '' : read.message
    }
    expect(refusal({ format: 'a list of groceries' })).toBe('It is not a back-up of a show.')
    expect(refusal({ ...document(), version: SHOW_FORMAT_VERSION + 1 })).toContain('newer version')
    const { contents, ...head } = document()
    const [[id, palette]] = contents.palette
    const torn = { ...contents, palette: [[id, { ...palette, number: 'seven' }]] }
    expect(refusal({ ...head, contents: torn })).toMatch(/^It is damaged\. A palette in it is not sound: number: /)
  })

  it('is refused where it would open to what cannot be: palettes in a loop or endless, twins, ids that lie', () => {
    const changed = (change: (contents: Record<string, [string, Record<string, unknown>][]>) => void) => {
      const file = document()
      change(file.contents)
      const read = readShowDocument(file, copy)
      return read.ok ? '' : read.message
    }
    const link = (from: string, to: string): [string, Record<string, unknown>] => {
      const parts = { palette: from, fixture: null, fixtureType: null, attribute: 'zoom' }
      return [`${from}.any.zoom`, { ...parts, value: { kind: 'link', palette: to } }]
    }
    const [a = '', b = ''] = [...desk.show.all.palette.keys()]
    const chain = Array.from({ length: 30_000 }, (_, i) => `p${i}`)
    const like = (i: number) => ({ ...desk.show.all.palette.get(a), number: 10_000 + i })
    expect(changed((all) => all['paletteValue']?.push(link(a, b), link(b, a)))).toMatch(/made of each other/)
    expect(
      changed((all) => {
        all['palette']?.push(...chain.map((id, i): [string, Record<string, unknown>] => [id, like(i)]))
        all['paletteValue']?.push(...chain.slice(1).map((id, i) => link(chain[i] ?? '', id)))
      }),
    ).toMatch(/more palettes than can be followed/)
    expect(changed((all) => all['palette']?.push(['twin', { ...desk.show.all.palette.get(a) }]))).toMatch(
      /Two of the kind palette in it have the number 1/,
    )
    expect(changed((all) => all['paletteValue']?.push(['other', link(a, b)[1]]))).toMatch(/not what its id says/)
    expect(changed((all) => all['hangPlace']?.splice(0, 1))).toMatch(/on a hang that is not up in its venue/)
    expect(changed((all) => Object.assign(all['palette']?.[0]?.[1] ?? {}, { note: 'nul\0' }))).toMatch(
      /cannot be kept: palette\.0\.1\.note holds a character/,
    )
  })
})
