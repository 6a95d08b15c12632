<script setup lang="ts">
/** One line that says what of the moves cannot be watched as it is meant; each leads to its cues. */
import { computed, onBeforeUnmount } from 'vue'
import { counted } from '#core/show/counted'
import { useCuesRoom, type Fault } from '../../stores/cuesRoom'
import { useTravelCheck } from '../../stores/travelCheck'

const room = useCuesRoom()
const check = useTravelCheck()
onBeforeUnmount(check.follow())

const chips = computed(() =>
  (
    [
      ['sweeps', `${counted(check.counts.sweeps, 'cue')} sweep`, 'Cues that light a keep-clear zone'],
      ['accepted', `${check.counts.accepted} accepted`, 'Cues that light a keep-clear zone and are meant to'],
      ['tooFast', `${counted(check.counts.tooFast, 'cue')} too fast`, 'Cues with moves the motors cannot make in time'],
    ] as const
  ).filter(([fault]) => check.counts[fault] > 0 || room.panel === fault),
)
const toggle = (fault: Fault) => (room.panel = room.panel === fault ? 'detail' : fault)
</script>

<template>
  <div class="flex items-center gap-1.5" role="group" aria-label="What is wrong with the moves">
    <span class="w-9 text-right font-mono text-xs text-haze">{{
      check.part !== null && check.part < 1 ? `${Math.floor(check.part * 100)} %` : ''
    }}</span>
    <button
      v-for="[fault, words, title] in chips"
      :key="fault"
      type="button"
      class="chip"
      :class="room.panel === fault ? 'chip-on' : fault === 'accepted' ? 'text-mist' : 'border-coral/60 text-coral'"
      :aria-pressed="room.panel === fault"
      :title="title"
      @click="toggle(fault)"
    >
      {{ words }}
    </button>
  </div>
</template>
