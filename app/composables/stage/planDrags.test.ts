import { ref } from 'vue'
import { describe, expect, it } from 'vitest'
import { vec3, type Vec3 } from '#core/geometry/vector'
import { asFixtureId, asTargetId, type FixtureId } from '#core/show/ids'
import type { PlacedTarget } from '#core/show/targets'
import type { AimDrag } from '../../stores/stage'
import { aimDrag, boxDrag, clickOrDrag, moveDrag, type SelectionBox } from './planDrags'

/** Ten pixels a metre, the stage's origin at 500, 500. */
const plan = {
  toScreen: (p: { x: number; y: number }) => ({ x: 500 + 10 * p.x, y: 500 - 10 * p.y }),
  toStage: (p: { x: number; y: number }) => vec3((p.x - 500) / 10, (500 - p.y) / 10, 0),
}
const bow: PlacedTarget = {
  id: asTargetId('bow'),
  target: { name: 'Bow', form: { kind: 'point' }, setPiece: null, local: null },
  position: vec3(3, 4, 0.8),
  end: null,
}

describe('dragging the light', () => {
  function dragging(from: AimDrag | null, start: { x: number; y: number }) {
    const shown: (AimDrag | null)[] = []
    const dropped: string[] = []
    const drag = aimDrag({
      plan,
      start,
      from,
      targets: () => [bow],
      show: (next) => shown.push(next),
      drop: () => dropped.push('dropped'),
    })
    return { drag, last: () => shown.at(-1), dropped }
  }

  it('falls on the floor where the stage is pressed, at once', () => {
    const { last } = dragging(null, { x: 520, y: 480 })
    expect(last()).toEqual({ target: null, offset: vec3(2, 2, 0) })
  })

  it('snaps to a target nearby and lets go of it further on', () => {
    const { drag, last } = dragging(null, { x: 400, y: 400 })
    drag.move({ x: 533, y: 466 })
    expect(last()).toEqual({ target: bow.id, offset: vec3(0, 0, 0) })
    drag.move({ x: 560, y: 466 })
    expect(last()).toMatchObject({ target: null })
  })

  it('taken by its handle keeps its target and height, and moves by how far the pointer went', () => {
    const { drag, last, dropped } = dragging({ target: bow.id, offset: vec3(0.5, 0, 0.2) }, { x: 535, y: 460 })
    expect(last()).toBeUndefined()
    drag.move({ x: 555, y: 430 })
    expect(last()).toEqual({ target: bow.id, offset: vec3(2.5, 3, 0.2) })
    drag.drop({ x: 555, y: 430 })
    expect(dropped).toEqual(['dropped'])
    drag.cancel()
    expect(last()).toBeNull()
  })
})

describe('drawing a box', () => {
  const spots = new Map([1, 2, 3, 4].map((n) => [asFixtureId(`f${n}`), { x: 100 * n, y: n === 4 ? 300 : 100 }]))
  function drawn(from: { x: number; y: number }, to: { x: number; y: number }) {
    const box = ref<SelectionBox | null>(null)
    const results: (FixtureId[] | 'click')[] = []
    const drag = boxDrag({
      start: from,
      box,
      spots: () => spots,
      select: (found) => results.push(found),
      click: () => results.push('click'),
    })
    drag.move(to)
    expect(box.value).toEqual({ from, to })
    drag.drop(to)
    expect(box.value).toBeNull()
    return results
  }

  it('takes what lies inside in the order of the drag', () => {
    expect(drawn({ x: 50, y: 50 }, { x: 350, y: 150 })).toEqual([['f1', 'f2', 'f3']])
    expect(drawn({ x: 350, y: 150 }, { x: 50, y: 50 })).toEqual([['f3', 'f2', 'f1']])
    expect(drawn({ x: 250, y: 350 }, { x: 450, y: 50 })).toEqual([['f4', 'f3']])
  })

  it('is a click when the pointer hardly moves', () => {
    expect(drawn({ x: 50, y: 50 }, { x: 52, y: 51 })).toEqual(['click'])
  })
})

describe('a press that may become a drag', () => {
  function pressed() {
    const done: string[] = []
    const say = (what: string) => () => void done.push(what)
    const drag = () => (say('begun')(), { move: say('moved'), drop: say('dropped'), cancel: say('put back') })
    return { done, press: clickOrDrag({ x: 100, y: 100 }, say('clicked'), drag) }
  }

  it('is a click until it wanders, and the drag from then on, also back at its start', () => {
    const still = pressed()
    still.press.move({ x: 102, y: 101 })
    still.press.drop({ x: 102, y: 101 })
    expect(still.done).toEqual(['clicked'])
    const wandering = pressed()
    wandering.press.move({ x: 110, y: 100 })
    wandering.press.move({ x: 100, y: 100 })
    wandering.press.drop({ x: 100, y: 100 })
    expect(wandering.done).toEqual(['begun', 'moved', 'moved', 'dropped'])
    const left = pressed()
    left.press.cancel()
    expect(left.done).toEqual([])
  })
})

describe('moving something', () => {
  it('proposes by how far it went, settles on the drop, and puts a mere click back', () => {
    const proposed: [Vec3, boolean][] = []
    let putBack = 0
    const start = { x: 500, y: 500 }
    const drag = moveDrag({
      plan,
      start,
      propose: (by, settled) => proposed.push([by, settled]),
      putBack: () => putBack++,
    })
    drag.move({ x: 510, y: 480 })
    drag.drop({ x: 520, y: 480 })
    expect(proposed).toEqual([
      [vec3(1, 2, 0), false],
      [vec3(2, 2, 0), true],
    ])
    drag.drop({ x: 501, y: 501 })
    expect(putBack).toBe(1)
  })
})
