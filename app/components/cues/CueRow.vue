<script setup lang="ts">
/** One cue in the carry sheet: its number, name, time and how it comes. */
import { computed } from 'vue'
import type { Cue } from '#core/show/entities'

const props = defineProps<{
  cue: Cue
  /** Pixels from the top of the sheet, the row's height, and the width of its words. */
  y: number
  height: number
  left: number
  isOnStage: boolean
  isLooked: boolean
  isQuiet: boolean
  /** What is wrong with its moves, in words; empty where nothing is. */
  trouble: string
}>()
const emit = defineEmits<{ look: []; go: [] }>()

const FOLLOWS = { wait: '', after: 'after', with: 'with' } as const
const isSmall = computed(() => props.height < 20)
const time = computed(() => {
  const { rise, fall } = props.cue
  return rise === fall ? String(rise) : `${rise}/${fall}`
})
</script>

<template>
  <li
    class="absolute right-0 left-0 border-b border-rule/60"
    :class="isLooked ? 'bg-plank' : 'hover:bg-deck'"
    :style="{ top: `${y}px`, height: `${height}px` }"
    :aria-current="isOnStage ? 'true' : undefined"
  >
    <button
      type="button"
      class="flex h-full items-center gap-2 pl-4 text-left"
      :class="isSmall ? 'text-[10px] leading-none' : ''"
      :style="{ width: `${left}px` }"
      :aria-label="`Cue ${cue.number} ${cue.name}${isOnStage ? ', on stage' : ''}${trouble && `, ${trouble}`}`"
      :aria-pressed="isLooked"
      @click="emit('look')"
      @dblclick="emit('go')"
    >
      <span class="w-11 shrink-0 font-mono" :class="isOnStage ? 'font-bold text-coral' : 'text-mist'">{{
        cue.number
      }}</span>
      <span class="min-w-0 flex-1 truncate" :class="isQuiet ? 'text-haze' : isSmall ? '' : 'font-semibold'"
        >{{ cue.name || 'No name'
        }}<span v-if="FOLLOWS[cue.follow]" class="ml-1.5 font-normal text-shoal">{{ FOLLOWS[cue.follow] }}</span
        ><span v-if="cue.quiet" class="ml-1.5 font-normal text-shoal">quiet</span></span
      >
      <span v-if="trouble" class="size-1.5 shrink-0 rounded-full bg-coral" :title="trouble" />
      <span class="shrink-0 pr-4 font-mono text-mist">{{ time }}</span>
    </button>
  </li>
</template>
