<script setup lang="ts">
/** Brings out what is worked on: brighter, or the others dimmed. Nothing of it gets into the hand. */
import { SunMedium } from '@lucide/vue'
import { computed } from 'vue'
import { HIGHLIGHTS } from '#core/show/entities'
import { useHighlight } from '../../composables/hand/useHighlight'
import FloatingPanel from '../shell/FloatingPanel.vue'

const { highlight, set } = useHighlight()
const NAMES = { off: 'Off', brighter: 'Brighter', 'others dimmed': 'The others dimmed' } as const
const isOn = computed(() => highlight.value !== 'off')
</script>

<template>
  <FloatingPanel
    class="shrink-0"
    :label="`Highlight: ${NAMES[highlight].toLowerCase()}`"
    :button-class="`chip flex items-center px-1.5 ${isOn ? 'border-brass bg-brass text-night' : ''}`"
    panel-class="w-56 p-2"
  >
    <template #button><SunMedium :size="14" aria-hidden="true" /></template>
    <template #default="{ close }">
      <p class="mb-1 text-sm text-mist">
        Shows what is worked on, on stage and while stepping. It is never in the hand, so it is never recorded.
      </p>
      <button
        v-for="how in HIGHLIGHTS"
        :key="how"
        type="button"
        class="w-full rounded px-2 py-1 text-left hover:bg-plank-2"
        :class="highlight === how ? 'font-semibold text-brass' : ''"
        :aria-pressed="highlight === how"
        @click="(set(how), close())"
      >
        {{ NAMES[how] }}
      </button>
    </template>
  </FloatingPanel>
</template>
