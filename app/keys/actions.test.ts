import { expect, it } from 'vitest'
import { ACTIONS, keyOf, whyNot, type ActionId } from './actions'

const press = (key: string, held: Partial<Parameters<typeof keyOf>[0]> = {}) =>
  keyOf({ key, code: '', ctrlKey: false, metaKey: false, altKey: false, shiftKey: false, ...held })
const keys = new Map<ActionId, string>(ACTIONS.map(({ id, key }) => [id, key]))

it('every action has a key of its own that may be bound', () => {
  for (const { id, key } of ACTIONS) expect([id, whyNot(key, id, keys)]).toEqual([id, null])
})

it('writes a key press as the map does', () => {
  expect(press('n')).toBe('N')
  expect(press('r', { altKey: true })).toBe('Alt R')
  expect(press('®', { altKey: true, code: 'KeyR' })).toBe('Alt R')
  expect(press('!', { altKey: true, shiftKey: true, code: 'Digit1' })).toBe('Alt Shift 1')
  expect(press('Z', { ctrlKey: true, shiftKey: true })).toBe('Ctrl Shift Z')
  expect(press('z', { metaKey: true })).toBe('Ctrl Z')
  expect(press('?', { shiftKey: true })).toBe('?')
  expect(press('PageUp', { shiftKey: true })).toBe('Shift PageUp')
})

it('refuses what the browser, typing or another action has', () => {
  for (const key of ['7', 'J', 'Shift J', 'Ctrl T', 'Ctrl Shift N', 'F5', 'Enter', 'Space', 'Alt F', 'Alt ArrowLeft'])
    expect(whyNot(key, 'fit', keys)).toContain('belongs to')
  expect(whyNot('.', 'fit', keys)).toContain('next subset')
  expect(whyNot('Alt Shift J', 'fit', keys)).toBeNull()
})
