/** When the panels read what the stage shows: with its light, or so that the light need not wait for them. */
import { useThrottleFn } from '@vueuse/core'
import { shallowRef, watch, type ComputedRef, type ShallowRef } from 'vue'
import { afterNextFrame } from '../session/afterNextFrame'

/** Nobody reads numbers that change with every frame: milliseconds between two readings. */
const BETWEEN = 100

/** How what is read behaves now. */
export interface Pace {
  /** It is dragged, or on its way: read every now and then. */
  readonly isMoving: boolean
  /** Reading it takes longer than a frame: it is read once the frame with the light is painted. */
  readonly isLong: boolean
}

/** What is read of `latest`, at its pace. */
export function useReading<T>(latest: ComputedRef<T>, paceOf: (now: T, read: T) => Pace): Readonly<ShallowRef<T>> {
  const reading = shallowRef(latest.value)
  const read = () => (reading.value = latest.value)
  const readInTurn = () => (paceOf(latest.value, reading.value).isLong ? afterNextFrame(read) : read())
  const readSometimes = useThrottleFn(readInTurn, BETWEEN, true)
  watch(latest, (now) => (paceOf(now, reading.value).isMoving ? readSometimes() : readInTurn()))
  return reading
}
