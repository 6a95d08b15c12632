<script setup lang="ts">
/** How the stage is drawn: from above, cut upright, or in space. */
import { Droplets } from '@lucide/vue'
import { useOwnColour } from '../../composables/stage/useOwnColour'
import { useStage } from '../../stores/stage'

const stage = useStage()
const isInOwnColour = useOwnColour()
const VIEWS = [
  { view: 'plan', label: 'Plan' },
  { view: 'section', label: 'Section' },
  { view: 'space', label: 'Space' },
] as const
const SIDES = [
  { side: 'side', label: 'From stage left' },
  { side: 'front', label: 'From the house' },
] as const
</script>

<template>
  <div class="flex gap-1.5">
    <div class="flex rounded-lg border border-rule-2 bg-deck p-0.5" role="radiogroup" aria-label="View">
      <button
        v-for="item in VIEWS"
        :key="item.view"
        type="button"
        role="radio"
        :aria-checked="stage.view === item.view"
        class="rounded-md px-2 py-1 text-sm"
        :class="stage.view === item.view ? 'bg-plank-2 font-semibold text-sail' : 'text-mist hover:text-sail'"
        @click="stage.view = item.view"
      >
        {{ item.label }}
      </button>
    </div>
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
