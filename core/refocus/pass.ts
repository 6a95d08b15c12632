/** A pass: which palettes are checked on the real stage, how far each has come, and how long the rest will take. */
import { group } from 'd3-array'
import { LEADING } from '../attributes/catalogue'
import { HOME, type Pose } from '../kinematics/head'
import { checkedWith, missingHere } from '../palettes/placed'
import { resolveValue, type PaletteKind } from '../palettes/resolve'
import { solvePosition } from '../palettes/solve'
import { versionOf } from '../palettes/versions'
import { isAlike } from '../show/isAlike'
import { touchUpsOf } from '../palettes/touchUps'
import { passCheckId, passStepId } from '../show/compositeIds'
import { derived } from '../show/derived'
import type { Pass, PassCheck } from '../show/entities'
import { asPassId, asPersonId, type FixtureId, type PaletteId, type PassId, type PersonId } from '../show/ids'
import type { RiggedFixture } from '../show/rig'
import { showRecordOf, type ShowPart } from '../show/show'
import { stageOf, type StageKind } from '../venue/stage'
import { PASS_ORDER_KINDS, passOrder, type PaletteToCheck } from './passOrder'

/** Where a palette of a pass stands. */
export const PASS_STATES = [
  'to do',
  'right as solved',
  'touched up',
  'needs another look',
  'cannot be done here',
] as const
export type PassState = (typeof PASS_STATES)[number]

/** A fixture of a palette of a pass: still to be looked at, found right, or turned since then. */
export interface PassFixture {
  readonly fixture: FixtureId
  readonly state: 'to do' | 'right' | 'turned since'
  readonly isTouchedUp: boolean
}

/** A palette of a pass. */
export interface PassLine {
  readonly palette: PaletteId
  readonly state: PassState
  readonly fixtures: readonly PassFixture[]
  /** Those it is meant for that do not hang here. */
  readonly missing: readonly FixtureId[]
  readonly note: string
  /** Who has taken it now. */
  readonly takenBy: PersonId | null
  /** How many cues use it. */
  readonly cues: number
  /** When the last of its fixtures was found right, milliseconds; null while any is left. */
  readonly doneAt: number | null
}

export interface PassInPlay {
  readonly id: PassId
  readonly pass: Pass
  /** In the order they are checked; those no cue uses come after all others. */
  readonly lines: readonly PassLine[]
}

/** The pass of the venue in play; null where none has been begun. */
export function passInPlay(show: ShowPart<'pass' | 'show'>): { readonly id: PassId; readonly pass: Pass } | null {
  const { venue } = showRecordOf(show)
  const pass = show.all.pass.get(venue)
  return pass ? { id: asPassId(venue), pass } : null
}

/** As far apart as this the axes have been turned since a check, degrees: more than a correction nobody sees. */
const TURNED = 0.25

/** How a palette turns a fixture here, degrees. */
export function poseBy(show: ShowPart<PaletteKind | StageKind>, palette: PaletteId, rigged: RiggedFixture): Pose {
  const { value } = resolveValue(show, rigged, LEADING.place, { kind: 'link', palette })
  return solvePosition(rigged.mount, stageOf(show), value, HOME).pose
}

const PASS_KINDS = ['person', 'pass', 'passCheck', 'touchUp', ...PASS_ORDER_KINDS] as const
type PassShow = ShowPart<(typeof PASS_KINDS)[number]>

/** The pass of the venue in play with every palette in it; null where none has been begun. */
export const passOf = derived(PASS_KINDS, (show): PassInPlay | null => {
  const found = passInPlay(show)
  if (!found) return null
  const { id, pass } = found
  const taken = takenPalettes(show)
  const lines = passOrder(show, pass.order).map((one) => knownLine(show, id, one, taken.get(one.palette) ?? null))
  return { id, pass, lines }
})

/** By whom palettes are taken. */
export function takenPalettes(show: ShowPart<'person'>): ReadonlyMap<PaletteId, PersonId> {
  const found = new Map<PaletteId, PersonId>()
  for (const [id, { checking }] of show.all.person) if (checking !== null) found.set(checking, asPersonId(id))
  return found
}

/** The newest line of a palette, and all that it was worked out from. */
const knownLines = new Map<string, { readonly from: readonly unknown[]; readonly line: PassLine }>()

/** A line, the same object as last time where nothing it goes by has changed: a check or a nudge changes one. */
function knownLine(
  show: PassShow,
  pass: PassId,
  { palette, cues }: PaletteToCheck,
  takenBy: PersonId | null,
): PassLine {
  const id = passStepId(pass, palette)
  const step = show.all.passStep.get(id)
  const gives = versionOf(show, { kind: 'link', palette })
  const from = [step, checksOf(show).get(id), checkedWith(show, palette), gives, stageOf(show), cues, takenBy]
  const known = knownLines.get(id)
  if (known && isAlike(known.from, from)) return known.line
  const line = lineOf(show, pass, palette, cues, takenBy)
  knownLines.set(id, { from, line })
  return line
}

