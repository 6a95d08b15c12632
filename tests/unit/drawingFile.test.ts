/** Drawings of a set, made by hand: where their bodies stand, metres, z upwards. */
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { linesAsText, linesFile } from '#core/exchange/drawing/linesFile'
import { linesTaken, underlayItems, underlayPlaced } from '#core/exchange/drawing/planUnderlay'
import { pathCorners } from '#core/exchange/drawing/underlay'
import { boundsOfPoints } from '#core/exchange/mvr/modelParts'
import {
  AS_IT_IS,
  firstPlacement,
  inFile,
  liesTooFar,
  onStage,
  placedRig,
  placementBy,
  scaleBy,
} from '#core/exchange/mvr/placement'
import { rigPlan } from '#core/exchange/mvr/rigPlan'
import type { ReadPiece, RigReading } from '#core/exchange/mvr/rigReading'
import { turnLevel } from '#core/geometry/rotation'
import { add, vec3 } from '#core/geometry/vector'
import { faultsIn } from '#core/show/soundness'
import { underlayPoint } from '#core/show/underlays'
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
      { about: 'layer Notes', message: '1 letter, measure or hatching', severity: 'lost' },
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
    expect(rigPlan(desk.show, placed).items.filter(({ suggested }) => suggested)).toEqual([])
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
      [expect.stringContaining('nothing that is drawn')],
    ])
  })
})

describe('a drawing as lines to trace on', () => {
  /** The corners of a layer as they are drawn, metres. */
  function cornersOf({ underlay }: RigReading, layer: string): [x: number, y: number][] {
    if (!underlay) throw new Error('there are no lines')
    const path = underlay.layers.find(({ name }) => name === layer)?.path ?? ''
    const own = (value: number) => Math.round(value * 1000) / 1000 + 0
    return pathCorners(path).map(({ x, y }) => [own(x + underlay.corner.x), own(y + underlay.corner.y)])
  }

  it('has lines, arcs and curves by layer, blocks expanded, in metres', async () => {
    const reading = await read('quay-plan.dxf')
    const { underlay } = reading
    expect(underlay?.layers.map(({ name, hasLines }) => [name, hasLines])).toEqual([
      ['Cable', true],
      ['Handrail', true],
      ['Orchestra', true],
      ['Riser', false],
      ['Stairs', true],
      ['Walls', true],
    ])
    expect([underlay?.corner, underlay?.width, underlay?.height]).toEqual([{ x: -6, y: -2 }, 11, 10])
    // Half round from 5, 8 to 5, 6, against the clock: through 4, 7.
    const walls = cornersOf(reading, 'Walls')
    expect(walls.slice(0, 4)).toEqual([
      [-6, -1],
      [-6, 8],
      [-6, 8],
      [5, 8],
    ])
    expect(walls.at(-1)).toEqual([5, 6])
    expect(walls).toContainEqual([4, 7])
    // The arc is the quarter from straight down to straight right, the ellipse the left half of one that stands.
    const orchestra = cornersOf(reading, 'Orchestra')
    expect(orchestra).toContainEqual([0, -2])
    expect(orchestra).toContainEqual([2, 0])
    expect(orchestra).toContainEqual([1, 2.5])
    expect(orchestra).toContainEqual([0, 0.5])
    expect(orchestra).toContainEqual([1, -1.5])
    // Of degree two through three points: its middle is (a + 2b + c) / 4.
    expect(cornersOf(reading, 'Cable')).toContainEqual([1, 1])
    // Turned a quarter about 2, 3, its base point taken off.
    expect(cornersOf(reading, 'Stairs')).toEqual([
      [2, 3],
      [2, 4],
    ])
    expect(cornersOf(reading, 'Handrail')).toEqual([
      [1.7, 3],
      [1.5, 4],
    ])
    // A body is drawn round its foot; it comes as a set piece too.
    expect(cornersOf(reading, 'Riser')).toEqual([
      [-3, 1],
      [-1, 1],
      [-1, 2],
      [-3, 2],
      [-3, 1],
    ])
    expect(reach(named(reading, 'Riser'))).toEqual([-3, 1, 0, -1, 2, 0.4])
    expect(reading.notes).toEqual([
      { about: 'layer Walls', message: '1 letter, measure or hatching', severity: 'lost' },
    ])
  })

  it('lies where it is placed: sized, mirrored, turned and shifted as its bodies are', async () => {
    const reading = await read('quay-plan.dxf')
    const placement = { scale: 0.5, mirrored: true, turn: 30, shift: vec3(3, -1, 0) }
    const underlay = reading.underlay ?? expect.fail('there are no lines')
    const place = underlayPlaced(underlay, placement)
    for (const [x, y] of [
      [-6, -1],
      [2, 4],
      [0, -2],
    ] as const) {
      const there = underlayPoint(place, x - underlay.corner.x, y - underlay.corner.y)
      const straight = onStage(placement, vec3(x, y, 0))
      expect(there.x).toBeCloseTo(straight.x, 9)
      expect(there.y).toBeCloseTo(straight.y, 9)
      const back = inFile(placement, straight)
      expect(Math.hypot(back.x - x, back.y - y)).toBeLessThan(1e-9)
    }
  })

  it('that counts from far away is brought to the stage, and may not lie beyond a kilometre', async () => {
    const text = new TextDecoder().decode(file('quay-plan.dxf'))
    const far = text.replace('$INSUNITS\n70\n4', '$INSUNITS\n70\n6')
    const reading = await readDrawingFile(new TextEncoder().encode(far), 'far.dxf', 'y')
    expect(liesTooFar(reading, AS_IT_IS)).toBe(true)
    expect(liesTooFar(reading, { ...AS_IT_IS, scale: 0.001 })).toBe(false)
    const middle = onStage(firstPlacement(reading), vec3(-500, 3000, 0))
    expect([middle.x, middle.y].map((metres) => Math.round(metres) + 0)).toEqual([0, 0])
    expect(firstPlacement(await read('quay-plan.dxf'))).toEqual(AS_IT_IS)
  })

  it('that reaches for ever is told, and does not come', async () => {
    const text = new TextDecoder().decode(file('quay-plan.dxf')).replace('\n-3000\n', '\n-3e21\n')
    const { underlay, notes } = await readDrawingFile(new TextEncoder().encode(text), 'endless.dxf', 'y')
    expect(underlay).toBeNull()
    expect(notes).toContainEqual(expect.objectContaining({ about: 'endless.dxf', severity: 'lost' }))
  })

  it('suggests lines where there are no bodies, and takes the layers one wants', async () => {
    const desk = new Desk()
    const underlay = (await read('quay-plan.dxf')).underlay ?? expect.fail('there are no lines')
    const items = underlayItems(desk.show, underlay)
    expect(items.filter(({ suggested }) => !suggested).map(({ name }) => name)).toEqual(['Riser'])
    const taken = linesTaken(underlay, (key) => items.some((item) => item.key === key && item.layer === 'Stairs'))
    expect(taken?.layers.map(({ name }) => name)).toEqual(['Stairs'])
    expect(linesFile.safeParse(JSON.parse(linesAsText(taken ?? { layers: [] }))).success).toBe(true)
  })
})
