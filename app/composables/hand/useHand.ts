/** What the person has in hand, by family, as the hand panel and the record button say it. */
import { computed } from 'vue'
import { listInWords } from '#core/show/listInWords'
import { familyOf } from '#core/attributes/attribute'
import { FAMILIES, type Family } from '#core/attributes/families'
import { useStage } from '../../stores/stage'
import { useShow } from '../../stores/show'
import { counted } from '#core/show/counted'

export function useHand() {
  const store = useShow()
  const stage = useStage()
  const show = computed(() => stage.panelState.show)

  const held = computed(() => {
    const person = store.person
    return show.value && person ? [...show.value.all.handValue.values()].filter((value) => value.person === person) : []
  })
  const take = computed<readonly Family[]>(() => (store.person && show.value?.all.person.get(store.person)?.take) || [])
  const families = computed(() => FAMILIES.filter((family) => held.value.some((v) => familyOf(v.attribute) === family)))
  const fixtureCount = computed(() => new Set(held.value.map((v) => v.fixture)).size)

  /** "6 fixtures, position and beam"; empty when nothing is in hand. */
  const inWords = computed(() => {
    if (held.value.length === 0) return ''
    const count = fixtureCount.value
    return `${counted(count, 'fixture')}, ${listInWords(families.value)}`
  })

  return { held, take, families, fixtureCount, inWords }
}
