/** The keys of the Focus room. Letters and digits begin a selection; arrows nudge what is selected. */
import { listsInOrder } from '#core/cues/tracking'
import { vec3 } from '#core/geometry/vector'
import { useCopied } from '../../stores/copied'
import { useStage } from '../../stores/stage'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import { useBlind } from '../hand/useBlind'
import { useHighlight } from '../hand/useHighlight'
import { useStageKeys, type StageKeys } from './useStageKeys'

/** Metres and degrees an arrow key nudges by, and with Shift. */
const COARSE = { metres: 0.1, degrees: 1 }
const FINE = { metres: 0.01, degrees: 0.1 }

export function useFocusKeys(
  drawing: () => StageKeys | null,
  startEntry: (key: string) => void,
  stepCue: (by: 1 | -1) => void,
) {
  const store = useShow()
  const stage = useStage()
  const selection = useSelection()
  const highlight = useHighlight()
  const blind = useBlind()
  const copied = useCopied()

  /** On a stage aim the place moves; raw angles turn. */
  function nudge(by: { readonly x: number; readonly y: number }, isFine: boolean): boolean {
    const fixtures = [...selection.fixtures]
    if (fixtures.length === 0) return false
    const step = isFine ? FINE : COARSE
    const turn = (amount: number) => (amount === 0 ? null : ({ how: 'by', degrees: amount * step.degrees } as const))
    if (fixtures.some((id) => stage.seen(id)?.positionValue?.kind === 'aim'))
      void store.send('nudgeAim', { fixtures, by: vec3(by.x * step.metres, by.y * step.metres, 0) })
    else void store.send('turnHeads', { fixtures, pan: turn(by.x), tilt: turn(by.y) })
    return true
  }

  /** Runs the first list, which the stepper over the stage shows. */
  function run(name: 'goOn' | 'goBack' | 'pauseList') {
    const list = store.view && listsInOrder(store.view)[0]
    if (list) void store.send(name, { list: list.id })
  }

  useStageKeys(drawing, {
    arrow: nudge,
    typed: startEntry,
    acts: {
      'select tool': () => (stage.tool = 'select'),
      'lasso tool': () => (stage.tool = 'lasso'),
      'aim tool': () => (stage.tool = 'aim'),
      'move tool': () => (stage.tool = 'move'),
      'type a selection': () => startEntry(''),
      'next subset': () => selection.stepBy(1),
      'previous subset': () => selection.stepBy(-1),
      'whole selection': selection.backToWhole,
      'last selection': selection.goBack,
      'next selection': selection.goOn,
      reverse: () => selection.bringInto('reverse'),
      invert: selection.invert,
      'same type': () => selection.addAlike('type'),
      'same hang': () => selection.addAlike('hang'),
      fan: () => (stage.isFanArmed = !stage.isFanArmed && selection.fixtures.length > 0),
      highlight: highlight.toggle,
      'other side': () => {
        if (selection.fixtures.length > 0)
          void store.send('turnOtherSide', { fixtures: [...selection.fixtures], how: 'other' })
      },
      neutral: () => {
        if (selection.fixtures.length > 0) void store.send('goNeutral', { fixtures: [...selection.fixtures] })
      },
      blind: () => blind.set(!blind.isBlind.value),
      'copy values': copied.copy,
      'paste links': () => void copied.paste('link'),
      'paste loose': () => void copied.paste('loose'),
      go: () => run('goOn'),
      back: () => run('goBack'),
      pause: () => run('pauseList'),
      'next cue': () => stepCue(1),
      'previous cue': () => stepCue(-1),
    },
  })
}
