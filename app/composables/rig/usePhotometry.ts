/** A photometric file being looked at, before it becomes a row of a zoom. */
import { onUnmounted, ref, shallowRef } from 'vue'
import type { Photometry } from '#core/exchange/photometry/photometry'
import { beginReadingPhotometry } from '../../session/photometryReading'

export function usePhotometry() {
  const name = ref('')
  const read = shallowRef<Photometry | null>(null)
  const trouble = ref<string | null>(null)
  const isReading = ref(false)
  let stop: () => void = () => undefined

  function drop() {
    stop()
    read.value = null
    trouble.value = null
    isReading.value = false
  }
  onUnmounted(() => stop())

  async function open(file: File) {
    drop()
    isReading.value = true
    const reading = beginReadingPhotometry(file)
    stop = reading.stop
    const outcome = await reading.read
    if (!outcome) return
    isReading.value = false
    name.value = file.name
    if (outcome.ok) read.value = outcome.photometry
    else trouble.value = `${file.name} was not read. ${outcome.message}`
  }

  return { name, read, trouble, isReading, open, drop }
}
