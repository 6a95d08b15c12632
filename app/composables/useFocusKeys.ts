/** The keys of the Focus room. Digits begin a selection; arrows nudge what is selected. */
import { useEventListener } from '@vueuse/core'
import { vec3 } from '#core/geometry/vector'
import { useDesk, type Tool } from '../stores/desk'
import { useProposal } from '../stores/proposal'
import { useSelection } from '../stores/selection'
import { useShow } from '../stores/show'
import { isTyping } from './isTyping'

interface PlanKeys {
  cancel(): boolean
  zoomIn(): void
  zoomOut(): void
  fit(): void
  panBy(x: number, y: number): void
}

/** Metres and degrees an arrow key nudges by, and with Shift. */
const COARSE = { metres: 0.1, degrees: 1 }
const FINE = { metres: 0.01, degrees: 0.1 }
/** Pixels an arrow key moves the plan by when nothing is selected. */
const PAN = 60

const ARROWS: Readonly<Record<string, { x: number; y: number }>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: 1 },
  ArrowDown: { x: 0, y: -1 },
}
const TOOLS: Readonly<Record<string, Tool>> = { s: 'select', a: 'aim', m: 'move' }

/** A button of the proposal that has the focus answers Enter itself. */
function isInProposal(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.closest('[data-proposal]') !== null
}

export function useFocusKeys(
  plan: () => PlanKeys | null,
  startEntry: (digit: string) => void,
  stepCue: (by: 1 | -1) => void,
) {
  const store = useShow()
  const desk = useDesk()
  const selection = useSelection()
  const proposal = useProposal()

  /** On a stage aim the place moves; raw angles turn. */
  function nudge(by: { x: number; y: number }, isFine: boolean) {
    const fixtures = [...selection.fixtures]
    const step = isFine ? FINE : COARSE
    const isAimed = fixtures.some((id) => desk.seen(id)?.positionValue?.kind === 'aim')
    if (isAimed) return store.send('nudgeAim', { fixtures, by: vec3(by.x * step.metres, by.y * step.metres, 0) })
    const turn = (amount: number) => (amount === 0 ? null : ({ how: 'by', degrees: amount * step.degrees } as const))
    return store.send('turnHeads', { fixtures, pan: turn(by.x), tilt: turn(by.y) })
  }

  function escape() {
    if (plan()?.cancel()) return
    if (proposal.current) proposal.putBack()
    else if (desk.tool !== 'select') desk.tool = 'select'
    else selection.clear()
  }

  function onArrow(event: KeyboardEvent, by: { x: number; y: number }) {
    event.preventDefault()
    if (selection.fixtures.length > 0) void nudge(by, event.shiftKey)
    else plan()?.panBy(-by.x * PAN, by.y * PAN)
  }

  const acts: Readonly<Record<string, () => void>> = {
    Escape: escape,
    f: () => plan()?.fit(),
    '+': () => plan()?.zoomIn(),
    '=': () => plan()?.zoomIn(),
    '-': () => plan()?.zoomOut(),
    PageDown: () => stepCue(1),
    PageUp: () => stepCue(-1),
  }

  useEventListener('keydown', (event) => {
    if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
    const arrow = ARROWS[event.key]
    const tool = TOOLS[event.key.toLowerCase()]
    const act = acts[event.key] ?? acts[event.key.toLowerCase()]
    if (/^\d$/.test(event.key)) {
      event.preventDefault()
      startEntry(event.key)
    } else if (event.key === 'Enter') {
      if (!proposal.current?.settled || isInProposal(event.target)) return
      event.preventDefault()
      void proposal.keep()
    } else if (arrow) onArrow(event, arrow)
    else if (tool) desk.tool = tool
    else if (act) {
      event.preventDefault()
      act()
    }
  })
}
