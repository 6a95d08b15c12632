/** What of a show cannot be watched as it is meant: every step of every fixture in every list. */
import { LEADING } from '../attributes/catalogue'
import { atRest } from '../cues/atRest'
import { timesOf } from '../cues/times'
import { listsInOrder, type ListInOrder } from '../cues/tracking'
import { fixtureNumber } from '../show/cells'
import type { CueId, FixtureId } from '../show/ids'
import { rigOf, type RiggedFixture } from '../show/rig'
import { showRecordOf, type Show } from '../show/show'
import { targetsOf } from '../show/targets'
import { surfacesOf } from '../venue/surfaces'
import { levelElsewhere, pointsOf, stepsOf } from './course'
import { tooFast, type TooFast } from './motors'
import { PaletteVersions } from './paletteVersions'
import { sweepsOf, type Sweep } from './sweep'
import { zonesOf } from './zones'

/** What is wrong with what a cue does with a fixture; one of the two at least. */
export interface StepFault {
  readonly cue: CueId
  readonly fixture: FixtureId
  readonly tooFast: TooFast | null
  readonly sweeps: readonly Sweep[]
}

/** How far a check has come. */
export interface Progress {
  readonly done: number
  readonly all: number
}

interface Known {
  readonly inputs: readonly unknown[]
  readonly faults: readonly StepFault[]
}

/** Checks a show, and again as it changes: what a fixture does is looked at anew only where something it goes by is another. */
export class TravelCheck {
  #known = new Map<string, Known>()
  readonly #palettes = new PaletteVersions()

  #checked(show: Show, list: ListInOrder, rigged: RiggedFixture, known: Known | undefined): Known {
    const inputs = this.#inputsOf(show, list, rigged)
    const isSame = known?.inputs.length === inputs.length && inputs.every((input, i) => input === known.inputs[i])
    return isSame ? known : { inputs, faults: faultsOf(show, list, rigged) }
  }

  /** Everything the steps of a fixture go by; the same objects as long as nothing of it changes. */
  #inputsOf(show: Show, list: ListInOrder, rigged: RiggedFixture): readonly unknown[] {
    const { travel } = showRecordOf(show)
    const ofList = [list.list.travel, levelElsewhere(show, list.id, rigged.id)]
    const rest = [LEADING.place, LEADING.width, LEADING.light].map((attribute) => atRest(show, rigged, attribute))
    const inputs: unknown[] = [rigged, surfacesOf(show), zonesOf(show), targetsOf(show), travel, ...ofList, ...rest]
    for (const points of pointsOf(show, list.id, rigged))
      for (const { at, stored } of points)
        inputs.push(at === 0, stored, list.cues[at]?.cue, timesOf(show, stored.cue), this.#palettes.of(stored.value))
    return inputs
  }

  /** Yields after each fixture; returns all that is wrong, in the order of lists, cues and fixtures. */
  *run(show: Show): Generator<Progress, readonly StepFault[]> {
    this.#palettes.follow(show)
    const lists = listsInOrder(show)
    const rig = [...rigOf(show).values()]
    const all = lists.length * rig.length
    const known = new Map<string, Known>()
    let done = 0
    const found: StepFault[] = []
    for (const list of lists) {
      const ofList: StepFault[] = []
      for (const rigged of rig) {
        const key = `${list.id} ${rigged.id}`
        const now = this.#checked(show, list, rigged, this.#known.get(key))
        known.set(key, now)
        ofList.push(...now.faults)
        done += 1
        yield { done, all }
      }
      const at = new Map(list.cues.map(({ id }, i) => [id, i]))
      found.push(...ofList.sort((a, b) => (at.get(a.cue) ?? 0) - (at.get(b.cue) ?? 0)))
    }
    this.#known = known
    return found
  }
}

function faultsOf(show: Show, list: ListInOrder, rigged: RiggedFixture): readonly StepFault[] {
  const [surfaces, zones] = [surfacesOf(show), zonesOf(show)]
  return stepsOf(show, list, rigged).flatMap((step) => {
    const fault = { tooFast: tooFast(step, surfaces), sweeps: sweepsOf(step, zones, surfaces) }
    return fault.tooFast || fault.sweeps.length > 0 ? [{ cue: step.cue, fixture: rigged.id, ...fault }] : []
  })
}

/** Where something was found, as people call list, cue and fixture. */
interface Where {
  readonly list: string
  readonly cue: number
  readonly fixture: string
}

/** What is wrong, with list, cue and fixture as people call them; numbers as in `TooFast` and `Sweep`. */
export interface TravelFindings {
  readonly tooFast: readonly (Where & Omit<TooFast, 'fixture'>)[]
  readonly sweeps: readonly (Where & Sweep)[]
}

/** Everything that is wrong with the moves of a show, in the order they play in. */
export function travelFindings(show: Show): TravelFindings {
  const run = new TravelCheck().run(show)
  let step = run.next()
  while (!step.done) step = run.next()
  const faults = step.value
  return {
    tooFast: faults.flatMap(({ tooFast: found, ...fault }) => {
      return found ? [{ ...found, ...whereOf(show, fault) }] : []
    }),
    sweeps: faults.flatMap(({ sweeps, ...fault }) => sweeps.map((sweep) => ({ ...whereOf(show, fault), ...sweep }))),
  }
}

function whereOf(show: Show, { cue, fixture }: Pick<StepFault, 'cue' | 'fixture'>): Where {
  const [record, lit] = [show.all.cue.get(cue), show.all.fixture.get(fixture)]
  const list = record && show.all.cueList.get(record.list)
  return { list: list?.name ?? '', cue: record?.number ?? NaN, fixture: lit ? fixtureNumber(lit) : '' }
}
