/** The keys of a pass: Space finds right and goes on, arrows nudge, full stop and comma step through the fixtures. */
import { useEventListener } from '@vueuse/core'
import { usePass } from '../../stores/pass'
import { usePassNudges } from '../../stores/passNudges'
import { isTyping } from './isTyping'
import { useActions } from './useActions'

const ARROWS: Readonly<Record<string, readonly [right: number, away: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
}
/** With Shift a nudge is a tenth. */
const FINE = 0.1

/** Space chooses in a group of choices while that has the focus. */
const hasOwnSpace = (target: EventTarget | null) =>
  target instanceof HTMLElement && target.closest('[role="radiogroup"]') !== null

export function usePassKeys() {
  const pass = usePass()
  const nudges = usePassNudges()
  useActions({
    'next subset': () => void pass.step(1),
    'previous subset': () => void pass.step(-1),
    'whole selection': () => void pass.lookAt(null),
  })
  useEventListener('keydown', (event) => {
    if (!pass.pass || isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
    const arrow = ARROWS[event.key]
    if (arrow) {
      event.preventDefault()
      void nudges.nudge(arrow[0], arrow[1], event.shiftKey ? FINE : 1)
    } else if (event.key === ' ' && !hasOwnSpace(event.target)) {
      event.preventDefault()
      void pass.confirm()
    } else if (event.key === 'Escape') void pass.lookAt(null)
  })
}
