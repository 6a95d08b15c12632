<script setup lang="ts">
/** One line that says what of the moves cannot be watched as it is meant; each leads to its cues. */
import { computed, onBeforeUnmount } from 'vue'
import { counted } from '#core/show/counted'
import { useCuesRoom, type Fault } from '../../stores/cuesRoom'
import { useDarkPlan } from '../../stores/darkPlan'
import { useTravelCheck } from '../../stores/travelCheck'

const room = useCuesRoom()
const check = useTravelCheck()
const plan = useDarkPlan()
onBeforeUnmount(check.follow())

const chips = computed(() =>
  (
    [
      ['sweeps', `${counted(check.counts.sweeps, 'cue')} sweep`, 'Cues that light a keep-clear zone'],
      ['accepted', `${check.counts.accepted} accepted`, 'Cues that light a keep-clear zone and are meant to'],
      ['tooFast', `${counted(check.counts.tooFast, 'cue')} too fast`, 'Cues with moves the motors cannot make in time'],
      [
        'wrongPlace',
        `${counted(check.counts.wrongPlace, 'cue')} lit on the way`,
        'Cues that light something which then goes elsewhere, or becomes another colour, beam or gobo',
      ],
      [
        'noTime',
        `${counted(check.counts.noTime, 'cue')} without dark time`,
        'Cues whose lights were to move in the dark before, and have not the time',
      ],
    ] as const
  ).filter(([fault]) => check.counts[fault] > 0 || isOpen(fault)),
)
const isOpen = (fault: Fault) =>
  fault === 'wrongPlace' || fault === 'noTime' ? room.panel === 'dark' && plan.filter === fault : room.panel === fault
function toggle(fault: Fault) {
  const wasOpen = isOpen(fault)
  if (fault !== 'wrongPlace' && fault !== 'noTime') return (room.panel = wasOpen ? 'detail' : fault)
  return wasOpen ? openDark('all') : openDark(fault)
}
/** The plan of moves in the dark, with all lines or those of a fault: the first of them is looked at. */
function openDark(filter: typeof plan.filter) {
  plan.filter = filter
  const [first] = plan.shown
  if (filter !== 'all' && first) room.find(first.cue)
  room.view = 'travel'
  room.panel = 'dark'
}
function toggleWays() {
  const wasOpen = room.panel === 'ways'
  room.view = 'travel'
  room.panel = wasOpen ? 'detail' : 'ways'
}
const toggleDark = () => (room.panel === 'dark' ? (room.panel = 'detail') : openDark('all'))
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
      :class="isOpen(fault) ? 'chip-on' : fault === 'accepted' ? 'text-mist' : 'border-coral/60 text-coral'"
      :aria-pressed="isOpen(fault)"
      :title="title"
      @click="toggle(fault)"
    >
      {{ words }}
    </button>
    <button
      type="button"
      class="chip"
      :class="room.panel === 'dark' ? 'chip-on' : ''"
      :aria-pressed="room.panel === 'dark'"
      title="What moves in the dark, and what could"
      @click="toggleDark"
    >
      Dark moves
    </button>
    <button
      type="button"
      class="chip"
      :class="room.panel === 'ways' ? 'chip-on' : ''"
      :aria-pressed="room.panel === 'ways'"
      title="Which way round heads turn, down the whole list"
      @click="toggleWays"
    >
      Ways round
    </button>
  </div>
</template>
