<script setup lang="ts">
/** What the pointer does on the stage in this room. */
import { Aperture, Crosshair, Move, MousePointer2 } from '@lucide/vue'
import { computed } from 'vue'
import { useDesk, type Tool } from '../../stores/desk'

const props = defineProps<{ tools: readonly Tool[] }>()
const desk = useDesk()

const ALL: Readonly<Record<Tool, { label: string; key: string; hint: string; icon: typeof Move }>> = {
  select: { label: 'Select', key: 'S', hint: 'Click or draw a box to select fixtures', icon: MousePointer2 },
  aim: { label: 'Aim', key: 'A', hint: 'Press anywhere to aim the selection there', icon: Crosshair },
  move: { label: 'Move', key: 'M', hint: 'Drag targets, set pieces, hangs, and fixtures along their hang', icon: Move },
  lens: {
    label: 'Lens',
    key: 'L',
    hint: 'Press anywhere to see what each fixture’s light would be there',
    icon: Aperture,
  },
}
const items = computed(() => props.tools.map((tool) => ({ tool, ...ALL[tool] })))
</script>

<template>
  <div class="flex rounded-lg border border-rule-2 bg-deck p-0.5" role="radiogroup" aria-label="Tool">
    <button
      v-for="item in items"
      :key="item.tool"
      type="button"
      role="radio"
      :aria-checked="desk.tool === item.tool"
      :title="`${item.hint} (${item.key})`"
      :aria-label="item.label"
      class="flex items-center gap-1.5 rounded-md px-2.5 py-1 text-sm"
      :class="desk.tool === item.tool ? 'bg-plank-2 font-semibold text-sail' : 'text-mist hover:text-sail'"
      @click="desk.tool = item.tool"
    >
      <component :is="item.icon" :size="14" aria-hidden="true" /><span class="max-[1180px]:hidden">{{
        item.label
      }}</span>
    </button>
  </div>
</template>
