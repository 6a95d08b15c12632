/** All commands by name: what the server runs, the app previews and scripts use. */
import { addCueList } from './addCueList'
import { addSetPiece } from './addSetPiece'
import { addTarget } from './addTarget'
import { addVenue } from './addVenue'
import { aimAtTarget } from './aimAtTarget'
import { beginShow } from './beginShow'
import { clearHand } from './clearHand'
import { environmentFor, type Outcome } from './command'
import { goToCue } from './goToCue'
import { importRig } from './importRig'
import { joinShow } from './joinShow'
import { moveHang } from './moveHang'
import { moveSetPiece } from './moveSetPiece'
import { moveTarget } from './moveTarget'
import { nudgeAim } from './nudgeAim'
import { recallPalette } from './recallPalette'
import { recordCue } from './recordCue'
import { recordGroup } from './recordGroup'
import { recordPalette } from './recordPalette'
import { setTake } from './setTake'
import { setValue } from './setValue'
import { switchVenue } from './switchVenue'
import { turnHeads } from './turnHeads'
import type { CommandId, PersonId } from '../show/ids'
import type { Show } from '../show/show'
import type { z } from 'zod'

export const COMMANDS = {
  addCueList,
  addSetPiece,
  addTarget,
  addVenue,
  aimAtTarget,
  beginShow,
  clearHand,
  goToCue,
  importRig,
  joinShow,
  moveHang,
  moveSetPiece,
  moveTarget,
  nudgeAim,
  recallPalette,
  recordCue,
  recordGroup,
  recordPalette,
  setTake,
  setValue,
  switchVenue,
  turnHeads,
} as const

export type CommandName = keyof typeof COMMANDS
export type CommandInput<N extends CommandName> = z.infer<(typeof COMMANDS)[N]['input']>

export function isCommandName(name: string): name is CommandName {
  return Object.hasOwn(COMMANDS, name)
}

/** Runs a command by name on arguments from outside. */
export function runCommand(show: Show, name: CommandName, input: unknown, id: CommandId, person: PersonId): Outcome {
  return COMMANDS[name].attempt(show, input, environmentFor(id, person))
}
