/** When what the stage shows is read by what stands round its light: a frame later, so that the light need not wait. */
import { useThrottleFn } from '@vueuse/core'
import { shallowRef, watch, type ComputedRef, type ShallowRef } from 'vue'
import { afterNextFrame } from '../session/afterNextFrame'

/** Nobody reads numbers that change with every frame: milliseconds between two readings. */
const BETWEEN = 100

export type Pace = 'at once' | 'after the light' | 'now and then'

/** What is read of `latest`, at its pace. */
export function useDeferred<T>(latest: ComputedRef<T>, paceOf: (now: T, read: T) => Pace): Readonly<ShallowRef<T>> {
  const reading = shallowRef(latest.value)
  const read = () => (reading.value = latest.value)
  const readAfterLight = () => afterNextFrame(read)
  const readings: Readonly<Record<Pace, () => void>> = {
    'at once': read,
    'after the light': readAfterLight,
    'now and then': useThrottleFn(readAfterLight, BETWEEN, true),
  }
  watch(latest, (now) => readings[paceOf(now, reading.value)]())
  return reading
}
