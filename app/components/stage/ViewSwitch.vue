<script setup lang="ts">
/** How the stage is drawn: from above, cut upright, or in space. */
import { Droplets } from '@lucide/vue'
import { useOwnColour } from '../../composables/stage/useOwnColour'
import { useStage } from '../../stores/stage'

const stage = useStage()
const isInOwnColour = useOwnColour()
const VIEWS = [
  { key: 'plan', name: 'Plan' },
  { key: 'section', name: 'Section' },
  { key: 'space', name: 'Space' },
] as const
const SIDES = [
  { side: 'side', label: 'From stage left' },
  { side: 'front', label: 'From the house' },
] as const
</script>

<template>
  <div class="flex gap-1.5">
    <SwitchField label="View" :options="VIEWS" :value="stage.view" @choose="(view) => (stage.view = view)" />
    <IconButton
      v-if="stage.view !== 'space'"
      :icon="Droplets"
      :size="15"
      class="pill grid place-items-center bg-deck px-2"
      :class="isInOwnColour ? 'border-kelp bg-kelp-deep' : 'text-mist'"
      title="Light that is not selected in its own colour"
      aria-label="Light in its own colour"
      :aria-pressed="isInOwnColour"
      @click="isInOwnColour = !isInOwnColour"
    />
    <select
      v-if="stage.view === 'section'"
      v-model="stage.section"
      class="chip bg-deck"
      aria-label="Section looked at from"
    >
      <option v-for="item in SIDES" :key="item.side" :value="item.side">{{ item.label }}</option>
    </select>
  </div>
</template>
