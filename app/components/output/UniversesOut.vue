<script setup lang="ts">
/** The universes of an output as they go out, channel by channel. */
import { computed } from 'vue'
import { mastered } from '#core/output/mastered'
import type { Output } from '#core/show/entities'
import type { Show } from '#core/show/show'
import { sentInWords } from '../../composables/output/outputWords'
import UniverseMaps from '../patch/UniverseMaps.vue'

const props = defineProps<{ show: Show; output: Output; levels: ReadonlyMap<number, Uint8Array> | null }>()
const sent = computed(() => {
  const { isBlack, level } = props.output
  return props.levels && mastered(props.show, props.levels, isBlack ? 0 : level)
})
function numbersOf(universe: number): string {
  const { first, sentAs } = props.output
  const alone = { ...props.output, first: universe, last: universe, sentAs: sentAs + universe - first }
  return `goes out as ${sentInWords(alone)}`
}
</script>

<template>
  <UniverseMaps :show="show" :levels="sent" :within="output" :numbers-of="numbersOf">
    Nothing is patched in these universes. Patch fixtures in the Rig room, or choose other universes on the right.
  </UniverseMaps>
</template>
