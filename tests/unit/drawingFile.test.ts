/** Drawings of a set, made by hand: where their bodies stand, metres, z upwards. */
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { boundsOfPoints } from '#core/exchange/mvr/modelParts'
import { placedRig, placementBy, scaleBy } from '#core/exchange/mvr/placement'
import { rigPlan } from '#core/exchange/mvr/rigPlan'
import type { ReadPiece, RigReading } from '#core/exchange/mvr/rigReading'
import { turnLevel } from '#core/geometry/rotation'
import { add, vec3 } from '#core/geometry/vector'
import { faultsIn } from '#core/show/soundness'
import { readDrawingFile } from '../../server/exchange/drawingFile'
import { Desk } from '../support/smallShow'

const file = (name: string) => new Uint8Array(readFileSync(`tests/files/${name}`))
const read = (name: string, up: 'y' | 'z' = 'y') => readDrawingFile(file(name), name, up)

/** The lowest and highest corner of a piece as it stands: x, y, z, x, y, z. */
function reach({ position, yaw, prisms }: ReadPiece): number[] {
  const corners = prisms.flatMap(({ outline, bottom, top }) =>
    outline.flatMap(({ x, y }) => [bottom, top].map((z) => add(position, turnLevel(vec3(x, y, z), yaw)))),
  )
  const { min, max } = boundsOfPoints(corners)
  return [min.x, min.y, min.z, max.x, max.y, max.z].map((value) => Math.round(value * 1000) / 1000 + 0)
}
const named = ({ pieces }: RigReading, name: string) => {
  const piece = pieces.find((one) => one.name === name)
  if (!piece) throw new Error(`${name} is not there`)
  return piece
}

describe('a drawing of a set', () => {
  it('as DXF: blocks in blocks, turned and stretched, in the unit the file says', async () => {
    const reading = await read('wharf.dxf')
    expect(reading.drawing).toEqual({ unit: 'cm' })
    // In the wagon: a step from 0,0 to 100,50, 30 tall; one turned a quarter at 200, so from 150,0 to 200,100, 60 tall.
    // The wagon is twice as wide, then turned a quarter at 300,400,20: x is -y, y is 2x.
    const wagon = named(reading, 'Wagon')
    expect([wagon.layer, wagon.prisms.length]).toEqual(['Set', 2])
    expect(reach(wagon)).toEqual([2, 4, 0.2, 3, 8, 0.8])
    expect(reach({ ...wagon, prisms: wagon.prisms.slice(0, 1) })).toEqual([2.5, 4, 0.2, 3, 6, 0.5])
    expect(reach(named(reading, 'Rocks'))).toEqual([-4, 1, 0, -3, 1.8, 0.9])
    expect(reach(named(reading, 'Drums'))).toEqual([-1.25, -1.25, 0.1, -0.75, -0.75, 0.7])
    // From below: x turned round, up is down.
    expect(reach(named(reading, 'Under'))).toEqual([-0.9, 0, 2, -0.5, 0.3, 2.1])
    expect(reading.notes).toEqual([
      { about: 'Nowhere', message: 'is placed, but there is no such block in the file', severity: 'lost' },
      { about: 'layer Notes', message: '2 lines, letters or measures without a body', severity: 'lost' },
    ])
  })

  it('as OBJ: without a unit, with either way up', async () => {
    const up = await read('wharf.obj')
    expect(up.drawing).toEqual({ unit: null })
    expect(reach(named(up, 'Ramp'))).toEqual([1, 2, 0, 3, 3, 0.5])
    expect(reach(named(up, 'Post'))).toEqual([-4, 1, 0, -3.9, 1.2, 2])
    expect(reach(named(await read('wharf.obj', 'z'), 'Ramp'))).toEqual([1, 0, -3, 3, 0.5, -2])
  })

  it('as GLB: nodes inside others, in metres', async () => {
    const reading = await read('wharf.glb')
    expect(reading.drawing).toEqual({ unit: 'm' })
    expect(named(reading, 'Tall crate').layer).toBe('Quay')
    expect(reach(named(reading, 'Tall crate'))).toEqual([10, 3, 0.5, 11, 6, 2.5])
  })

  it('comes in by layers where two places say it lies, as large as they say, and is found again', async () => {
    const reading = await read('wharf.obj')
    const points = {
      file: [vec3(1, 2, 0), vec3(3, 2, 0)],
      stage: [vec3(0, 5, 0), vec3(0, 6, 0)],
    } as const
    const scale = scaleBy(points)
    expect(scale).toBe(0.5)
    const placement = placementBy(points, { scale: scale ?? 1, mirrored: false })
    if (!placement) throw new Error('two places say where it lies')
    const placed = placedRig(reading, placement)
    expect(reach(named(placed, 'Ramp'))).toEqual([-0.5, 5, 0, 0, 6, 0.25])
    const desk = new Desk()
    desk.do(
      'takeRig',
      rigPlan(desk.show, placed).taking(() => true),
    )
    expect(faultsIn(desk.show)).toEqual([])
    expect([...desk.show.all.setPiece.values()].map(({ name }) => name)).toEqual(
      expect.arrayContaining(['Ramp', 'Post']),
    )
    expect(rigPlan(desk.show, placed).items).toEqual([])
  })

  it.each([
    ['x.dxf', 'hello', 'no whole DXF file'],
    ['x.dxf', '0\nSECTION\n2\nHEADER\n0\nENDSEC\n0\nEOF\n', 'no entities'],
    ['x.dxf', 'Binary DXF\r\n\0', 'binary'],
    ['x.glb', 'glTF', 'no whole GLB'],
  ])('%s that cannot be used says why', async (name, text, why) => {
    await expect(readDrawingFile(new TextEncoder().encode(text), name, 'y')).rejects.toThrow(why)
  })

  it('without bodies says so', async () => {
    const reading = await readDrawingFile(new TextEncoder().encode('v 0 0 0\n'), 'empty.obj', 'y')
    expect([reading.pieces, reading.notes.map(({ message }) => message)]).toEqual([
      [],
      [expect.stringContaining('no bodies')],
    ])
  })
})
