<script setup lang="ts">
/** What the pointer does on the stage in this room. */
import { Aperture, Crosshair, LassoSelect, Move, MousePointer2 } from '@lucide/vue'
import { computed } from 'vue'
import type { ActionId } from '../../keys/actions'
import { useStage, type Tool } from '../../stores/stage'
import { useKeyMap } from '../../stores/keys'

type ShownTool = Exclude<Tool, 'line' | 'outline'>

const props = defineProps<{ tools: readonly ShownTool[] }>()
const stage = useStage()
const keys = useKeyMap()

const ALL: Readonly<Record<ShownTool, { label: string; action: ActionId; hint: string; icon: typeof Move }>> = {
  select: {
    label: 'Select',
    action: 'select tool',
    hint: 'Click or draw a box to select fixtures',
    icon: MousePointer2,
  },
  lasso: { label: 'Lasso', action: 'lasso tool', hint: 'Draw round fixtures to select them', icon: LassoSelect },
  aim: { label: 'Aim', action: 'aim tool', hint: 'Press anywhere to aim the selection there', icon: Crosshair },
  move: {
    label: 'Move',
    action: 'move tool',
    hint: 'Drag targets, set pieces, hangs, and fixtures along their hang',
    icon: Move,
  },
  lens: {
    label: 'Lens',
    action: 'lens tool',
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
      :aria-checked="stage.tool === item.tool"
      :title="`${item.hint} (${keys.keys.get(item.action)})`"
      :aria-label="item.label"
      class="flex items-center gap-1.5 rounded-md px-2.5 py-1 text-sm"
      :class="stage.tool === item.tool ? 'bg-plank-2 font-semibold text-sail' : 'text-mist hover:text-sail'"
      @click="stage.tool = item.tool"
    >
      <component :is="item.icon" :size="14" aria-hidden="true" /><span
        v-if="stage.tool === item.tool"
        class="max-[1100px]:hidden"
        >{{ item.label }}</span
      >
    </button>
  </div>
</template>
