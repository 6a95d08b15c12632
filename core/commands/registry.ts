/** All commands by name: what the server runs, the app previews and scripts use. */
import { deleteUnderlay } from './venue/deleteUnderlay'
import { deleteVenue } from './venue/deleteVenue'
import { setInVenues } from './venue/setInVenues'
import { touchUp } from './refocus/touchUp'
import { clearTouchUps } from './refocus/clearTouchUps'
import { noteTouchUps } from './refocus/noteTouchUps'
import { addOutput } from './output/addOutput'
import { changeOutput } from './output/changeOutput'
import { setTracking } from './outside/setTracking'
import { followTracker } from './outside/followTracker'
import { stopFollowing } from './outside/stopFollowing'
import { setControlLine } from './outside/setControlLine'
import { bindControl } from './outside/bindControl'
import { unbindControls } from './outside/unbindControls'
import { deleteOutput } from './output/deleteOutput'
import { makeTouchUpsGood } from './refocus/makeTouchUpsGood'
import { moveTargetByTouchUps } from './refocus/moveTargetByTouchUps'
import { keepOffsetHere } from './refocus/keepOffsetHere'
import { trueUp } from './refocus/trueUp'
import { changeSightings } from './survey/changeSightings'
import { correctRig } from './survey/correctRig'
import { noteSighting } from './survey/noteSighting'
import { steerOnto } from './survey/steerOnto'
import { surveyTargets } from './survey/surveyTargets'
import { tieToStage } from './refocus/tieToStage'
import { takeOverValues } from './refocus/takeOverValues'
import { correctPalette } from './refocus/correctPalette'
import { resizeInPalette } from './refocus/resizeInPalette'
import { beginPass } from './passes/beginPass'
import { changePass } from './passes/changePass'
import { endPass } from './passes/endPass'
import { orderPass } from './passes/orderPass'
import { checkPalette } from './passes/checkPalette'
import { releasePalette } from './passes/releasePalette'
import { confirmInPass } from './passes/confirmInPass'
import { markInPass } from './passes/markInPass'
import { noteInPass } from './passes/noteInPass'
import { noteCue } from './passes/noteCue'
import { settleCueNotes } from './passes/settleCueNotes'
import { addCueList } from './cues/addCueList'
import { addHang } from './rig/addHang'
import { addLayer } from './venue/addLayer'
import { addSetPiece } from './venue/addSetPiece'
import { addTarget } from './venue/addTarget'
import { addType } from './rig/addType'
import { addVenue } from './venue/addVenue'
import { aimAtTarget } from './hand/aimAtTarget'
import { beginShow } from './show/beginShow'
import { changeFixtures } from './rig/changeFixtures'
import { changeGroup } from './selection/changeGroup'
import { changeHang } from './rig/changeHang'
import { changeLayer } from './venue/changeLayer'
import { changePalette } from './palettes/changePalette'
import { changeSetPiece } from './venue/changeSetPiece'
import { changeTarget } from './venue/changeTarget'
import { changeType } from './rig/changeType'
import { changeValues } from './hand/changeValues'
import { changeUnderlay } from './venue/changeUnderlay'
import { changeVenue } from './venue/changeVenue'
import { clearHand } from './hand/clearHand'
import { copyFixtures } from './rig/copyFixtures'
import { copyHang } from './rig/copyHang'
import { copyPalette } from './palettes/copyPalette'
import { copyValues } from './hand/copyValues'
import { deleteFixtures } from './rig/deleteFixtures'
import { deleteGroup } from './selection/deleteGroup'
import { deleteHang } from './rig/deleteHang'
import { deleteLayer } from './venue/deleteLayer'
import { deletePalettes } from './palettes/deletePalettes'
import { mergePalettes } from './palettes/mergePalettes'
import { deleteSetPiece } from './venue/deleteSetPiece'
import { deleteTarget } from './venue/deleteTarget'
import { deleteType } from './rig/deleteType'
import { forgetFile } from './rig/forgetFile'
import { deleteWorkingSet } from './selection/deleteWorkingSet'
import { dropPalette } from './palettes/dropPalette'
import { keepPalette } from './palettes/keepPalette'
import { openPalette } from './palettes/openPalette'
import { extendToGroup } from './palettes/extendToGroup'
import { fanAims } from './hand/fanAims'
import { fanValues } from './hand/fanValues'
import { freeSpread } from './palettes/freeSpread'
import { spreadPalette } from './palettes/spreadPalette'
import { goHome } from './hand/goHome'
import { goNeutral } from './hand/goNeutral'
import { goToCue } from './cues/goToCue'
import { insertCue } from './cues/insertCue'
import { importPalettes } from './palettes/importPalettes'
import { importTables } from './show/importTables'
import { takeRig } from './rig/takeRig'
import { joinShow } from './show/joinShow'
import { makePalettesFromTargets } from './palettes/makePalettesFromTargets'
import { makePalettesFromType } from './palettes/makePalettesFromType'
import { mirrorHang } from './rig/mirrorHang'
import { moveHang } from './rig/moveHang'
import { moveSetPiece } from './venue/moveSetPiece'
import { moveTarget } from './venue/moveTarget'
import { nudgeAim } from './hand/nudgeAim'
import { orderGroups } from './selection/orderGroups'
import { pasteFixtures } from './rig/pasteFixtures'
import { patchFixtures } from './rig/patchFixtures'
import { placeFixtures } from './rig/placeFixtures'
import { placePalette } from './palettes/placePalette'
import { recallPalette } from './hand/recallPalette'
import { takeOffPalette } from './hand/takeOffPalette'
import { recordCue } from './cues/recordCue'
import { recordGroup } from './selection/recordGroup'
import { recordPalette } from './palettes/recordPalette'
import { recordWorkingSet } from './selection/recordWorkingSet'
import { removeFromPalette } from './palettes/removeFromPalette'
import { removePerson } from './show/removePerson'
import { renamePerson } from './show/renamePerson'
import { renumberFixtures } from './rig/renumberFixtures'
import { setBlind } from './hand/setBlind'
import { setHighlight } from './hand/setHighlight'
import { setNeutral } from './hand/setNeutral'
import { setPaletteRole } from './palettes/setPaletteRole'
import { setShelfMask } from './palettes/setShelfMask'
import { setTake } from './hand/setTake'
import { changeShow } from './show/changeShow'
import { notePrint } from './show/notePrint'
import { acceptSweeps } from './cues/acceptSweeps'
import { insertDarkCue } from './cues/insertDarkCue'
import { insertDarkMoment } from './cues/insertDarkMoment'
import { setDarkMoves } from './cues/setDarkMoves'
import { setWays } from './cues/setWays'
import { stripDarkMoves } from './cues/stripDarkMoves'
import { judgeSweepsAgain } from './cues/judgeSweepsAgain'
import { importSwatches } from './palettes/importSwatches'
import { removeSwatches } from './palettes/removeSwatches'
import { setColour } from './hand/setColour'
import { setValue } from './hand/setValue'
import { splitPalette } from './palettes/splitPalette'
import { storeInPalette } from './palettes/storeInPalette'
import { stripTimes } from './cues/stripTimes'
import { switchVenue } from './venue/switchVenue'
import { takeFromCue } from './hand/takeFromCue'
import { takeCues } from './cues/takeCues'
import { takeReceived } from './hand/takeReceived'
import { takeFromStage } from './hand/takeFromStage'
import { turnHeads } from './hand/turnHeads'
import { turnOtherSide } from './hand/turnOtherSide'
import { updatePalettes } from './palettes/updatePalettes'
import { changeCueList } from './cues/changeCueList'
import { deleteCueList } from './cues/deleteCueList'
import { changeCues } from './cues/changeCues'
import { copyCues } from './cues/copyCues'
import { deleteCues } from './cues/deleteCues'
import { moveCues } from './cues/moveCues'
import { setCueTimes } from './cues/setCueTimes'
import { blockInCues } from './cues/blockInCues'
import { cleanUpCues } from './cues/cleanUpCues'
import { copyInCues } from './cues/copyInCues'
import { setNumberInCues } from './cues/setNumberInCues'
import { setPaletteInCues } from './cues/setPaletteInCues'
import { setRestInCues } from './cues/setRestInCues'
import { takeOutOfCues } from './cues/takeOutOfCues'
import { unblockInCues } from './cues/unblockInCues'
import { keepingOutOf } from './keepingOut'
import { followAgain } from './cues/followAgain'
import { linkLoose } from './cues/linkLoose'
import { replaceFixture } from './rig/replaceFixture'
import { replacePaletteInCues } from './cues/replacePaletteInCues'
import { followOn } from './cues/followOn'
import { goBack } from './cues/goBack'
import { goOn } from './cues/goOn'
import { pauseList } from './cues/pauseList'
import { setMaster } from './cues/setMaster'
import { restoreShow } from './show/restoreShow'
import { storeInCue } from './cues/storeInCue'
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
  changeUnderlay,
  changeVenue,
  deleteUnderlay,
  deleteVenue,
  setInVenues,
  touchUp,
  clearTouchUps,
  noteTouchUps,
  addOutput,
  changeOutput,
  deleteOutput,
  makeTouchUpsGood,
  moveTargetByTouchUps,
  keepOffsetHere,
  correctPalette,
  takeOverValues,
  tieToStage,
  trueUp,
  changeSightings,
  correctRig,
  noteSighting,
  steerOnto,
  surveyTargets,
  resizeInPalette,
  beginPass,
  changePass,
  endPass,
  orderPass,
  checkPalette,
  releasePalette,
  confirmInPass,
  markInPass,
  noteInPass,
  noteCue,
  settleCueNotes,
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
  forgetFile,
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
  importTables,
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
  setTracking,
  followTracker,
  stopFollowing,
  setControlLine,
  bindControl,
  unbindControls,
  setPaletteInCues,
  setPaletteRole,
  setRestInCues,
  setShelfMask,
  setTake,
  changeShow,
  notePrint,
  acceptSweeps,
  judgeSweepsAgain,
  setDarkMoves,
  setWays,
  stripDarkMoves,
  insertDarkCue,
  insertDarkMoment,
  importSwatches,
  removeSwatches,
  setColour,
  setValue,
  splitPalette,
  spreadPalette,
  storeInCue,
  storeInPalette,
  stripTimes,
  switchVenue,
  takeRig,
  takeFromCue,
  takeFromStage,
  takeCues,
  takeReceived,
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
