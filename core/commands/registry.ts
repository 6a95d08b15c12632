/** All commands by name: what the server runs, the app previews and scripts use. */
import { addCueList } from './addCueList'
import { addHang } from './addHang'
import { addLayer } from './addLayer'
import { addSetPiece } from './addSetPiece'
import { addTarget } from './addTarget'
import { addType } from './addType'
import { addVenue } from './addVenue'
import { aimAtTarget } from './aimAtTarget'
import { beginShow } from './beginShow'
import { changeFixtures } from './changeFixtures'
import { changeGroup } from './changeGroup'
import { changeHang } from './changeHang'
import { changeLayer } from './changeLayer'
import { changeSetPiece } from './changeSetPiece'
import { changeTarget } from './changeTarget'
import { changeType } from './changeType'
import { changeValues } from './changeValues'
import { changeVenue } from './changeVenue'
import { clearHand } from './clearHand'
import { copyFixtures } from './copyFixtures'
import { copyHang } from './copyHang'
import { copyValues } from './copyValues'
import { deleteFixtures } from './deleteFixtures'
import { deleteGroup } from './deleteGroup'
import { deleteHang } from './deleteHang'
import { deleteLayer } from './deleteLayer'
import { deleteSetPiece } from './deleteSetPiece'
import { deleteTarget } from './deleteTarget'
import { deleteType } from './deleteType'
import { deleteWorkingSet } from './deleteWorkingSet'
import { extendToGroup } from './extendToGroup'
import { fanAims } from './fanAims'
import { fanValues } from './fanValues'
import { goHome } from './goHome'
import { goNeutral } from './goNeutral'
import { goToCue } from './goToCue'
import { importRig } from './importRig'
import { joinShow } from './joinShow'
import { mirrorHang } from './mirrorHang'
import { moveHang } from './moveHang'
import { moveSetPiece } from './moveSetPiece'
import { moveTarget } from './moveTarget'
import { nudgeAim } from './nudgeAim'
import { orderGroups } from './orderGroups'
import { pasteFixtures } from './pasteFixtures'
import { patchFixtures } from './patchFixtures'
import { placeFixtures } from './placeFixtures'
import { recallPalette } from './recallPalette'
import { recordCue } from './recordCue'
import { recordGroup } from './recordGroup'
import { recordPalette } from './recordPalette'
import { recordWorkingSet } from './recordWorkingSet'
import { renumberFixtures } from './renumberFixtures'
import { setBlind } from './setBlind'
import { setHighlight } from './setHighlight'
import { setNeutral } from './setNeutral'
import { setTake } from './setTake'
import { setValue } from './setValue'
import { switchVenue } from './switchVenue'
import { takeFromCue } from './takeFromCue'
import { takeFromStage } from './takeFromStage'
import { turnHeads } from './turnHeads'
import { turnOtherSide } from './turnOtherSide'
import { environmentFor, type Outcome } from './command'
import type { CommandId, PersonId } from '../show/ids'
import type { Show } from '../show/show'
import type { z } from 'zod'

export const COMMANDS = {
  addCueList,
  addHang,
  addLayer,
  addSetPiece,
  addTarget,
  addType,
  addVenue,
  aimAtTarget,
  beginShow,
  changeFixtures,
  changeGroup,
  changeHang,
  changeLayer,
  changeSetPiece,
  changeTarget,
  changeType,
  changeValues,
  changeVenue,
  clearHand,
  copyFixtures,
  copyHang,
  copyValues,
  deleteFixtures,
  deleteGroup,
  deleteHang,
  deleteLayer,
  deleteSetPiece,
  deleteTarget,
  deleteType,
  deleteWorkingSet,
  extendToGroup,
  fanAims,
  fanValues,
  goHome,
  goNeutral,
  goToCue,
  importRig,
  joinShow,
  mirrorHang,
  moveHang,
  moveSetPiece,
  moveTarget,
  nudgeAim,
  orderGroups,
  pasteFixtures,
  patchFixtures,
  placeFixtures,
  recallPalette,
  recordCue,
  recordGroup,
  recordPalette,
  recordWorkingSet,
  renumberFixtures,
  setBlind,
  setHighlight,
  setNeutral,
  setTake,
  setValue,
  switchVenue,
  takeFromCue,
  takeFromStage,
  turnHeads,
  turnOtherSide,
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
