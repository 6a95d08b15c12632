/** What a rig does with the levels it hears: its heads turn and its wheels move as fast as they can, and no faster. */
import { isNumberAttribute, kindOf, type Attribute, type NumberAttribute } from '../attributes/attribute'
import { LEADING } from '../attributes/catalogue'
import { mechanicalPose } from '../kinematics/axesOff'
import { HOME, type Axis, type Pose } from '../kinematics/head'
import { receivedValues, type ReceivedValues } from '../output/received'
import type { Universes } from '../output/channelLevels'
import { rangeOf } from '../show/attributeRange'
import type { FixtureId } from '../show/ids'
import { rigOf, type RiggedFixture } from '../show/rig'
import { endToEndOf } from '../show/settleTime'
import type { Show } from '../show/show'
import type { PlainValue } from '../show/values'
import { chased, type AxisMotion } from '../kinematics/lag'
import { asHung } from './asHung'
import type { HiddenErrors } from './hiddenErrors'

/** What a head does as it stands: values by attribute, with how fast its axes turn, °/s. */
interface Standing {
  readonly values: Map<Attribute, PlainValue>
  pan: AxisMotion
  tilt: AxisMotion
}

export class StandInRig {
  /** The show it hangs by. */
  readonly show: Show
  readonly #standing = new Map<FixtureId, Standing>()
  #wanted: ReceivedValues = new Map()
  #heard: Universes = new Map()

  /** `drawn` is the show as it is drawn. */
  constructor(
    drawn: Show,
    private readonly errors: HiddenErrors,
  ) {
    this.show = asHung(drawn, errors)
  }

  /** Levels by universe of the show as they come in now; what nothing comes for stays as it is. */
  hear(universes: Universes): void {
    const isSame =
      universes.size === this.#heard.size && [...universes].every(([id, one]) => this.#heard.get(id) === one)
    if (isSame) return
    this.#heard = universes
    this.#wanted = new Map([...this.#wanted, ...receivedValues(this.show, universes)])
  }

