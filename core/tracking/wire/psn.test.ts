import fc from 'fast-check'
import { expect, it } from 'vitest'
import { decodePsn, encodeNames, encodePlaces, TRACKERS_A_PACKET } from './psn'

/** One tracker, number 7, at 1, 2, −0.5, by hand: head of the packet, its header, its list. */
const BY_HAND = Uint8Array.from([
  ...[0x55, 0x67, 0x28, 0x80],
  ...[0x00, 0x00, 0x0c, 0x00, 0x40, 0x42, 0x0f, 0, 0, 0, 0, 0, 2, 3, 9, 1],
  ...[0x01, 0x00, 0x14, 0x80, 0x07, 0x00, 0x10, 0x80],
  ...[0x00, 0x00, 0x0c, 0x00, 0, 0, 0x80, 0x3f, 0, 0, 0, 0x40, 0, 0, 0, 0xbf],
])

it('reads a packet that was written by hand', () => {
  expect(decodePsn(BY_HAND)).toEqual({
    kind: 'places',
    microseconds: 1_000_000,
    frame: 9,
    trackers: [{ id: 7, place: { x: 1, y: 2, z: -0.5 } }],
  })
})

const metres = fc.float({ min: -900, max: 900, noNaN: true, noDefaultInfinity: true }).map((number) => number + 0)
const tracker = fc.record({ id: fc.nat(65535), place: fc.record({ x: metres, y: metres, z: metres }) })

it('reads what it wrote', () => {
  fc.assert(
    fc.property(
      fc.array(tracker, { maxLength: TRACKERS_A_PACKET }),
      fc.nat(255),
      fc.nat(2 ** 31),
      (trackers, frame, microseconds) => {
        const read = decodePsn(encodePlaces({ microseconds, frame }, trackers))
        expect(read).toEqual({ kind: 'places', microseconds, frame, trackers })
      },
    ),
  )
  const names = new Map([
    [0, 'Ann'],
    [65535, 'Zoë on the stairs'],
  ])
  expect(decodePsn(encodeNames({ microseconds: 0, frame: 0 }, 'House', names))).toEqual({
    kind: 'names',
    system: 'House',
    names,
  })
})

it('takes whatever comes, cut short, long or mixed up, and finds no tracker at no place', () => {
  const whole = encodePlaces({ microseconds: 1, frame: 1 }, [{ id: 1, place: { x: 1, y: 2, z: 3 } }])
  const edits = fc.array(fc.tuple(fc.nat(whole.length - 1), fc.nat(255)), { maxLength: 6 })
  const mixed = fc.tuple(edits, fc.nat(whole.length)).map(([all, length]) => {
    const bytes = whole.slice(0, length)
    for (const [at, byte] of all) if (at < length) bytes[at] = byte
    return bytes
  })
  fc.assert(
    fc.property(fc.oneof(mixed, fc.uint8Array({ maxLength: 200 })), (bytes) => {
      const read = decodePsn(bytes)
      if (read?.kind !== 'places') return
      for (const { place } of read.trackers)
        expect(Math.abs(place.x) + Math.abs(place.y) + Math.abs(place.z)).toBeLessThan(3001)
    }),
    { numRuns: 2000 },
  )
})

it('leaves out a tracker that says itself that it is not valid', () => {
  const bytes = encodePlaces({ microseconds: 1, frame: 1 }, [{ id: 1, place: { x: 1, y: 2, z: 3 } }])
  bytes.fill(0, bytes.length - 4)
  expect(decodePsn(bytes)).toMatchObject({ trackers: [] })
})