/** When fixtures were checked, by the palette of a pass; the same arrays as long as they are the same. */
const checksOf = derived(['passCheck'], (show): ReadonlyMap<string, readonly PassCheck[]> => {
  const found = group(show.all.passCheck.values(), ({ pass, palette }) => passStepId(pass, palette))
  for (const [id, checks] of found) {
    const then = newestChecks.get(id)
    if (then && isAlike(then, checks)) found.set(id, then)
  }
  newestChecks = found
  return found
})
let newestChecks: Map<string, PassCheck[]> = new Map()

function lineOf(show: PassShow, pass: PassId, palette: PaletteId, cues: number, takenBy: PersonId | null): PassLine {
  const step = show.all.passStep.get(passStepId(pass, palette))
  const checked = checkedWith(show, palette)
  const fixtures = checked.map((rigged) => fixtureOf(show, pass, palette, rigged))
  const times = checked.flatMap(({ id }) => show.all.passCheck.get(passCheckId(pass, palette, id))?.at ?? [])
  const isDone = fixtures.every(({ state }) => state === 'right')
  return {
    palette,
    fixtures,
    cues,
    missing: missingHere(show, palette),
    state: stateOf(step?.mark ?? null, fixtures),
    note: step?.note ?? '',
    takenBy,
    doneAt: isDone && times.length > 0 ? Math.max(...times) : null,
  }
}

function fixtureOf(show: PassShow, pass: PassId, palette: PaletteId, rigged: RiggedFixture): PassFixture {
  const check = show.all.passCheck.get(passCheckId(pass, palette, rigged.id))
  const { venue } = showRecordOf(show)
  const isTouchedUp = touchUpsOf(show, palette, rigged.id).some((one) => one.venue === venue)
  const of = (state: PassFixture['state']) => ({ fixture: rigged.id, state, isTouchedUp })
  if (!check) return of('to do')
  const { pan, tilt } = poseBy(show, palette, rigged)
  return of(Math.max(Math.abs(pan - check.pan), Math.abs(tilt - check.tilt)) > TURNED ? 'turned since' : 'right')
}

function stateOf(mark: 'another look' | 'cannot be done' | null, fixtures: readonly PassFixture[]): PassState {
  if (mark === 'cannot be done') return 'cannot be done here'
  if (mark === 'another look' || fixtures.some(({ state }) => state === 'turned since')) return 'needs another look'
  if (fixtures.length === 0) return 'cannot be done here'
  if (fixtures.some(({ state }) => state === 'to do')) return 'to do'
  return fixtures.some(({ isTouchedUp }) => isTouchedUp) ? 'touched up' : 'right as solved'
}

/** How far a pass has come. */
export interface PassProgress {
  readonly done: number
  readonly all: number
  /** At the pace so far; null while too few are done to tell, or none is left. */
  readonly minutesLeft: number | null
}

/** More than this between two palettes was a break, milliseconds. */
const BREAK = 15 * 60_000
/** So many palettes must have been done for a pace. */
const ENOUGH = 3

const isSettled = ({ state }: PassLine) => state !== 'to do' && state !== 'needs another look'

/** How far a pass has come among palettes that cues use; its pace is the median time from one palette to the next. */
export function passProgress(lines: readonly PassLine[]): PassProgress {
  const used = lines.filter(({ cues }) => cues > 0)
  const done = used.filter(isSettled).length
  const times = used.flatMap(({ doneAt }) => doneAt ?? []).sort((a, b) => a - b)
  const gaps = times.slice(1).map((at, i) => at - (times[i] ?? at))
  const worked = gaps.filter((gap) => gap <= BREAK).sort((a, b) => a - b)
  const pace = times.length >= ENOUGH ? worked[Math.floor(worked.length / 2)] : undefined
  const left = used.length - done
  return {
    done,
    all: used.length,
    minutesLeft: pace && left > 0 ? Math.max(1, Math.round((pace * left) / 60_000)) : null,
  }
}

/** The palette to check after another: the next that is left, from there on and then from the first; null when none is. */
export function nextToCheck(lines: readonly PassLine[], after: PaletteId | null, person: PersonId): PaletteId | null {
  const at = lines.findIndex(({ palette }) => palette === after)
  const inTurn = [...lines.slice(at + 1), ...lines.slice(0, at + 1)]
  const isFree = ({ takenBy }: PassLine) => takenBy === null || takenBy === person
  return inTurn.find((line) => !isSettled(line) && line.palette !== after && isFree(line))?.palette ?? null
}
