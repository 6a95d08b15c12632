/** The keys of truing up: arrows steer, a tenth with Shift; Enter notes that the light is on its cross. */
import { useEventListener } from '@vueuse/core'
import { useProposal } from '../../stores/proposal'
import { STEERING, useTrueUp } from '../../stores/trueUp'
import { isTyping } from './isTyping'

const ARROWS: Readonly<Record<string, readonly [x: number, y: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
}
const FINE = 0.1

/** Buttons and choices have keys of their own while they have the focus. */
const hasOwnKeys = (target: EventTarget | null) =>
  target instanceof HTMLElement && target.closest('button, [role="radiogroup"], select, a') !== null

export function useTrueUpKeys() {
  const room = useTrueUp()
  const proposal = useProposal()
  useEventListener('keydown', (event) => {
    if (!room.steered || proposal.pending || isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
    const arrow = ARROWS[event.key]
    if (arrow) {
      event.preventDefault()
      const metres = (STEERING[room.nudge] ?? 0) * (event.shiftKey ? FINE : 1)
      void room.nudgeBy(arrow[0] * metres, arrow[1] * metres)
    } else if (event.key === 'Enter' && !hasOwnKeys(event.target)) {
      event.preventDefault()
      void room.note()
    }
  })
}
