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
import { changePalette } from './changePalette'
import { changeSetPiece } from './changeSetPiece'
import { changeTarget } from './changeTarget'
import { changeType } from './changeType'
import { changeValues } from './changeValues'
import { changeVenue } from './changeVenue'
import { clearHand } from './clearHand'
import { copyFixtures } from './copyFixtures'
import { copyHang } from './copyHang'
import { copyPalette } from './copyPalette'
import { copyValues } from './copyValues'
import { deleteFixtures } from './deleteFixtures'
import { deleteGroup } from './deleteGroup'
import { deleteHang } from './deleteHang'
import { deleteLayer } from './deleteLayer'
import { deletePalettes, mergePalettes } from './deletePalettes'
import { deleteSetPiece } from './deleteSetPiece'
import { deleteTarget } from './deleteTarget'
import { deleteType } from './deleteType'
import { deleteWorkingSet } from './deleteWorkingSet'
import { dropPalette, keepPalette, openPalette } from './editPalette'
import { extendToGroup } from './extendToGroup'
import { fanAims } from './fanAims'
import { fanValues } from './fanValues'
import { freeSpread, spreadPalette } from './spreadPalette'
import { goHome } from './goHome'
import { goNeutral } from './goNeutral'
import { goToCue } from './goToCue'
import { insertCue } from './insertCue'
import { importPalettes } from './importPalettes'
import { importRig } from './importRig'
import { joinShow } from './joinShow'
import { makePalettesFromTargets, makePalettesFromType } from './makePalettes'
import { mirrorHang } from './mirrorHang'
import { moveHang } from './moveHang'
import { moveSetPiece } from './moveSetPiece'
import { moveTarget } from './moveTarget'
import { nudgeAim } from './nudgeAim'
import { orderGroups } from './orderGroups'
import { pasteFixtures } from './pasteFixtures'
import { patchFixtures } from './patchFixtures'
import { placeFixtures } from './placeFixtures'
import { placePalette } from './placePalette'
import { recallPalette, takeOffPalette } from './recallPalette'
import { recordCue } from './recordCue'
import { recordGroup } from './recordGroup'
import { recordPalette } from './recordPalette'
import { recordWorkingSet } from './recordWorkingSet'
import { removeFromPalette } from './removeFromPalette'
import { removePerson } from './removePerson'
import { renamePerson } from './renamePerson'
import { renumberFixtures } from './renumberFixtures'
import { setBlind } from './setBlind'
import { setHighlight } from './setHighlight'
import { setNeutral } from './setNeutral'
import { setPaletteRole } from './setPaletteRole'
import { setShelfMask } from './setShelfMask'
import { setTake } from './setTake'
import { setValue } from './setValue'
import { splitPalette } from './splitPalette'
import { storeInPalette } from './storeInPalette'
import { stripTimes } from './stripTimes'
import { switchVenue } from './switchVenue'
import { takeFromCue } from './takeFromCue'
import { takeFromStage } from './takeFromStage'
import { turnHeads } from './turnHeads'
import { turnOtherSide } from './turnOtherSide'
import { updatePalettes } from './updatePalettes'
import { changeCueList, deleteCueList } from './changeCueList'
import { changeCues, copyCues, deleteCues, moveCues, setCueTimes } from './changeCues'
import {
  blockInCues,
  cleanUpCues,
  copyInCues,
  setNumberInCues,
  setPaletteInCues,
  setRestInCues,
  takeOutOfCues,
  unblockInCues,
} from './cueCells'
import { keepingOutOf } from './keepingOut'
import { followAgain, linkLoose } from './linkLoose'
import { replaceFixture, replacePaletteInCues } from './replaceInCues'
import { followOn, goBack, goOn, pauseList, setMaster } from './runList'
import { restoreShow } from './restoreShow'
import { storeInCue } from './storeInCue'
import { environmentFor, type Outcome } from './command'
import type { CommandId, PersonId } from '../show/ids'
import type { Show } from '../show/show'
import type { z } from 'zod'

const CHANGES = {
  addCueList,
  addHang,
  addLayer,
  addSetPiece,
  addTarget,
  addType,
  addVenue,
  aimAtTarget,
  beginShow,
  blockInCues,
  changeCueList,
  changeCues,
  changeFixtures,
  changeGroup,
  changeHang,
  changeLayer,
  changePalette,
  changeSetPiece,
  changeTarget,
  changeType,
  changeValues,
  changeVenue,
  cleanUpCues,
  clearHand,
  copyCues,
  copyFixtures,
  copyHang,
  copyInCues,
  copyPalette,
  copyValues,
  deleteCueList,
  deleteCues,
  deleteFixtures,
  deleteGroup,
  deleteHang,
  deleteLayer,
  deletePalettes,
  deleteSetPiece,
  deleteTarget,
  deleteType,
  deleteWorkingSet,
  dropPalette,
  extendToGroup,
  fanAims,
  fanValues,
  followAgain,
  followOn,
  freeSpread,
  goBack,
  goHome,
  goNeutral,
  goOn,
  goToCue,
  importPalettes,
  importRig,
  insertCue,
  joinShow,
  keepPalette,
  linkLoose,
  makePalettesFromTargets,
  makePalettesFromType,
  mergePalettes,
  mirrorHang,
  moveCues,
  moveHang,
  moveSetPiece,
  moveTarget,
  nudgeAim,
  openPalette,
  orderGroups,
  pasteFixtures,
  patchFixtures,
  pauseList,
  placeFixtures,
  placePalette,
  recallPalette,
  recordCue,
  recordGroup,
  recordPalette,
  recordWorkingSet,
  removeFromPalette,
  removePerson,
  renamePerson,
  renumberFixtures,
  replaceFixture,
  replacePaletteInCues,
  restoreShow,
  setBlind,
  setCueTimes,
  setHighlight,
  setMaster,
  setNeutral,
  setNumberInCues,
  setPaletteInCues,
  setPaletteRole,
  setRestInCues,
  setShelfMask,
  setTake,
  setValue,
  splitPalette,
  spreadPalette,
  storeInCue,
  storeInPalette,
  stripTimes,
  switchVenue,
  takeFromCue,
  takeFromStage,
  takeOffPalette,
  takeOutOfCues,
  turnHeads,
  turnOtherSide,
  unblockInCues,
  updatePalettes,
} as const

export const COMMANDS = {
  ...CHANGES,
  /** Any of the others with something kept out of it. */
  keepingOut: keepingOutOf((name) => (isChange(name) ? CHANGES[name] : null)),
} as const

export type CommandName = keyof typeof COMMANDS
export type CommandInput<N extends CommandName> = z.infer<(typeof COMMANDS)[N]['input']>

function isChange(name: string): name is keyof typeof CHANGES {
  return Object.hasOwn(CHANGES, name)
}

export function isCommandName(name: string): name is CommandName {
  return Object.hasOwn(COMMANDS, name)
}

/** Who asks for a command, and when by the server's clock, milliseconds since 1970. */
export interface Asking {
  readonly person: PersonId
  readonly now: number
}

/** Runs a command by name on arguments from outside. */
export function runCommand(show: Show, name: CommandName, input: unknown, id: CommandId, asking: Asking): Outcome {
  return COMMANDS[name].attempt(show, input, environmentFor(id, asking.person, asking.now))
}
