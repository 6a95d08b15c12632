/** The keys of a room with a stage: tools, the view, keeping or putting back what is proposed. */
import { useEventListener } from '@vueuse/core'
import { useStage } from '../../stores/stage'
import { useProposal } from '../../stores/proposal'
import { useSelection } from '../../stores/selection'
import { isTyping } from './isTyping'
import type { Acts } from '../../stores/availableActions'
import { useActions } from './useActions'

export interface StageKeys {
  cancel(): boolean
  zoomIn(): void
  zoomOut(): void
  fit(): void
  panBy(x: number, y: number): void
}

/** What the keys mean beyond what every stage shares. */
export interface RoomKeys {
  readonly acts: Acts
  /** An arrow key; tells whether it was used, else the view moves. */
  readonly arrow: (by: { readonly x: number; readonly y: number }, isFine: boolean) => boolean
  /** A letter or digit typed into the air. */
  readonly typed?: (key: string) => void
  /** What Escape lets go of last, after a drag, a proposal and a tool. */
  readonly letGo?: () => void
}

/** Pixels an arrow key moves the view by when nothing is selected. */
const PAN = 60

const ARROWS: Readonly<Record<string, { readonly x: number; readonly y: number }>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: 1 },
  ArrowDown: { x: 0, y: -1 },
}

/** A button of the proposal that has the focus answers Enter itself, and so does any other. */
function answersEnter(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.closest('button, a, [data-proposal]') !== null
}

export function useStageKeys(drawing: () => StageKeys | null, room: RoomKeys) {
  const stage = useStage()
  const selection = useSelection()
  const proposal = useProposal()

  function escape() {
    if (drawing()?.cancel()) return
    if (proposal.pending) proposal.cancel()
    else if (stage.tool !== 'select') stage.tool = 'select'
    else {
      selection.clear()
      room.letGo?.()
    }
  }

  useActions({
    fit: () => drawing()?.fit(),
    nearer: () => drawing()?.zoomIn(),
    further: () => drawing()?.zoomOut(),
    ...room.acts,
  })

  function onArrow(event: KeyboardEvent, by: { readonly x: number; readonly y: number }) {
    event.preventDefault()
    if (!room.arrow(by, event.shiftKey)) drawing()?.panBy(-by.x * PAN, by.y * PAN)
  }

  useEventListener('keydown', (event) => {
    if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
    const arrow = ARROWS[event.key]
    if (room.typed && /^[\p{L}\d]$/u.test(event.key)) {
      event.preventDefault()
      room.typed(event.key)
    } else if (event.key === 'Enter') {
      if (!proposal.pending?.settled || answersEnter(event.target)) return
      event.preventDefault()
      void proposal.commit()
    } else if (event.key === 'Escape') {
      event.preventDefault()
      escape()
    } else if (arrow) onArrow(event, arrow)
  })
}
