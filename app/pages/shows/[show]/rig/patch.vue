<script setup lang="ts">
/** Universes and addresses: the maps, the table, and patching by rule. */
import { useLocalStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import { patchFaults } from '#core/patch/span'
import { useOutput } from '../../../../composables/shell/useOutput'
import { usePanelSizes } from '../../../../stores/panelSizes'
import { useSelection } from '../../../../stores/selection'
import { useShow } from '../../../../stores/show'
import AutoPatchForm from '../../../../components/patch/AutoPatchForm.vue'
import PatchTable from '../../../../components/patch/PatchTable.vue'
import UniverseMaps from '../../../../components/patch/UniverseMaps.vue'

const store = useShow()
const selection = useSelection()
const panels = usePanelSizes()
const isUnpatching = ref(false)
/** Levels as they go out, highlight and all. */
const isLive = useLocalStorage('rhopander-patch-levels', false)
const { levels } = useOutput(() => store.view?.id, isLive)
const faults = computed(() => (store.view ? [...patchFaults(store.view).keys()] : []))

async function unpatch() {
  isUnpatching.value = true
  const changes = selection.fixtures.map((fixture) => ({ fixture, universe: null, address: null }))
  await store.send('changeFixtures', { changes })
  isUnpatching.value = false
}
</script>

<template>
  <main v-if="store.view" class="grid min-h-0" :style="panels.besideAndBelow">
    <UniverseMaps :show="store.view" :levels="levels">
      Nothing is patched yet. Patch by rule on the right, or type a universe and an address in the table.
    </UniverseMaps>
    <aside
      data-narrow
      class="relative row-span-2 flex min-h-0 flex-col gap-4 overflow-y-auto border-l border-rule bg-deck p-4"
      aria-label="Patching"
    >
      <h2 class="text-lg font-semibold">Patch by rule</h2>
      <AutoPatchForm :show="store.view" :selected="selection.fixtures" />
      <button
        v-if="selection.fixtures.length"
        type="button"
        class="quiet-button py-1.5"
        :disabled="isUnpatching"
        @click="unpatch"
      >
        Take {{ selection.fixtures.length }} off the patch
      </button>
      <section aria-labelledby="patch-levels" class="border-t border-rule pt-3">
        <h2 id="patch-levels" class="mb-1 text-lg font-semibold">Levels</h2>
        <p class="mb-2 text-sm text-mist">
          What every channel is worth as the stage is seen now, with what is brought out by highlight.
        </p>
        <button
          type="button"
          class="chip"
          :class="isLive ? 'chip-on' : ''"
          :aria-pressed="isLive"
          @click="isLive = !isLive"
        >
          Show levels
        </button>
      </section>
      <section aria-labelledby="patch-faults" class="border-t border-rule pt-3">
        <h2 id="patch-faults" class="mb-1 text-lg font-semibold">Clashes</h2>
        <p v-if="faults.length === 0" class="text-sm text-kelp">No channel is taken twice, none runs past 512.</p>
        <template v-else>
          <p class="mb-2 text-sm text-coral">{{ faults.length }} fixtures clash or run over.</p>
          <button type="button" class="chip" @click="selection.set(faults)">Select them</button>
        </template>
      </section>
      <p class="mt-auto text-sm text-haze">
        Universes count from 1 here and on streaming protocols that do. Each map also says the number on the wire where
        a protocol counts from 0.
      </p>
    </aside>
    <section class="relative min-h-0 border-t border-rule bg-deck" aria-label="Patch table">
      <PanelEdge panel="tables" grows="up" />
      <PatchTable class="h-full" :show="store.view" />
    </section>
  </main>
</template>
