<script setup lang="ts">
/** What a correction counts for: this venue only, or every one. */
import { usePassNudges } from '../../stores/passNudges'
import { useShow } from '../../stores/show'

const nudges = usePassNudges()
const store = useShow()
const WHERE = [
  { key: 'for here', name: 'only here' },
  { key: 'for good', name: 'for good' },
] as const
</script>

<template>
  <div>
    <SwitchField
      class="w-fit in-data-touch:w-full in-data-touch:[&_button]:flex-1 in-data-touch:[&_button]:py-3 in-data-touch:[&_button]:text-lg"
      label="A correction counts"
      :options="WHERE"
      :value="nudges.corrections"
      @choose="(corrections) => store.send('changePass', { corrections })"
    />
    <p class="mt-1 text-xs text-haze in-data-touch:text-base">
      <template v-if="nudges.corrections === 'for here'">A nudge is a touch-up of this venue.</template>
      <template v-else-if="nudges.mayCorrectForGood">A nudge moves the palette; every venue follows.</template>
      <template v-else>Your link lets you touch up for here only.</template>
    </p>
  </div>
</template>
