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
  for (let y = 150; y <= 250; y += 6) places.mark({ x: 100, y }, 100)
  for (let y = 170; y <= 250; y += 13) places.place('Over here is one', { x: 195, y })
  expect(places.place('Name', mark).x).toBeLessThan(200)
})
