import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { OSTREL_TYPES, tern } from '#demo/types'
import { fixtureMode, plainChannel } from '../show/entities'
import { fixtureId } from '../show/ids'
import { Desk } from '../../tests/support/smallShow'
import { autoPatch } from './autoPatch'
import { modeFaults } from './modeCheck'
import { patchFaultInWords, footprint, patchFaults, spansOf, type Span } from './span'
import { portAddress } from './portAddress'

const wish = (name: string, channels: number, hang = 'h', type = 't') => ({
  fixture: fixtureId.parse(name),
  channels,
  hang,
  type,
})
const rule = { universe: 1, address: 1, gap: 0, apart: 'never' } as const
const places = (patched: { universe: number; address: number }[]) => patched.map((p) => `${p.universe}.${p.address}`)

describe('patching by rule', () => {
  it('goes on one after the other, begins a universe when one is full, and keeps gaps', () => {
    expect(places(autoPatch([wish('a', 200), wish('b', 200), wish('c', 200)], rule, []))).toEqual([
      '1.1',
      '1.201',
      '2.1',
    ])
    expect(places(autoPatch([wish('a', 40), wish('b', 40)], { ...rule, address: 473, gap: 10 }, []))).toEqual([
      '1.473',
      '2.1',
    ])
    const byHang = { ...rule, apart: 'by hang' } as const
    expect(places(autoPatch([wish('a', 9, 'x'), wish('b', 9, 'x'), wish('c', 9, 'y')], byHang, []))).toEqual([
      '1.1',
      '1.10',
      '2.1',
    ])
    expect(() => autoPatch([wish('a', 513)], rule, [])).toThrow(RangeError)
  })

  it('never shares a channel, whatever is there already', () => {
    const size = fc.integer({ min: 1, max: 512 })
    const old = fc.record({
      universe: fc.integer({ min: 1, max: 3 }),
      first: size,
      size: fc.integer({ min: 1, max: 90 }),
    })
    fc.assert(
      fc.property(fc.array(size, { maxLength: 12 }), fc.array(old, { maxLength: 8 }), size, (sizes, there, address) => {
        const taken: Span[] = there.map(({ universe, first, size: s }, i) => ({
          fixture: fixtureId.parse(`old${i}`),
          number: i,
          universe,
          first,
          last: Math.min(512, first + s - 1),
        }))
        const wishes = sizes.map((channels, i) => wish(`f${i}`, channels))
        const spans = autoPatch(wishes, { ...rule, address }, taken).map((p, i) => ({
          ...p,
          last: p.address + (sizes[i] ?? 0) - 1,
        }))
        for (const [i, span] of spans.entries()) {
          expect(span.last).toBeLessThanOrEqual(512)
          const others = [
            ...taken.map((t) => ({ universe: t.universe, address: t.first, last: t.last })),
            ...spans.slice(0, i),
          ]
          for (const other of others)
            expect(other.universe === span.universe && other.address <= span.last && other.last >= span.address).toBe(
              false,
            )
        }
      }),
    )
  })
})

describe('the patch of a show', () => {
  const patch = (desk: Desk, number: number, universe: number, address: number) =>
    desk.do('changeFixtures', { changes: [{ fixture: desk.fixture(number), universe, address }] })

  it('tells clashes both ways and channels past the end', () => {
    const desk = new Desk()
    patch(desk, 11, 1, 1)
    patch(desk, 12, 1, 46)
    patch(desk, 13, 1, 47)
    patch(desk, 14, 1, 490)
    patch(desk, 41, 2, 1)
    const faults = patchFaults(desk.show)
    const words = (number: number) => {
      const fault = faults.get(desk.fixture(number))
      const span = spansOf(desk.show).find((s) => s.number === number)
      return fault && span && patchFaultInWords(fault, span)
    }
    expect(words(11)).toBe('shares channels with 12')
    expect(words(12)).toBe('shares channels with 11, 13')
    expect(words(14)).toBe('channels 490 to 535 run past 512')
    expect(words(41)).toBeUndefined()
  })

  it('is given anew by rule, stepping over the others', () => {
    const desk = new Desk()
    patch(desk, 41, 1, 30)
    desk.do('patchFixtures', { fixtures: desk.fixtures('11-13'), universe: 1, address: 1, gap: 0, apart: 'never' })
    expect(spansOf(desk.show).map((s) => `${s.number} ${s.universe}.${s.first}`)).toEqual([
      '41 1.30',
      '11 1.54',
      '12 1.100',
      '13 1.146',
    ])
  })
})

