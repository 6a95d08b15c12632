/** Where light lands and what it lights. */
import { asSetPieceId } from '#core/show/ids'
import { normalise, subtract } from '#core/geometry/vector'
import { rigCheck } from '#core/rig/check'
import { litFaces } from '#core/venue/litFaces'
import { surfacesFrom } from '#core/venue/surfaces'
import { harbourHall } from '#demo/stage'
import { generateShow } from './generate'
import { tiltedMounts } from './mounts'
import { best, line } from './measure'

export function benchLight(): void {
  const lights = tiltedMounts(120).map(({ pivot }, i) => {
    const to = { x: -5 + (i % 11), y: 1 + (i % 7), z: 0 }
    return { lens: pivot, direction: normalise(subtract(to, pivot)) }
  })
  const prisms = Array.from({ length: 8 }, (_, i) => ({
    piece: asSetPieceId(`box${i}`),
    ...prismAround(-6 + 1.6 * i, 2 + (i % 4)),
  }))
  const surfaces = surfacesFrom(harbourHall.levels, prisms)
  const faces = best(() => lights.reduce((sum, beam) => sum + litFaces(beam, 20, surfaces).length, 0))
  // The least that a shadowless pool on the floor takes: where the sides of each cone meet it.
  const bare = best(() => {
    let sum = 0
    for (const { lens, direction } of lights)
      for (let i = 0; i < 28; i++) {
        const turn = (2 * Math.PI * i) / 28
        const x = direction.x + 0.18 * Math.cos(turn)
        const y = direction.y + 0.18 * Math.sin(turn)
        const t = -lens.z / direction.z
        sum += lens.x + t * x + lens.y + t * y
      }
    return sum
  })
  line('where 120 lights fall among 8 set pieces, shadows and all', `${faces.milliseconds.toFixed(1)} ms`)
  line('the same against bare cones on a bare floor', (faces.milliseconds / bare.milliseconds).toFixed(0))
  const show = generateShow(400, 10)
  const checked = best(
    () => rigCheck({ id: show.id, all: { ...show.all, hangPlace: new Map(show.all.hangPlace) } }).length,
  )
  line('rig check of 400 fixtures', `${checked.milliseconds.toFixed(1)} ms`)
}

function prismAround(x: number, y: number) {
  const outline = [
    { x, y },
    { x: x + 1, y },
    { x: x + 1, y: y + 1 },
    { x, y: y + 1 },
  ]
  return { outline, bottom: 0, top: 2 }
}
