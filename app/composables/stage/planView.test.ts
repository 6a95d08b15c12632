/** From metres on the stage to pixels, and back. */
import fc from 'fast-check'
import { describe, expect, it, vi } from 'vitest'
import { effectScope, ref } from 'vue'
import { vec3 } from '#core/geometry/vector'
import { FRONT, PLAN, SIDE } from '#core/drawing/projections'
import { usePlanView } from './usePlanView'

/** The view of a stage 12 m wide and 10 m deep on a sheet of so many pixels. */
function viewOf(projection = PLAN, width = 900, height = 620) {
  const warn = vi.spyOn(console, 'warn').mockImplementation(() => undefined)
  const extent = ref({ left: -6, right: 6, bottom: -2, top: 8 })
  const view = effectScope().run(() =>
    usePlanView(
      ref(null),
      () => extent.value,
      () => projection,
    ),
  )
  warn.mockRestore()
  if (!view) throw new Error('no view')
  view.width.value = width
  view.height.value = height
  return { view, extent }
}

describe('a stage on a sheet', () => {
  it('fits whole, with room around it, whatever the sheet', () => {
    fc.assert(
      fc.property(fc.integer({ min: 400, max: 3000 }), fc.integer({ min: 300, max: 2000 }), (width, height) => {
        const { view } = viewOf(PLAN, width, height)
        for (const corner of [vec3(-6, -2, 0), vec3(6, 8, 0)]) {
          const { x, y } = view.toScreen(corner)
          expect(x).toBeGreaterThan(0)
          expect(x).toBeLessThan(width)
          expect(y).toBeGreaterThan(0)
          expect(y).toBeLessThan(height)
        }
      }),
    )
  })

  it('leads from a pixel back to the place under it', () => {
    const metres = fc.double({ min: -20, max: 20, noNaN: true })
    fc.assert(
      fc.property(metres, metres, fc.constantFrom(PLAN, SIDE, FRONT), (across, up, projection) => {
        const { view } = viewOf(projection)
        const place = projection.place(across, up)
        const back = view.toStage(view.toScreen(place))
        for (const axis of ['x', 'y', 'z'] as const) expect(back[axis]).toBeCloseTo(place[axis], 9)
      }),
    )
  })

  it('keeps its scale while the extent comes to the same, and follows where it grows', () => {
    const { view, extent } = viewOf()
    const before = view.scale.value
    extent.value = { ...extent.value }
    expect(view.scale.value).toBe(before)
    extent.value = { ...extent.value, right: 12 }
    expect(view.scale.value).toBeLessThan(before)
  })
})
