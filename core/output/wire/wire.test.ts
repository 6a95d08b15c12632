/** Packets: as the standards lay them out, there and back, and whatever comes instead of one. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  decodeArtNet,
  encodeArtNetLevels,
  encodeArtNetSynchronisation,
  encodePoll,
  encodeReplies,
  isArtNetOutdated,
} from './artNet'
import {
  decodeE131,
  encodeDiscovery,
  encodeLevels,
  encodeSynchronisation,
  isOutdated,
  multicastOf,
  type E131Levels,
} from './e131'

const byte = fc.integer({ min: 0, max: 255 })
const cid = fc.uint8Array({ minLength: 16, maxLength: 16 })
const levels = fc.uint8Array({ minLength: 512, maxLength: 512 })
const universe = fc.integer({ min: 1, max: 63999 })
/** Text of 63 bytes at most that holds no zero. */
const sourceName = fc
  .string({ unit: 'grapheme', maxLength: 60 })
  .filter((text) => !text.includes('\0') && new TextEncoder().encode(text).length <= 63)

const e131Levels: fc.Arbitrary<E131Levels> = fc.record({
  kind: fc.constant('levels' as const),
  source: fc.record({ cid, name: sourceName }),
  universe,
  priority: fc.integer({ min: 0, max: 200 }),
  sync: fc.integer({ min: 0, max: 63999 }),
  sequence: byte,
  isPreview: fc.boolean(),
  isTerminated: fc.boolean(),
  startCode: fc.constant(0),
  levels,
})

describe('packets of E1.31', () => {
  it('are read as they were written', () => {
    fc.assert(fc.property(e131Levels, (packet) => void expect(decodeE131(encodeLevels(packet))).toEqual(packet)))
    fc.assert(
      fc.property(cid, universe, byte, (id, at, sequence) => {
        const packet = { cid: id, universe: at, sequence }
        expect(decodeE131(encodeSynchronisation(packet))).toEqual({ kind: 'synchronisation', ...packet })
      }),
    )
    fc.assert(
      fc.property(cid, sourceName, fc.uniqueArray(universe, { maxLength: 1300 }), (id, name, universes) => {
        const source = { cid: id, name }
        const pages = encodeDiscovery(source, universes).map(decodeE131)
        const listed = pages.flatMap((page) => (page?.kind === 'discovery' ? page.universes : []))
        expect(listed).toEqual([...universes].sort((a, b) => a - b))
        for (const [i, page] of pages.entries())
          expect(page).toMatchObject({ kind: 'discovery', source, page: i, lastPage: pages.length - 1 })
      }),
    )
  })

  it('are laid out byte for byte as the standard says', () => {
    const bytes = encodeLevels({
      source: { cid: Uint8Array.from({ length: 16 }, (_, i) => i + 1), name: 'Shore' },
      ...{ universe: 0x0102, priority: 100, sync: 0x0a0b, sequence: 7, isPreview: false, isTerminated: true },
      levels: Uint8Array.from({ length: 512 }, (_, i) => i & 255),
    })
    const hex = (from: number, to: number) => Buffer.from(bytes.subarray(from, to)).toString('hex')
    expect(bytes).toHaveLength(638)
    expect(hex(0, 22)).toBe('00100000' + '4153432d45312e3137000000' + '726e' + '00000004')
    expect(hex(22, 44)).toBe('0102030405060708090a0b0c0d0e0f10' + '7258' + '00000002')
    expect(hex(44, 52)).toBe('53686f7265000000')
    expect(hex(108, 126)).toBe('64' + '0a0b' + '07' + '40' + '0102' + '720b' + '02a1' + '0000' + '0001' + '0201' + '00')
    expect(hex(126, 130)).toBe('00010203')
    const cidHex = '0102030405060708090a0b0c0d0e0f10'
    const cid = Uint8Array.from({ length: 16 }, (_, i) => i + 1)
    const waiting = encodeSynchronisation({ cid, universe: 0x0a0b, sequence: 9 })
    expect(Buffer.from(waiting.subarray(16)).toString('hex')).toBe(
      '7021' + '00000008' + cidHex + '700b' + '00000001' + '09' + '0a0b' + '0000',
    )
    const [page] = encodeDiscovery({ cid, name: 'Shore' }, [0x0102, 1])
    const pageHex = (from: number, to: number) => Buffer.from(page?.subarray(from, to) ?? []).toString('hex')
    expect(page).toHaveLength(124)
    expect(pageHex(16, 44)).toBe('706c' + '00000008' + cidHex + '7056' + '00000002')
    expect(pageHex(108, 124)).toBe('00000000' + '700c' + '00000001' + '00' + '00' + '0001' + '0102')
    expect([multicastOf(1), multicastOf(0x0102), multicastOf(63999)]).toEqual([
      '239.255.0.1',
      '239.255.1.2',
      '239.255.249.255',
    ])
  })

  it('come in order: what is as old as the last twenty is dropped, a new start is not', () => {
    const dropped = Array.from({ length: 256 }, (_, next) => next).filter((next) => isOutdated(10, next))
    expect(dropped).toHaveLength(20)
    expect([isOutdated(10, 10), isOutdated(10, 9), isOutdated(10, 247), isOutdated(10, 246)]).toEqual([
      ...[true, true, true, false],
    ])
    expect([isOutdated(255, 0), isOutdated(0, 255), isOutdated(10, 11)]).toEqual([false, true, false])
  })
})

