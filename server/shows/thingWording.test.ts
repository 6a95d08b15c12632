import { describe, expect, it } from 'vitest'
import { richDesk } from '../../tests/support/richShow'
import { registerOf } from '#core/show/changes'
import { removeWithDependents } from '#core/show/cascade'
import { Draft } from '#core/show/draft'
import { KINDS } from '#core/show/kinds'
import { checkedChange, type Fault } from '#core/show/soundness'
import { clashInWords, unsoundInWords, thingInWords, touchedInWords, unsoundRefusal } from './thingWording'

const desk = richDesk()
const { show } = desk

/** What is wrong with a show after something is written to it. */
function faultsOf(write: (draft: Draft) => void): readonly Fault[] {
  const draft = new Draft(show)
  write(draft)
  const checked = checkedChange(show, draft.changes())
  return checked.ok ? [] : checked.faults
}

describe('things in words', () => {
  it('are named by what people know them by, and never by an id', () => {
    for (const kind of KINDS)
      for (const id of show.all[kind].keys()) {
        const words = thingInWords(show, kind, id)
        if (id.length > 3) expect([kind, words.includes(id)]).toEqual([kind, false])
        expect(words).toMatch(/^[a-z]/)
      }
    expect(thingInWords(show, 'fixture', desk.fixture(11))).toBe('fixture 11')
    expect(thingInWords(show, 'palette', desk.choose.palette(1))).toContain('palette')
  })
})

describe('what is wrong, in words', () => {
  it('names both sides of what would point at nothing', () => {
    const [hang] = show.all.hang.keys()
    const [fault] = faultsOf((draft) => removeWithDependents(draft, 'hang', [hang ?? '']))
    expect(fault && unsoundInWords(show, fault)).toMatch(/^fixture \d+ leans on the hang /)
  })

  it('names the number that would stand twice', () => {
    const [one, other] = show.all.palette.keys()
    const number = show.all.palette.get(one ?? '')?.number
    const [fault] = faultsOf((draft) => draft.write(registerOf('palette', other ?? '', 'number'), number))
    if (fault?.code !== 'clash') throw new Error('two palettes have one number')
    expect(clashInWords(fault.clash)).toBe(`there is another palette with the number ${number}`)
  })

  it('becomes a refusal with a code and a sentence', () => {
    const fixture = desk.fixture(11)
    const draft = new Draft(show).write(registerOf('fixture', fixture, 'number'), -1)
    const checked = checkedChange(show, draft.changes())
    if (checked.ok) throw new Error('no fixture has such a number')
    expect(unsoundRefusal(show, checked)).toMatchObject({
      code: 'unsound',
      message: expect.stringMatching(/^This cannot be done: fixture 11 would not fit together: .*\.$/),
    })
  })
})

it('what a change touches is counted by kind, and what runs is left out', () => {
  const [list] = show.all.cueList.keys()
  const changes = [
    { register: registerOf('palette', 'a', 'name'), after: 'A' },
    { register: registerOf('palette', 'a', 'number'), after: 1 },
    { register: registerOf('cueValue', 'b', '$'), after: null },
    { register: registerOf('cueValue', 'c', '$'), after: null },
    { register: registerOf('cueList', list ?? '', 'onStage'), after: null },
  ]
  expect(touchedInWords(changes)).toBe('1 palette and 2 values of cues')
  expect(touchedInWords([])).toBe('')
})
