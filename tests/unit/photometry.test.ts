/** Photometric files read and written, against light worked out by hand. */
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { readPhotometry } from '#core/exchange/photometry/photometry'
import { WRITE_PHOTOMETRY } from '#core/exchange/photometry/writePhotometry'
import { candelaOffAxis, illuminance, lumenOfRow, type OpticsRow } from '#core/light/optics'
import { optics } from '#core/show/entities'

const lopsidedIes = readFileSync('tests/files/lopsided.ies', 'utf8')
const lopsidedLdt = readFileSync('tests/files/lopsided.ldt', 'utf8')

function rowOf(text: string): OpticsRow {
  const reading = readPhotometry(text)
  if (!reading.ok) throw new Error(reading.message)
  return reading.photometry.row
}
const refusal = (text: string) => {
  const reading = readPhotometry(text)
  return reading.ok ? 'read' : reading.message
}
const FALL = [20, 30, 25, 35]
/** The light the files were made from. */
const lopsided = (off: number, quarter: number) => Math.max(0, 9000 * (1 - (off / (FALL[quarter] ?? 1)) ** 2))
const TABLE = [
  { beam: 6, field: 8, candela: 900_000 },
  { beam: 30, field: 44, candela: 60_000 },
]

describe('photometry', () => {
  it.each([
    ['IES LM-63', lopsidedIes],
    ['EULUMDAT', lopsidedLdt],
  ])('of %s gives the candela it was made of, by plane and angle', (kind, text) => {
    const reading = readPhotometry(text)
    expect(reading).toMatchObject({ ok: true, photometry: { kind, name: 'Lopsided wash', maker: 'Ostrel', notes: [] } })
    const row = rowOf(text)
    expect(optics.safeParse([row]).success).toBe(true)
    for (const quarter of [0, 1, 2, 3])
      for (const off of [0, 2.5, 10, 17.5, 30])
        expect(candelaOffAxis([row], row.beam, off, 90 * quarter)).toBeCloseTo(lopsided(off, quarter), -0.3)
    // Between two planes, straight.
    expect(candelaOffAxis([row], row.beam, 10, 45)).toBeCloseTo((lopsided(10, 0) + lopsided(10, 1)) / 2, -0.3)
    expect(candelaOffAxis([row], row.beam, 10, 315)).toBeCloseTo((lopsided(10, 3) + lopsided(10, 0)) / 2, -0.3)
    expect(candelaOffAxis([row], row.beam, 50, 90)).toBe(0)
  })

  it('says the angles at which the light is a half and a tenth, and how much of it there is', () => {
    // Round, falling straight from 1000 on the axis to 0 at 20 degrees.
    const row = rowOf('IESNA91\nTILT=NONE\n1 -1 1 3 1 1 2 0 0 0\n1 1 0\n0 10 20\n0\n1000 500 0')
    expect([row.beam, row.field]).toEqual([20, 36])
    // 2π ∫ (1 − γ/20°) sin γ dγ = 2π (1 − sin 20° / 20°)
    const exact = 2 * Math.PI * (1 - Math.sin(Math.PI / 9) / (Math.PI / 9))
    expect(lumenOfRow(row) / exact).toBeCloseTo(1, 4)
  })

  it('undoes the symmetry files leave planes out by', () => {
    const ies = (planes: string, rows: string) =>
      rowOf(`IESNA91\nTILT=NONE\n1 -1 1 2 ${planes.split(' ').length} 1 2 0 0 0\n1 1 0\n0 40\n${planes}\n${rows}`)
    const at = (row: OpticsRow, round: number) => candelaOffAxis([row], row.beam, 20, round)
    const quarter = ies('0 45 90', '100 20 100 40 100 60')
    expect([at(quarter, 135), at(quarter, 225), at(quarter, 270)]).toEqual([at(quarter, 45), at(quarter, 45), 80])
    const half = ies('0 90 180', '100 20 100 40 100 60')
    expect([at(half, 270), at(half, 180)]).toEqual([at(half, 90), 80])
    const zeros = (count: number) => Array.from({ length: count }, () => 0)
    const ldt = (symmetry: number, rows: readonly number[]) =>
      rowOf(
        [
          ...['', 2, symmetry, 4, 90, 2, 40, '', '', '', '', ''],
          ...[...zeros(13), 1, 1, '', 1000, '', '', 0, ...zeros(10)],
          ...[0, 90, 180, 270, 0, 40, ...rows],
        ].join('\n'),
      )
    // From 270 over 0 to 90: the other half is its picture in a mirror.
    const turned = ldt(3, [100, 20, 100, 40, 100, 60])
    expect([0, 90, 180, 270].map((round) => at(turned, round))).toEqual([70, 80, 70, 60])
    expect([0, 90, 180, 270].map((round) => at(ldt(1, [100, 20]), round))).toEqual([60, 60, 60, 60])
  })

  it('of floodlights is taken over to planes about the axis', () => {
    const sides = [-30, -15, 0, 15, 30]
    const rows = sides.map((h) => sides.map((v) => 1000 - 10 * Math.abs(h) - 20 * Math.abs(v)).join(' '))
    const row = rowOf(
      `IESNA91\nTILT=NONE\n1 -1 1 5 5 2 2 0 0 0\n1 1 0\n${sides.join(' ')}\n${sides.join(' ')}\n${rows.join('\n')}`,
    )
    const at = (off: number, round: number) => candelaOffAxis([row], row.beam, off, round)
    expect([at(0, 0), at(15, 0), at(15, 180), at(15, 90), at(15, 270)].map(Math.round)).toEqual([
      1000, 850, 850, 700, 700,
    ])
  })

  it.each(['ies', 'ldt'] as const)('written as %s and read again is the same light', (kind) => {
    const measured = rowOf(lopsidedIes)
    for (const [table, beam] of [
      [TABLE, 6],
      [TABLE, 17],
      [[measured], measured.beam],
      [[{ ...measured, beam: 12, field: 20 }, TABLE[1] ?? measured], 20],
    ] as const) {
      const again = rowOf(WRITE_PHOTOMETRY[kind]({ maker: 'Ostrel', name: 'Wash – ü', optics: table, beam }))
      const peak = candelaOffAxis(table, beam, 0)
      for (const off of [0, 1, 2, 4, 8, 16])
        for (const round of [0, 60, 90, 195, 270])
          expect(
            Math.abs(candelaOffAxis([again], again.beam, off, round) - candelaOffAxis(table, beam, off, round)) / peak,
          ).toBeLessThan(0.02)
    }
  })

  it('that was measured is what lux is worked out of', () => {
    const dim = { planes: [0], off: [0, 5, 10], parts: [[0.25, 1, 0]] }
    const hollow = [{ beam: 16, field: 19, candela: 80_000, measured: dim }]
    expect(illuminance(candelaOffAxis(hollow, 16, 0), 0, 10)).toBe(200)
  })

  it.each([
    ['nothing', ''],
    ['TILT', 'IESNA91\n[TEST] x'],
    ['candela of the horizontal angle 180', lopsidedIes.split('\r\n').slice(0, 17).join('\n')],
    ['0 vertical angles', 'IESNA91\nTILT=NONE\n1 1 1 0 1 1 2 0 0 0 1 1 0'],
    ['do not rise', 'IESNA91\nTILT=NONE\n1 1 1 2 1 1 2 0 0 0 1 1 0 10 0 0 1 1'],
    ['every candela is 0', 'IESNA91\nTILT=NONE\n1 1 1 2 1 1 2 0 0 0 1 1 0 0 90 0 0 0'],
    ['more angles than a lamp', 'IESNA91\nTILT=NONE\n1 1 1 1400 1400 1 2 0 0 0 1 1 0'],
    ['no EULUMDAT', 'Hello\nworld\nx'],
    ['plane 2 of 4', lopsidedLdt.split('\r\n').slice(0, 80).join('\n')],
  ])('that cannot be used says %j', (words, text) => {
    expect(refusal(text)).toContain(words === 'nothing' ? 'no EULUMDAT' : words)
  })
})
