import { beforeEach, describe, expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { derived } from './derived'
import type { Show } from './show'

describe('what is derived from a show', () => {
  let desk: Desk
  let computed: Show[]
  const countOf = () =>
    derived(['cueValue', 'cue'], (show) => {
      computed.push(show)
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
    expect(computed.filter((show) => show === real)).toHaveLength(1)
  })
})
