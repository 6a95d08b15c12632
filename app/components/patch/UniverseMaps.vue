<script setup lang="ts">
/** The maps of universes anything is patched in, two in a row, fixtures selected on them. */
import { computed } from 'vue'
import type { Show } from '#core/show/show'
import { useUniverses } from '../../composables/rig/useUniverses'
import UniverseMap from './UniverseMap.vue'

const props = defineProps<{
  show: Show
  /** By universe, 512 levels from 0 to 255; null to leave them out. */
  levels: ReadonlyMap<number, Uint8Array> | null
  /** The universes that are shown; all where this is left out. */
  within?: { readonly first: number; readonly last: number }
  /** By what number a universe goes elsewhere, in words. */
  numbersOf?: (universe: number) => string
}>()
const { universes: all, tints, selected, select } = useUniverses(() => props.show)
const universes = computed(() => {
  const { within } = props
  return within ? all.value.filter(({ universe }) => universe >= within.first && universe <= within.last) : all.value
})
</script>

<template>
  <section class="grid min-h-0 auto-rows-min grid-cols-2 gap-5 overflow-y-auto p-4" aria-label="Universes" tabindex="0">
    <UniverseMap
      v-for="item in universes"
      :key="item.universe"
      :universe="item.universe"
      :spans="item.spans"
      :selected="selected"
      :tints="tints"
      :levels="levels?.get(item.universe) ?? null"
      :numbers="numbersOf?.(item.universe)"
      @select="select"
    />
    <p
      v-if="universes.length === 0"
      class="col-span-2 grid min-h-40 place-items-center rounded-lg border border-dashed border-rule-2 text-mist"
    >
      <slot />
    </p>
  </section>
</template>
