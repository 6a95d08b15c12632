import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it } from 'vitest'
import { useFakeFrames } from '../../tests/support/fakeFrames'
import { useMessages } from './messages'

useFakeFrames()
beforeEach(() => setActivePinia(createPinia()))

it('every trouble stays until it is read, and only the last news', () => {
  const messages = useMessages()
  for (let i = 0; i < 5; i++) {
    messages.say(`clash ${i}`, 'trouble')
    messages.say(`news ${i}`)
  }
  expect(messages.list.map(({ text }) => text).join()).toBe(
    'clash 0,clash 1,clash 2,news 2,clash 3,news 3,clash 4,news 4',
  )
})

it('that something could not be done goes when it is done after all', () => {
  const messages = useMessages()
  messages.refuse('moveHang', 'It is locked.')
  messages.refuse('moveTarget', 'It has no place here.')
  messages.settle('moveHang')
  expect(messages.list.map(({ text }) => text)).toEqual(['It has no place here.'])
})
