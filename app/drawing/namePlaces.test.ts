import { expect, test } from 'vitest'
import { NamePlaces } from './namePlaces'

test('a name stands to the right of its mark, or steps aside from what is there', () => {
  const places = new NamePlaces()
  const first = places.place('Dory bow', { x: 100, y: 100 })
  expect(first).toEqual({ x: 109, y: 104 })
  const second = places.place('Dory stern', { x: 102, y: 101 })
  expect(Math.abs(second.y - first.y) >= 13 || second.x + 61 < first.x).toBe(true)
})

test('lies over a mark rather than over another name', () => {
  const places = new NamePlaces()
  const mark = { x: 200, y: 200 }
  places.mark({ left: 100, right: 200, top: 150, bottom: 250 })
  for (let y = 170; y <= 250; y += 13) places.place('Over here is one', { x: 195, y })
  expect(places.place('Name', mark).x).toBeLessThan(200)
})

test('takes a place that a mark just leaves free, and no other', () => {
  const beside = (top: number) => {
    const places = new NamePlaces()
    places.mark({ left: 100, right: 200, top, bottom: 140 })
    return places.place('Name', { x: 100, y: 100 })
  }
  expect(beside(106)).toEqual({ x: 109, y: 104 })
  expect(beside(105).x).toBeLessThan(100)
})