  /** Goes on by some seconds, few enough for a smooth way; tells what stands otherwise than before. */
  step(seconds: number): ReceivedValues {
    const changed = new Map<FixtureId, ReadonlyMap<Attribute, PlainValue>>()
    for (const [id, wanted] of this.#wanted) {
      const rigged = rigOf(this.show).get(id)
      if (!rigged) continue
      const standing = this.#standing.get(id) ?? { values: new Map(), pan: STILL, tilt: STILL }
      this.#standing.set(id, standing)
      if (this.#moveOn(rigged, standing, wanted, seconds)) changed.set(id, seen(standing.values))
    }
    return changed
  }

  /** The same rig hung otherwise: its heads stay turned as they are. */
  hungAnew(drawn: Show, errors: HiddenErrors): StandInRig {
    const rig = new StandInRig(drawn, errors)
    for (const [id, standing] of this.#standing) rig.#standing.set(id, standing)
    return rig
  }

  /** Heads that are not where they were asked to be yet. */
  turning(): FixtureId[] {
    return [...this.#standing].flatMap(([id, { pan, tilt }]) => (pan.speed !== 0 || tilt.speed !== 0 ? [id] : []))
  }

  /** What every fixture does that anything came for. */
  values(): ReceivedValues {
    return new Map([...this.#standing].map(([id, { values }]) => [id, seen(values)]))
  }

  #moveOn(
    rigged: RiggedFixture,
    standing: Standing,
    wanted: ReadonlyMap<Attribute, PlainValue>,
    seconds: number,
  ): boolean {
    let isOther = false
    for (const [attribute, value] of wanted) {
      const before = standing.values.get(attribute)
      const after =
        value.kind === 'angles'
          ? this.#turned(rigged, standing, value, seconds)
          : moved(rigged, attribute, before ?? null, value, seconds)
      isOther ||= !isSame(before, after)
      standing.values.set(attribute, after)
    }
    return isOther
  }

  #turned({ id, type }: RiggedFixture, standing: Standing, asked: Pose, seconds: number): PlainValue {
    const pose = this.#mechanical(id, type, asked)
    standing.pan = turnedTo(pose.pan, standing.pan, type.pan, seconds)
    standing.tilt = turnedTo(pose.tilt, standing.tilt, type.tilt, seconds)
    return { kind: 'angles', pan: standing.pan.at, tilt: standing.tilt.at }
  }

  /** Where the motors of a head take it when it is asked for a pose. */
  #mechanical(id: FixtureId, axes: { readonly pan: Axis; readonly tilt: Axis }, asked: Pose): Pose {
    const isPanInverted = id === this.errors.panInverted
    const tiltZero = this.errors.heads.get(id)?.tiltZero ?? 0
    return mechanicalPose(axes, { isPanInverted, isTiltInverted: false, tiltZero }, asked)
  }
}

/** Values as they are seen: a wheel between two slots shows the one more of which is in. */
function seen(values: ReadonlyMap<Attribute, PlainValue>): ReadonlyMap<Attribute, PlainValue> {
  return new Map(
    [...values].map(([attribute, value]) => {
      const isSlot = value.kind === 'number' && kindOf(attribute).unit === 'slot'
      return [attribute, isSlot ? { ...value, number: Math.round(value.number) } : value]
    }),
  )
}

/** An axis on its way to a place; as near as nobody sees, it stands there. */
function turnedTo(at: number, motion: AxisMotion, axis: Axis, seconds: number): AxisMotion {
  const next = chased(motion, { at, speed: 0 }, axis, seconds)
  return Math.abs(next.at - at) < THERE && Math.abs(next.speed) < SLOW ? { at, speed: 0 } : next
}

const STILL: AxisMotion = { at: HOME.pan, speed: 0 }
/** Nearer than this it is there, in the unit of what moves. */
const THERE = 1e-4
/** Slower than this it is about to stand, °/s. */
const SLOW = 0.05

function isSame(a: PlainValue | undefined, b: PlainValue): boolean {
  if (a === b) return true
  if (a?.kind === 'angles' && b.kind === 'angles')
    return Math.abs(a.pan - b.pan) < THERE && Math.abs(a.tilt - b.tilt) < THERE
  if (a?.kind === 'number' && b.kind === 'number') return Math.abs(a.number - b.number) < THERE
  return a !== undefined && a.kind !== 'angles' && a.kind !== 'number' && JSON.stringify(a) === JSON.stringify(b)
}

/** A value on its way to another as fast as what moves it: at once where no motor does, or it can lie anywhere. */
function moved(
  { type }: RiggedFixture,
  attribute: Attribute,
  before: PlainValue | null,
  wanted: PlainValue,
  seconds: number,
): PlainValue {
  const endToEnd = endToEndOf(type, attribute)
  if (endToEnd === null || endToEnd <= 0) return wanted
  if (attribute === LEADING.colour) return mixed(before, wanted, seconds / endToEnd)
  if (!isNumberAttribute(attribute) || wanted.kind !== 'number') return wanted
  const range = rangeOf(type, attribute)
  const from = before?.kind === 'number' ? before.number : range.home
  const most = ((range.max - range.min) * seconds) / endToEnd
  return { kind: 'number', number: towards(attribute, from, wanted.number, most) }
}

/** Towards a number by no more than so much; what turns takes the shorter way. */
function towards(attribute: NumberAttribute, from: number, to: number, most: number): number {
  const straight = to - from
  const off = kindOf(attribute).unit === 'turn' ? straight - 360 * Math.round(straight / 360) : straight
  return Math.abs(off) <= most ? to : from + Math.sign(off) * most
}

/** Flags that mix a colour, each by no more than so much of its way. */
function mixed(before: PlainValue | null, wanted: PlainValue, most: number): PlainValue {
  if (before?.kind !== 'parts' || wanted.kind !== 'parts') return wanted
  const from = new Map(Object.entries(before.parts))
  const parts = Object.entries(wanted.parts).map(([part, to]) => {
    const off = to - (from.get(part) ?? 0)
    return [part, Math.abs(off) <= most ? to : (from.get(part) ?? 0) + Math.sign(off) * most]
  })
  return { kind: 'parts', parts: Object.fromEntries(parts) }
}
