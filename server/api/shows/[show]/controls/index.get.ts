/** What controls say, as they say it, and what becomes of it. */
import { defineApi } from '../../../../http/api'
import { showOf } from '../../../../http/showOf'
import { answerWithLine } from '../../../../http/streams'
import { useShowRegistry } from '../../../../shows/useShowRegistry'

/** Nobody reads faster, milliseconds. */
const BETWEEN = 100

export default defineApi(async (event) => {
  const live = await showOf(event, 'programs')
  const desk = await (await useShowRegistry()).controls(live.show.id)
  return answerWithLine(event, (line) => {
    let timer: ReturnType<typeof setTimeout> | undefined
    const tell = () => {
      timer = undefined
      void line.push({ event: 'status', data: JSON.stringify(desk?.status()) })
    }
    const unsubscribe = desk?.subscribe(() => (timer ??= setTimeout(tell, BETWEEN)))
    tell()
    return () => {
      unsubscribe?.()
      clearTimeout(timer)
    }
  })
})
