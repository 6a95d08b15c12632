<script setup lang="ts">
/** A track that shows what it does in colours: dragged along, stepped with arrow keys, or typed beside. */
import { shallowRef } from 'vue'
import TypedField from '../fields/TypedField.vue'
import DragTrack from '../hand/DragTrack.vue'

const props = defineProps<{
  name: string
  /** Said of the track and of the field, where more must be said than its name. */
  label: string
  /** What its numbers are, after the label. */
  unit: string
  background: string
  /** Where the selection stands, as parts of the track. */
  low: number
  high: number
  /** The ends in its unit, and what is written beside it. */
  ends: { readonly min: number; readonly max: number }
  shown: string
  read: (text: string) => number | null
}>()
const emit = defineEmits<{ drag: [part: number]; end: []; cancel: []; step: [way: 1 | -1]; keep: [number: number] }>()
/** The part it was dragged from. */
const from = shallowRef(0)
</script>

<template>
  <div class="flex items-center gap-1.5" role="group" :aria-label="name">
    <span class="flex w-[92px] shrink-0 items-baseline gap-1 text-sm text-mist" :title="name"
      ><span class="truncate">{{ name }}</span
      ><slot
    /></span>
    <DragTrack
      class="h-6 border-rule-2"
      :aria-label="label"
      :aria-valuemin="ends.min"
      :aria-valuemax="ends.max"
      :aria-valuenow="Math.round(ends.min + low * (ends.max - ends.min))"
      :aria-valuetext="`${shown} ${unit}`"
      :style="{ background }"
      @begin="from = props.low"
      @drag="(part) => emit('drag', Math.min(1, Math.max(0, from + part)))"
      @end="emit('end')"
      @cancel="emit('cancel')"
      @keydown.left.prevent.stop="emit('step', -1)"
      @keydown.right.prevent.stop="emit('step', 1)"
    >
      <span
        class="absolute inset-y-0 min-w-[3px] -translate-x-px bg-black shadow-[0_0_0_1px_white]"
        :style="{ left: `${low * 100}%`, width: `${(high - low) * 100}%` }"
      />
    </DragTrack>
    <TypedField
      class="mr-[22px] w-[74px] shrink-0"
      :label="`${label} in ${unit}`"
      :shown="shown"
      :read="read"
      @keep="(number) => emit('keep', number)"
    />
  </div>
</template>
