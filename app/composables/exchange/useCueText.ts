/** Cue text that is looked at before it is taken: read and turned into cues a little at a time, so that the page goes on. */
import { computed, ref, shallowRef } from 'vue'
import { FAMILIES, type Family } from '#core/attributes/families'
import { cuesFromText, type CuesFromText } from '#core/exchange/cueText/cuesFromText'
import { readCueText, type CueText } from '#core/exchange/cueText/cueText'
import { nextNumber } from '#core/show/freeNumbers'
import type { Show } from '#core/show/show'
import { inSlices } from '../../session/inSlices'

/** Text of ten thousand cues of a large rig has less, bytes. */
const LARGEST = 64_000_000

export function useCueText(show: () => Show) {
  const name = ref('')
  const text = shallowRef<CueText | null>(null)
  const taken = shallowRef<CuesFromText | null>(null)
  const trouble = ref<string | null>(null)
  const done = ref<number | null>(null)
  const families = ref<readonly Family[]>([...FAMILIES])
  const isTied = ref(true)
  let stop = new AbortController()

  function cancel() {
    stop.abort()
    done.value = null
  }

  async function turn() {
    cancel()
    const read = text.value
    if (!read) return
    stop = new AbortController()
    const own = stop.signal
    done.value = 0
    const result = await inSlices(
      cuesFromText(show(), read, { families: families.value, isTied: isTied.value }),
      (count) => (done.value = count),
      own,
    )
    if (own.aborted) return
    taken.value = result
    done.value = null
  }

  async function open(file: File) {
    cancel()
    trouble.value = null
    if (file.size > LARGEST) return void (trouble.value = `${file.name} is larger than 64 MB; it was not read.`)
    const read = readCueText(await file.text())
    if (read.cues.length === 0)
      return void (trouble.value = `${file.name} holds no cues: a cue begins with the word Cue and its number.`)
    name.value = file.name.replace(/\.[^.]*$/, '')
    text.value = read
    await turn()
  }

  function setFamily(family: Family, isWanted: boolean) {
    families.value = FAMILIES.filter((one) => (one === family ? isWanted : families.value.includes(one)))
    void turn()
  }
  function setTied(tied: boolean) {
    isTied.value = tied
    void turn()
  }

  const input = computed(
    () =>
      taken.value && { number: nextNumber(show().all.cueList.values()), name: name.value, cues: [...taken.value.cues] },
  )
  return { name, text, taken, trouble, done, families, isTied, open, cancel, setFamily, setTied, input }
}
