<script setup lang="ts">
/** How a pass is gone through: its order, how bright what is checked is, what becomes of other light. */
import type { PASS_ORDERS, PASS_OTHERS } from '#core/show/entities'
import { ORDER_NAMES } from '../../composables/refocus/passWords'
import NumberField from '../fields/NumberField.vue'

interface Choices {
  readonly order: (typeof PASS_ORDERS)[number]
  /** 0 to 1. */
  readonly level: number
  readonly others: (typeof PASS_OTHERS)[number]
}
defineProps<Choices>()
const emit = defineEmits<{ change: [choices: Partial<Choices>] }>()
const OTHERS = [
  { key: 'out', name: 'out' },
  { key: 'as they are', name: 'as they are' },
] as const

async function keepLevel(percent: number): Promise<string | null> {
  if (percent < 0 || percent > 100) return 'From 0 to 100 %.'
  emit('change', { level: percent / 100 })
  return null
}
</script>

<template>
  <div class="flex flex-col gap-2.5">
    <div>
      <p class="text-xs text-haze">Order</p>
      <SwitchField
        class="w-fit"
        label="Order of the pass"
        :options="ORDER_NAMES"
        :value="order"
        @choose="(key) => emit('change', { order: key })"
      />
    </div>
    <NumberField
      label="Level of what is checked"
      unit="%"
      :value="Math.round(level * 100)"
      :digits="0"
      :keep="keepLevel"
    />
    <div>
      <p class="text-xs text-haze">All other light meanwhile</p>
      <SwitchField
        class="w-fit"
        label="All other light meanwhile"
        :options="OTHERS"
        :value="others"
        @choose="(key) => emit('change', { others: key })"
      />
    </div>
  </div>
</template>
