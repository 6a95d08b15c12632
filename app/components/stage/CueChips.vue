<script setup lang="ts">
/** The numbers of cues, each to be seen before and after what is proposed. */
import type { CueId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useProposal } from '../../stores/proposal'

defineProps<{ show: Show; cues: readonly CueId[] }>()
const proposal = useProposal()

/** Pressed by pointer it lets go of the focus, so that Enter keeps the proposal. */
function look(event: MouseEvent, cue: CueId) {
  proposal.look(cue)
  if (event.detail > 0 && event.currentTarget instanceof HTMLElement) event.currentTarget.blur()
}
</script>

<template>
  <span v-for="(cue, i) in cues" :key="cue"
    ><button
      type="button"
      class="rounded px-0.5 font-mono hover:bg-plank-2 hover:text-sail"
      :class="proposal.lookedCue === cue ? 'bg-coral-deep text-sail' : ''"
      :aria-pressed="proposal.lookedCue === cue"
      :aria-label="`Cue ${show.all.cue.get(cue)?.number}, before and after`"
      @click="look($event, cue)"
    >
      {{ show.all.cue.get(cue)?.number ?? '?' }}</button
    ><template v-if="i < cues.length - 1">, </template></span
  >
</template>
