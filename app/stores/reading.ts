/** When the panels read what the stage shows: a frame after its light, so that the light need not wait for them. */
import { useThrottleFn } from '@vueuse/core'
import { shallowRef, watch, type ComputedRef, type ShallowRef } from 'vue'
import { afterNextFrame } from '../session/afterNextFrame'

/** Nobody reads numbers that change with every frame: milliseconds between two readings. */
const BETWEEN = 100

/**
 * How what is read behaves now: it is something else than what was read before, it has changed, or it
 * is dragged or on its way and is read every now and then.
 */
export type Pace = 'other' | 'changed' | 'moving'

/** What is read of `latest`, at its pace. */
export function useReading<T>(latest: ComputedRef<T>, paceOf: (now: T, read: T) => Pace): Readonly<ShallowRef<T>> {
  const reading = shallowRef(latest.value)
  const read = () => (reading.value = latest.value)
  const readAfterLight = () => afterNextFrame(read)
  const readings: Readonly<Record<Pace, () => void>> = {
    other: read,
    changed: readAfterLight,
    moving: useThrottleFn(readAfterLight, BETWEEN, true),
  }
  watch(latest, (now) => readings[paceOf(now, reading.value)]())
  return reading
}