describe('packets of Art-Net', () => {
  it('are read as they were written', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 32767 }), byte, levels, (port, sequence, all) => {
        const packet = { port, sequence, levels: all }
        expect(decodeArtNet(encodeArtNetLevels(packet))).toEqual({ kind: 'levels', ...packet })
      }),
    )
    expect(decodeArtNet(encodePoll())).toEqual({ kind: 'poll' })
    expect(decodeArtNet(encodeArtNetSynchronisation())).toEqual({ kind: 'synchronisation' })
  })

  it('reply for every port, up to four in one', () => {
    const ports = fc.uniqueArray(fc.integer({ min: 0, max: 32767 }), { maxLength: 40 })
    fc.assert(
      fc.property(ports, (asked) => {
        const of = { address: '127.0.0.1', shortName: 'Rhopander', longName: 'Rhopander, The Salt Lantern' }
        const replies = encodeReplies({ ...of, ports: asked }).map(decodeArtNet)
        const told = replies.flatMap((reply) => (reply?.kind === 'reply' ? reply.ports : []))
        expect(told).toEqual([...asked].sort((a, b) => a - b))
        for (const [i, reply] of replies.entries()) expect(reply).toMatchObject({ kind: 'reply', ...of, bind: i + 1 })
      }),
    )
  })

  it('are laid out byte for byte, port addresses low byte first', () => {
    const bytes = encodeArtNetLevels({ port: 0x1234, sequence: 9, levels: Uint8Array.from([1, 2, 3]) })
    expect(Buffer.from(bytes).toString('hex')).toBe(
      '4172742d4e657400' + '0050' + '000e' + '09' + '00' + '3412' + '0004' + '01020300',
    )
    expect([isArtNetOutdated(5, 4), isArtNetOutdated(255, 1), isArtNetOutdated(0, 4), isArtNetOutdated(5, 0)]).toEqual([
      ...[true, false, false, false],
    ])
  })
})

describe('whatever else comes', () => {
  it('is no packet, or one that says only what it can say', () => {
    const cut = fc.tuple(e131Levels, fc.integer({ min: 0, max: 638 }), fc.array(fc.tuple(fc.nat(637), byte)))
    fc.assert(
      fc.property(fc.oneof(fc.uint8Array({ maxLength: 700 }), cut), (some) => {
        const bytes = some instanceof Uint8Array ? some : damaged(...some)
        for (const read of [decodeE131(bytes), decodeArtNet(bytes)])
          if (read?.kind === 'levels') expect(read.levels.length).toBeLessThanOrEqual(512)
      }),
      { numRuns: 2000 },
    )
  })
})

function damaged(packet: E131Levels, length: number, writes: readonly (readonly [at: number, byte: number])[]) {
  const bytes = encodeLevels(packet)
  for (const [at, value] of writes) bytes[at] = value
  return bytes.slice(0, length)
}
