<script setup lang="ts">
/** The universes of an output as they go out, channel by channel. */
import { group } from 'd3-array'
import { computed } from 'vue'
import { mastered } from '#core/output/mastered'
import { spansOf } from '#core/patch/span'
import type { Output } from '#core/show/entities'
import type { FixtureId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { sentInWords } from '../../composables/output/outputWords'
import { useSelection } from '../../stores/selection'
import UniverseMap from '../patch/UniverseMap.vue'

const props = defineProps<{ show: Show; output: Output; levels: ReadonlyMap<number, Uint8Array> | null }>()
const selection = useSelection()
const selected = computed(() => new Set<string>(selection.fixtures))
const universes = computed(() => {
  const { first, last } = props.output
  const byUniverse = group(spansOf(props.show), ({ universe }) => universe)
  return [...byUniverse]
    .map(([universe, spans]) => ({ universe, spans }))
    .filter(({ universe }) => universe >= first && universe <= last)
    .sort((a, b) => a.universe - b.universe)
})
const sent = computed(() => {
  const { isBlack, level } = props.output
  return props.levels && mastered(props.show, props.levels, isBlack ? 0 : level)
})
const tints = computed(() => {
  const types = [...props.show.all.fixtureType.keys()]
  return new Map([...props.show.all.fixture].map(([id, { type }]) => [id, Math.max(0, types.indexOf(type ?? ''))]))
})
const numberedAlone = (universe: number): Output => {
  const { first, sentAs } = props.output
  return { ...props.output, first: universe, last: universe, sentAs: sentAs + universe - first }
}
function select(fixture: FixtureId, add: boolean) {
  if (add) selection.toggle([fixture])
  else selection.set([fixture])
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
