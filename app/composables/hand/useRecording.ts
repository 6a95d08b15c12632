/** What recording would take from the hand now, in words. */
import { computed } from 'vue'
import { takenFromHand } from '#core/commands/shared/takenFromHand'
import { listInWords } from '#core/show/listInWords'
import { FAMILIES } from '#core/attributes/families'
import { TAKE_ALL, type Mask } from '#core/show/masks'
import { useStage } from '../../stores/stage'
import { useShow } from '../../stores/show'
import { useWorkingSet } from '../../stores/workingSet'
import { counted } from '#core/show/counted'

export function useRecording(allowed: () => Mask = () => TAKE_ALL) {
  const store = useShow()
  const stage = useStage()
  const workingSet = useWorkingSet()

  const taken = computed(() => {
    const { show } = stage.panelState
    return show && store.person ? takenFromHand(show, store.person, allowed(), workingSet.current) : null
  })
  const families = computed(() => FAMILIES.filter((family) => taken.value?.families.includes(family)))
  const loose = computed(() => taken.value?.values.filter(({ value }) => value.kind !== 'link').length ?? 0)
  const isEmpty = computed(() => !taken.value?.values.length)
  /** "Stores position and beam of 6 fixtures. Held back: colour." */
  const words = computed(() => {
    if (!taken.value || isEmpty.value) return 'Nothing in hand goes here; see the take switches.'
    const count = taken.value.fixtures.length
    const held = taken.value.heldBack.length
      ? ` Held back: ${listInWords(FAMILIES.filter((family) => taken.value?.heldBack.includes(family)))}.`
      : ''
    return `Stores ${listInWords(families.value)} of ${counted(count, 'fixture')}.${held}`
  })

  return { taken, families, loose, isEmpty, words }
}
