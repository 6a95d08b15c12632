import { beforeEach, describe, expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { audienceView } from './audienceView'

/** Two people at one show. */
let anna: Desk
let ben: Desk

beforeEach(() => {
  anna = new Desk()
  ben = new Desk(anna.show, 'ben')
  ben.do('joinShow', { name: 'Ben' })
  anna.show = ben.show
})
const level = (desk: Desk) => {
  const value = audienceView(desk.show).lookup(desk.fixture(11), 'intensity')
  return value?.kind === 'number' ? value.number : null
}

describe('the stage as the house sees it', () => {
  it('has what anybody holds over the cues, and of two who hold the same the one who came later', () => {
    anna.do('setTake', { family: 'intensity', take: true })
    anna.level('11', 'intensity', 0.3)
    anna.cue(1)
    expect(level(anna)).toBe(0.3)
    anna.level('11', 'intensity', 0.5)
    ben.show = anna.show
    ben.level('11', 'intensity', 0.8)
    expect(level(ben)).toBe(0.8)
    expect(audienceView(ben.show).held(ben.fixture(11), 'intensity')?.value).toEqual({ kind: 'number', number: 0.8 })
    ben.do('clearHand', { families: ['intensity'], fixtures: null })
    expect(level(ben)).toBe(0.5)
    expect(audienceView(ben.show).held(ben.fixture(12), 'intensity')).toBeNull()
  })

  it('does not have what someone holds who works blind, nor what they bring out', () => {
    anna.level('11', 'intensity', 0.4)
    anna.do('setHighlight', { highlight: 'brighter', fixtures: anna.fixtures('11') })
    const seen = () => {
      const plain = anna.seen(11)
      return audienceView(anna.show).see({ ...plain, seen: plain.intensity }).seen
    }
    expect(seen()).toBe(1)
    anna.do('setBlind', { blind: true })
    expect(level(anna)).toBeNull()
    expect(audienceView(anna.show).people).toEqual(['ben'])
  })
})
