import { expect, it } from 'vitest'
import type { SourceHeard } from '#core/output/heard'
import type { Output } from '#core/show/entities'
import { asOutputId } from '#core/show/ids'
import { sentInWords, severalInWords, stateInWords } from './outputWords'

const OUTPUT: Output = {
  ...{ name: 'House', protocol: 'E1.31', first: 3, last: 6, sentAs: 11, addresses: [], from: '127.0.0.1' },
  ...{ priority: 100, sync: null, sourceName: 'Rhopander', isOn: true, level: 1, isBlack: false },
}

it('says by which numbers universes go out, both ways of counting where they count from 0', () => {
  expect(sentInWords(OUTPUT)).toBe('E1.31 universes 11 to 14')
  expect(sentInWords({ ...OUTPUT, protocol: 'Art-Net', last: 3 })).toBe(
    'port address 11, which is 12 where counting starts at 1',
  )
})

it('says of an output what is wrong before anything else', () => {
  const status = { output: asOutputId('a'), universes: 4, packets: 160.4, lost: 0, trouble: null }
  expect(stateInWords(OUTPUT, status, ['Truss'])).toEqual({
    words: '160 packets a second',
    trouble: 'The same numbers also go out by Truss.',
  })
  expect(stateInWords(OUTPUT, { ...status, universes: 0, trouble: 'It is unplugged.' }, ['Truss'])).toEqual({
    words: 'nothing is patched in these universes',
    trouble: 'It is unplugged.',
  })
  expect(stateInWords({ ...OUTPUT, isOn: false }, undefined, undefined)).toEqual({ words: 'off', trouble: null })
})

it('says whose levels count where several send the same', () => {
  const source = (name: string, counts: boolean): SourceHeard => ({
    ...{ protocol: 'E1.31', universe: 1, source: name, name, priority: 100, packets: 1, isOwn: false },
    counts,
  })
  expect(severalInWords([source('A', true)])).toEqual([])
  expect(severalInWords([source('A', true), source('B', false)])).toEqual([
    'Number 1 comes from 2 sources: A counts, by priority.',
  ])
  expect(severalInWords([source('A', true), source('B', true)])).toEqual([
    'Number 1 comes from 2 sources: of each channel the highest counts.',
  ])
})
