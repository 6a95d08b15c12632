<script setup lang="ts">
/** Of touch-ups at one target: the target itself is moved instead, seen first, and every palette at it follows. */
import { computed } from 'vue'
import { mayRun } from '#core/access/roles'
import { offsetInWords } from '#core/geometry/lengthInWords'
import { targetCorrectionBy } from '#core/refocus/targetCorrection'
import type { TouchUp } from '#core/show/entities'
import type { Show } from '#core/show/show'
import { useProposal } from '../../stores/proposal'
import { useShow } from '../../stores/show'

const props = defineProps<{ show: Show; touchUps: readonly TouchUp[] }>()
const store = useShow()
const proposal = useProposal()
const correction = computed(() => targetCorrectionBy(props.show, props.touchUps))
const words = computed(() => {
  const { value: found } = correction
  const name = found && props.show.all.target.get(found.target)?.name
  return found && `Move ${name} itself ${offsetInWords(found.by)}`
})
function move() {
  const touchUps = props.touchUps.map(({ venue, palette, fixture }) => ({ venue, palette, fixture }))
  void proposal.offerOrSay('moveTargetByTouchUps', { touchUps })
}
</script>

<template>
  <button
    v-if="words && mayRun(store.role, 'moveTargetByTouchUps')"
    type="button"
    class="chip w-fit"
    title="For good, in every venue: all palettes at this target follow"
    @click="move"
  >
    {{ words }}
  </button>
</template>
