<script setup lang="ts">
/** What recording would take of what is in hand and what it would hold back, by family, and the switches for it. */
import { computed } from 'vue'
import { familyOf } from '#core/attributes/attribute'
import { FAMILIES } from '#core/attributes/families'
import { counted } from '#core/show/counted'
import { maskInWords, TAKE_ALL } from '#core/show/masks'
import type { Show } from '#core/show/show'
import { capitalised } from '../../composables/forms/capitalised'
import { useHand } from '../../composables/hand/useHand'
import { useRecording } from '../../composables/hand/useRecording'
import { useShow } from '../../stores/show'
import TakeMask from '../fields/TakeMask.vue'
import FloatingPanel from '../shell/FloatingPanel.vue'

const props = defineProps<{ show: Show }>()
const store = useShow()
const hand = useHand()
const { taken } = useRecording()

const mask = computed(() => props.show.all.person.get(store.person ?? '') ?? TAKE_ALL)
/** How many values of a family are in hand, and how many of them are taken. */
const families = computed(() =>
  FAMILIES.flatMap((family) => {
    const all = hand.held.value.filter(({ attribute }) => familyOf(attribute) === family).length
    const count = taken.value?.values.filter(({ attribute }) => familyOf(attribute) === family).length ?? 0
    return all === 0 ? [] : [{ family, taken: count, left: Math.max(0, all - count) }]
  }),
)
const label = computed(() => {
  const said = families.value.map(({ family, taken: count, left }) =>
    [
      count > 0 ? `takes ${counted(count, 'value')} of ${family}` : '',
      left > 0 ? `holds back ${left} of ${family}` : '',
    ]
      .filter(Boolean)
      .join(', '),
  )
  return said.length > 0 ? capitalised(said.join('; ')) : `Takes ${maskInWords(mask.value)}`
})
</script>

<template>
  <FloatingPanel
    button-class="flex min-w-0 flex-wrap gap-x-2 rounded text-left text-xs leading-5 hover:text-sail"
    panel-class="w-64 p-2"
    :label="label"
  >
    <template #button>
      <span v-if="families.length === 0" class="text-mist"> Takes {{ maskInWords(mask) }} </span>
      <span v-for="{ family, taken: count, left } in families" v-else :key="family" class="whitespace-nowrap">
        <template v-if="count > 0"
          ><span class="text-kelp">{{ family }}</span> {{ count }}</template
        ><template v-if="left > 0">
          <span class="text-haze line-through">{{ count > 0 ? left : `${family} ${left}` }}</span></template
        >
      </span>
    </template>
    <TakeMask :mask="mask" @switch="(change) => store.send('setTake', change)" />
  </FloatingPanel>
</template>
