import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { FAMILIES } from '../../attributes/families'
import { stagePicture } from '../../cues/onStage'
import { listsInOrder } from '../../cues/tracking'
import { channelLevels } from '../../output/channelLevels'
import { asCueListId } from '../../show/ids'
import { Desk } from '../../../tests/support/smallShow'
import { buildSaltLantern } from '#demo/saltLantern'
import { cuesAsText, onStageAlone } from './cuesAsText'
import { cuesFromText, type CueTextOptions } from './cuesFromText'
import { readCueText, writeCueText } from './cueText'
import type { Show } from '../../show/show'

const TIED: CueTextOptions = { families: FAMILIES, isTied: true }

function fromText(show: Show, text: string, options = TIED) {
  const steps = cuesFromText(show, readCueText(text), options)
  for (;;) {
    const step = steps.next()
    if (step.done === true) return step.value
  }
}

const level = fc.integer({ min: 0, max: 255 })
const cue = fc.record({
  number: fc.integer({ min: 1, max: 99_999_000 }).map((n) => n / 1000),
  name: fc.stringMatching(/^[ -~]{0,30}$/).map((text) => text.replace(/[!]/g, '.').trim().replace(/\s+/g, ' ')),
  rise: fc.integer({ min: 0, max: 36_000 }).map((n) => n / 10),
  fall: fc.integer({ min: 0, max: 36_000 }).map((n) => n / 10),
  levels: fc.array(fc.tuple(fc.integer({ min: 1, max: 4000 }), level)).map((all) => new Map(all)),
})

describe('cue text', () => {
  it('is read back as it was written', () => {
    fc.assert(
      fc.property(fc.uniqueArray(cue, { selector: ({ number }) => number, maxLength: 8 }), (cues) => {
        const read = readCueText(writeCueText(cues, 'Any show', ['Nothing']))
        const sorted = [...cues].sort((a, b) => a.number - b.number)
        expect(read.cues).toEqual(sorted)
        expect(read.notes).toEqual([])
      }),
    )
  })

  it('of other hands is read leniently, and what does not come in is said', () => {
    const read = readCueText(
      [
        'IDENT 3:0',
        '$maker something of its own',
        'Patch 1 1<7@100 2 < 8 @ 50, 3<9',
        'Cue 2.5 ! the second',
        'text  Dawn   breaks',
        'UP 1:30 2',
        'Down 2.5',
        'chan 1@50,2@HFF 3/FL 4@101 x@5',
        '$$color 4',
        'Sub 1',
        'Chan 9@100',
        'Cue zero',
        'Chan 10@100',
        'EndData',
        'Cue 9',
      ].join('\n'),
    )
    const [dawn] = read.cues
    expect(read.cues).toHaveLength(1)
    expect(dawn).toMatchObject({ number: 2.5, name: 'Dawn   breaks', rise: 90, fall: 2.5 })
    expect([...(dawn?.levels ?? [])]).toEqual([
      [1, 128],
      [2, 255],
      [3, 255],
    ])
    expect(read.patch?.get(2)).toEqual([{ dimmer: 8, most: 0.5 }])
    expect(read.notes.map(({ about }) => about)).toEqual([
      ...['line 6', 'line 8', 'line 8', 'words of other programs', 'submasters', 'line 12'],
    ])
  })
})

describe('the cues of a show', () => {
  it('go out and come back, in another list, with the levels they had to one step', () => {
    const show = buildSaltLantern('demo')
    const [main] = listsInOrder(show)
    if (!main) throw new Error('there is no list')
    const written = writeCueText([...cuesAsText(show, main.id)], 'Demo', [])
    const desk = new Desk(show)
    for (const isTied of [false, true]) {
      const taken = fromText(show, written, { ...TIED, isTied })
      expect(taken.cues).toHaveLength(main.cues.length)
      expect(taken.values.links + taken.values.aims > 0).toBe(isTied)
      desk.do('takeCues', { number: isTied ? 91 : 90, name: isTied ? 'Tied' : 'Plain', cues: [...taken.cues] })
    }
    const [plain, tied] = ['Plain', 'Tied'].map((name) => {
      const [id] = [...desk.show.all.cueList].find(([, one]) => one.name === name) ?? []
      return listsInOrder(desk.show).find((list) => list.id === asCueListId(id ?? ''))
    })
    const idOf = (list: typeof plain, i: number) => {
      const found = list?.cues[i]?.id
      if (!found) throw new Error('a cue is missing')
      return found
    }
    const levelsOf = (list: typeof plain, i: number) =>
      [...channelLevels(onStageAlone(desk.show, list, idOf(list, i)), 0)].flatMap(([, levels]) => [...levels])
    main.cues.forEach((_, i) => {
      const wanted = levelsOf(main, i)
      const got = levelsOf(plain, i)
      const off = wanted.filter((one, at) => Math.abs(one - (got[at] ?? 0)) > 1)
      expect(off).toEqual([])
    })
    // What is linked or tied is as near as the eye can tell, not to the last of sixteen bits: light is the same.
    const picture = (list: typeof plain, i: number) =>
      [...stagePicture(onStageAlone(desk.show, list, idOf(list, i)), desk.person).values()].filter(
        ({ intensity }) => intensity > 0,
      )
    main.cues.forEach((_, i) => {
      const ours = picture(main, i)
      const theirs = new Map(picture(tied, i).map((one) => [one.rigged.id, one]))
      for (const { rigged, position, intensity } of ours) {
        const other = theirs.get(rigged.id)
        expect(other?.intensity).toBeCloseTo(intensity, 1)
        expect(Math.abs((other?.position.pose.pan ?? 999) - position.pose.pan)).toBeLessThan(0.2)
        expect(Math.abs((other?.position.pose.tilt ?? 999) - position.pose.tilt)).toBeLessThan(0.2)
      }
    })
  })

  it('that speak of nothing that is patched bring no values, and say so', () => {
    const { show } = new Desk()
    const taken = fromText(show, 'Cue 1\nUp 3\nChan 5@50 600@20\nEndData')
    expect(taken.cues).toEqual([{ number: 1, name: '', rise: 3, fall: 3, values: [] }])
    expect(taken.notes[0]).toMatchObject({ about: '2 channels', severity: 'lost' })
  })
})
