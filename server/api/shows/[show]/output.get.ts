/** The levels that go out, as they change: each universe as 512 bytes, written in base64. */
import { createEventStream } from 'h3'
import type { Universes } from '#core/output/channelLevels'
import { defineApi } from '../../../http/api'
import { showOf } from '../../../http/showOf'
import { useHouse } from '../../../shows/useHouse'

const STILL_HERE_EVERY = 20_000

export default defineApi(async (event) => {
  const live = await showOf(event)
  const { outputs } = await useHouse()
  const stream = createEventStream(event)
  const send = (changed: Universes) => {
    const universes = [...changed].map(([universe, levels]) => [universe, Buffer.from(levels).toString('base64')])
    void stream.push({ event: 'levels', data: JSON.stringify(universes) })
  }
  const pulse = setInterval(() => void stream.push({ event: 'still here', data: '' }), STILL_HERE_EVERY)
  const unsubscribe = outputs.subscribe(live, send)
  stream.onClosed(async () => {
    clearInterval(pulse)
    unsubscribe()
    await stream.close()
  })
  return stream.send()
})
