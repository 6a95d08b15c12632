/** How controls are listened to. */
import { LOOPBACK, type ControlLine } from './entities'
import { CONTROL_LINE } from './ids'
import type { ShowPart } from './show'

const USUAL: ControlLine = {
  isOn: false,
  from: LOOPBACK,
  port: 8765,
  person: null,
  answerTo: [],
  answerPort: 8766,
}

/** The show's line of controls; off, and on this machine alone, where nothing is said. */
export function controlLineOf(show: ShowPart<'controlLine'>): ControlLine {
  return show.all.controlLine.get(CONTROL_LINE) ?? USUAL
}
