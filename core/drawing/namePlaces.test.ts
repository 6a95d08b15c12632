import { expect, test } from 'vitest'
import type { DrawingPoint } from './drawingPoint'
import { besideMark, NamePlaces, widthOf } from './namePlaces'

const beside = (places: NamePlaces, name: string, mark: DrawingPoint) => places.place(name, besideMark(mark, name))

test('a name stands to the right of its mark, or steps aside from what is there', () => {
  const places = new NamePlaces()
  const first = beside(places, 'Dory bow', { x: 100, y: 100 })
  expect(first).toEqual({ at: { x: 109, y: 104 }, isFree: true })
  const second = beside(places, 'Dory stern', { x: 102, y: 101 })
  expect(second.isFree).toBe(true)
  expect(Math.abs(second.at.y - first.at.y) >= 13 || second.at.x + widthOf('Dory stern') < first.at.x).toBe(true)
})

test('without a free place it lies over a mark rather than over another name, and takes no place', () => {
  const places = new NamePlaces()
  const mark = { x: 200, y: 200 }
  places.mark({ left: 100, right: 200, top: 150, bottom: 250 })
  for (let y = 170; y <= 250; y += 13) places.write('Over here is one', { x: 195, y })
  const found = beside(places, 'Name', mark)
  expect(found.isFree).toBe(false)
  expect(found.at.x).toBeLessThan(200)
  expect(beside(places, 'Name', mark)).toEqual(found)
})

test('takes a place that a mark just leaves free, and no other', () => {
  const found = (top: number) => {
    const places = new NamePlaces()
    places.mark({ left: 100, right: 200, top, bottom: 140 })
    return beside(places, 'Name', { x: 100, y: 100 }).at
  }
  expect(found(106)).toEqual({ x: 109, y: 104 })
  expect(found(105).x).toBeLessThan(100)
})
