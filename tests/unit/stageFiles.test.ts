/** The stage as it is written for other programs, read by libraries that did not write it. */
import DxfParser from 'dxf-parser'
import { Box3, Mesh, Vector3 } from 'three'
import { GLTFLoader } from 'three/examples/jsm/loaders/GLTFLoader.js'
import { describe, expect, it } from 'vitest'
import { dxfDocument } from '#core/exchange/drawing/dxfDocument'
import { stageModel } from '#core/exchange/drawing/stageModel'
import { writeDxf } from '#core/exchange/drawing/writeDxf'
import { mountingPoint } from '#core/geometry/frame'
import { hangPlotSvg } from '#core/paper/hangPlot'
import { hangsOf, rigOf } from '#core/show/rig'
import { setPiecesOf } from '#core/show/setPieces'
import { showRecordOf } from '#core/show/show'
import { targetsOf } from '#core/show/targets'
import { prismsAt } from '#core/venue/solids'
import { buildSaltLantern } from '#demo/saltLantern'
import { readDrawingFile } from '../../server/exchange/drawingFile'
import { glbOfBodies } from '../../server/exchange/glb'
import { richDesk } from '../support/richShow'

const show = buildSaltLantern('salt')

/** Where a set piece stands in its venue: lowest and highest corner, metres. */
function reachOf(name: string): number[] {
  const placed = setPiecesOf(show).find(({ piece }) => piece.name === name)
  if (!placed) throw new Error(`${name} is gone`)
  const prisms = prismsAt(placed.id, placed.piece.solids, placed.place)
  const [xs, ys] = [
    prisms.flatMap((one) => one.outline.map(({ x }) => x)),
    prisms.flatMap((one) => one.outline.map(({ y }) => y)),
  ]
  const [low, high] = [Math.min(...prisms.map(({ bottom }) => bottom)), Math.max(...prisms.map(({ top }) => top))]
  return [Math.min(...xs), Math.min(...ys), low, Math.max(...xs), Math.max(...ys), high]
}

describe('the stage as a file', () => {
  it('of DXF: faces of the set in its layers, outlines, hangs, fixtures with their numbers, targets with their names', () => {
    const document = dxfDocument.parse(new DxfParser().parseSync(writeDxf(show)))
    expect(document.header['$INSUNITS']).toBe(6)
    const all = document.entities
    const circles = all.flatMap((entity) => ('radius' in entity ? [entity.center] : []))
    const hung = [...rigOf(show).values()].filter(({ bar }) => bar === null)
    expect(circles).toHaveLength(hung.length)
    for (const { hangPlace, place } of hung) {
      const at = mountingPoint(hangPlace, place)
      expect(circles.some(({ x, y, z }) => Math.hypot(x - at.x, y - at.y, z - at.z) < 1e-5)).toBe(true)
    }
    const of = (type: string) => all.filter((entity) => entity.type === type).length
    expect([of('LINE'), of('POINT')]).toEqual([hangsOf(show).length, targetsOf(show).size])
    expect(of('TEXT')).toBe(hung.length + targetsOf(show).size)
  })

  it('of DXF comes in again with its layers', async () => {
    const reading = await readDrawingFile(new TextEncoder().encode(writeDxf(show)), 'again.dxf', 'z')
    const used = new Set(setPiecesOf(show).map(({ piece }) => show.all.layer.get(piece.layer ?? '')?.name ?? 'Set'))
    expect(reading.drawing).toEqual({ unit: 'm' })
    expect(new Set(reading.pieces.map(({ layer }) => layer))).toEqual(
      new Set([...used, 'Stage', 'Keep clear', 'Fixtures']),
    )
  })

  it('of GLB: a node for each set piece, where it stands, y upwards', async () => {
    const bytes = await glbOfBodies(stageModel(show))
    const { scene } = await new GLTFLoader().parseAsync(Uint8Array.from(bytes).buffer, '')
    scene.updateMatrixWorld(true)
    for (const { piece } of setPiecesOf(show)) {
      const meshes: Mesh[] = []
      scene.traverse((node) => {
        if (node instanceof Mesh && node.userData['name'] === piece.name) meshes.push(node)
      })
      expect([piece.name, meshes.length]).toEqual([piece.name, 1])
      const box = new Box3()
      for (const mesh of meshes) box.expandByObject(mesh)
      const [min, max] = [box.min, box.max].map(({ x, y, z }) => new Vector3(x, -z, y))
      const found = [min?.x, max?.y, min?.z, max?.x, min?.y, max?.z]
      for (const [i, value] of reachOf(piece.name).entries()) expect(found[i]).toBeCloseTo(value, 3)
    }
  })

  it('of SVG: a plan whose millimetres are true to its scale', () => {
    const svg = hangPlotSvg(show, 50)
    const [, width, height, boxWidth, boxHeight] =
      /^<\?xml[^>]*>\n<svg [^>]*width="([\d.]+)mm" height="([\d.]+)mm" viewBox="0 0 ([\d.]+) ([\d.]+)">/.exec(svg) ?? []
    expect(Number(width) / Number(boxWidth)).toBeCloseTo(25.4 / 72, 4)
    expect(Number(height) / Number(boxHeight)).toBeCloseTo(25.4 / 72, 4)
    const outline = show.all.venue.get(showRecordOf(show).venue)?.outline.map(({ x }) => x) ?? []
    expect(Number(width)).toBeGreaterThan(((Math.max(...outline) - Math.min(...outline)) * 1000) / 50)
  })

  it('is written for a show with everything in it, odd names and all', async () => {
    const desk = richDesk()
    const [id] = [...desk.show.all.setPiece.keys()]
    desk.ask('changeSetPiece', { setPiece: id, name: 'Boot\n0\nEOF „é“' })
    const document = dxfDocument.parse(new DxfParser().parseSync(writeDxf(desk.show)))
    expect(document.entities.length).toBeGreaterThan(20)
    expect((await glbOfBodies(stageModel(desk.show))).byteLength).toBeGreaterThan(1000)
  })
})