describe('modes', () => {
  it('of the types every show begins with are sound and as big as they say', () => {
    expect(OSTREL_TYPES.map((type) => type.modes.map(footprint))).toEqual([[46, 17], [24, 11], [24], [1], [33, 25]])
    for (const type of OSTREL_TYPES)
      expect(modeFaults(type, type.modes[0]?.channels ?? []).filter(({ severity }) => severity === 'wrong')).toEqual([])
  })

  it('of before channels had functions are read as doing one thing over all their levels', () => {
    const before = { name: 'Zoom', does: 'zoom', coarse: 3, fine: 4, from: 6, to: 48, rest: 27 }
    const [read] = fixtureMode.shape.channels.parse([before])
    expect(read).toMatchObject({
      ...{ name: 'Zoom', coarse: 3, fine: 4, finest: null, rest: 27, curve: 'even' },
      functions: [{ does: 'zoom', first: 0, last: 255, from: 6, to: 48, spins: false, when: null }],
    })
    expect(fixtureMode.shape.channels.safeParse([{ ...before, does: 'smell' }]).success).toBe(false)
  })

  it('are told where functions overlap, drive the same twice, spin what cannot, or follow nobody', () => {
    const plain = { fine: null, from: 0, to: 1, rest: 0 }
    const zoom = plainChannel({ name: 'Zoom', does: 'zoom', coarse: 1, ...plain })
    const [one] = zoom.functions
    if (!one) throw new Error('it does something')
    const channels = [
      {
        ...zoom,
        functions: [
          { ...one, last: 100 },
          { ...one, does: 'iris' as const, first: 90 },
        ],
      },
      plainChannel({ name: 'Iris', does: 'iris', coarse: 2, ...plain }),
      { ...plainChannel({ name: 'Edge', does: 'edge', coarse: 3, ...plain }), follows: 'Nobody' },
      { ...zoom, name: 'Edge too', coarse: 4, functions: [{ ...one, does: 'frost' as const, spins: true }] },
    ]
    const wrong = modeFaults(tern, channels).filter(({ severity, row }) => severity === 'wrong' && row !== null)
    expect(wrong.map(({ row, part, message }) => `${row}.${part ?? ''} ${message}`)).toEqual([
      '0.1 levels 90 to 255 overlap 0 to 100',
      '1.0 iris is driven by Zoom already; let this one follow it',
      '2. follows Nobody, which no other channel of it is called',
      '3.0 frost cannot spin',
    ])
  })

  it('are told what overlaps, what is left out and what cannot be', () => {
    const pan = plainChannel({ name: 'Pan', does: 'pan', coarse: 1, fine: 2, from: -270, to: 270, rest: 0 })
    const tilt = plainChannel({ name: 'Tilt', does: 'tilt', coarse: 2, fine: 2, from: 100, to: -132, rest: 140 })
    const messages = modeFaults(tern, [pan, tilt]).map(({ row, message }) => `${row ?? 'all'}: ${message}`)
    expect(messages).toContain('1: channel 2 is taken by Pan already')
    expect(messages).toContain('1: two of its bytes are on channel 2')
    expect(messages).toContain('1: rests at 140, outside its own range of 100 to -132')
    expect(messages).toContain('1: runs from 100° to -132°, but the tilt stops are -132° and 132°')
    expect(messages).toContain('all: no channel for intensity')
    expect(messages).toContain('all: no channel for gobo 2')
    expect(messages.some((m) => m.startsWith('0:'))).toBe(false)
  })
})

it('universes count from 1 and their port addresses from 0', () => {
  expect(portAddress(1)).toEqual({ port: 0, net: 0, subNet: 0, universe: 0 })
  expect(portAddress(274)).toEqual({ port: 273, net: 1, subNet: 1, universe: 1 })
  expect(portAddress(32769)).toBeNull()
})
