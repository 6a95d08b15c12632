import { beforeEach, describe, expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { derived, derivedEach } from './derived'

describe('what is derived from a show', () => {
  let desk: Desk
  let computed: object[]
  const countOf = () =>
    derived(['cueValue', 'cue'], (show) => {
      computed.push(show.all)
      return show.all.cueValue.size + show.all.cue.size
    })

  beforeEach(() => {
    desk = new Desk()
    computed = []
    desk.aim('11', 'Bow')
  })

  it('is worked out again only when what it comes from changes', () => {
    const count = countOf()
    expect(count(desk.show)).toBe(0)
    desk.aim('12', 'Bow')
    expect(count(desk.show)).toBe(0)
    expect(computed).toHaveLength(1)
    desk.cue(1)
    expect(count(desk.show)).toBe(desk.show.all.cueValue.size + 1)
    expect(computed).toHaveLength(2)
  })

  it('remembers the real show while previews of it are looked at', () => {
    const count = countOf()
    desk.cue(1)
    const real = desk.show
    count(real)
    for (const name of ['One', 'Two']) {
      desk.show = real
      desk.do('changeCues', { cues: [desk.choose.cue(1, 1)], name })
      count(desk.show)
    }
    count(real)
    expect(computed.filter((all) => all === real.all)).toHaveLength(1)
  })
})

it('lets nothing be read that is not declared', () => {
  // @ts-expect-error cues are not among what this comes from
  const wrong = derived(['cueValue'], (show) => show.all.cueValue.size + show.all.cue.size)
  const desk = new Desk()
  const before = wrong(desk.show)
  desk.aim('11', 'Bow')
  desk.cue(1)
  expect(wrong(desk.show)).toBeGreaterThan(before)
})

describe('what is derived for each of many keys', () => {
  it('is worked out once for each that is asked for, and again when what it comes from changes', () => {
    const desk = new Desk()
    const asked: string[] = []
    const wordsOf = derivedEach(['palette'], (show, name: string) => {
      asked.push(name)
      return show.all.palette.size === 0 ? undefined : name
    })
    for (const name of ['Bow', 'Stern', 'Bow']) expect(wordsOf(desk.show, name)).toBeUndefined()
    expect(asked).toEqual(['Bow', 'Stern'])
    desk.aim('11', 'Bow')
    wordsOf(desk.show, 'Bow')
    expect(asked).toHaveLength(2)
    desk.record(1, 'Bow')
    expect(wordsOf(desk.show, 'Bow')).toBe('Bow')
    expect(asked).toEqual(['Bow', 'Stern', 'Bow'])
  })
})
