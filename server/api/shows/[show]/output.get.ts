/** The levels that go out, as they change, each universe as 512 bytes written in base64; and how sending goes, each second. */
import { defineApi } from '../../../http/api'
import { showOf } from '../../../http/showOf'
import { answerWithLine } from '../../../http/streams'
import { useShowRegistry } from '../../../shows/useShowRegistry'

export default defineApi(async (event) => {
  const live = await showOf(event)
  const { outputs } = await useShowRegistry()
  return answerWithLine(event, (line) =>
    outputs.subscribe(live, {
      levels: (changed) => {
        const universes = [...changed].map(([universe, levels]) => [universe, Buffer.from(levels).toString('base64')])
        void line.push({ event: 'levels', data: JSON.stringify(universes) })
      },
      status: (status) => void line.push({ event: 'status', data: JSON.stringify(status) }),
    }),
  )
})
