<script setup lang="ts">
/** The universes of an output as they go out, channel by channel. */
import { computed } from 'vue'
import { mastered } from '#core/output/mastered'
import type { Output } from '#core/show/entities'
import type { Show } from '#core/show/show'
import { useUniverses } from '../../composables/rig/useUniverses'
import { sentInWords } from '../../composables/output/outputWords'
import UniverseMap from '../patch/UniverseMap.vue'

const props = defineProps<{ show: Show; output: Output; levels: ReadonlyMap<number, Uint8Array> | null }>()
const { universes: all, tints, selected, select } = useUniverses(() => props.show)
const universes = computed(() =>
  all.value.filter(({ universe }) => universe >= props.output.first && universe <= props.output.last),
)
const sent = computed(() => {
  const { isBlack, level } = props.output
  return props.levels && mastered(props.show, props.levels, isBlack ? 0 : level)
})
const numberedAlone = (universe: number): Output => {
  const { first, sentAs } = props.output
  return { ...props.output, first: universe, last: universe, sentAs: sentAs + universe - first }
}
</script>

<template>
  <div class="grid min-h-0 auto-rows-min grid-cols-2 gap-5 overflow-y-auto p-4" tabindex="0">
    <UniverseMap
      v-for="item in universes"
      :key="item.universe"
      :universe="item.universe"
      :spans="item.spans"
      :selected="selected"
      :tints="tints"
      :levels="sent?.get(item.universe) ?? null"
      :numbers="`goes out as ${sentInWords(numberedAlone(item.universe))}`"
      @select="select"
    />
    <p
      v-if="universes.length === 0"
      class="col-span-2 grid min-h-40 place-items-center rounded-lg border border-dashed border-rule-2 text-mist"
    >
      Nothing is patched in these universes. Patch fixtures in the Rig room, or choose other universes on the right.
    </p>
  </div>
</template>
