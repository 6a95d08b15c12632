<script setup lang="ts">
/** The pass as it is gone through on the stage. */
import { computed } from 'vue'
import { mayRun } from '#core/access/roles'
import { passOrder } from '#core/refocus/passOrder'
import { entity, showRecordOf } from '#core/show/show'
import BeginPass from '../../../components/pass/BeginPass.vue'
import PassOnStage from '../../../components/pass/PassOnStage.vue'
import { usePass } from '../../../stores/pass'
import { useShow } from '../../../stores/show'

const store = useShow()
const pass = usePass()
const venue = computed(() => (store.view ? entity(store.view, 'venue', showRecordOf(store.view).venue).name : ''))
const mayBegin = computed(() => mayRun(store.role, 'beginPass'))
const palettes = computed(() => (store.view ? passOrder(store.view, 'by cue').length : 0))
</script>

<template>
  <PassOnStage v-if="store.view && pass.pass" :show="store.view" />
  <main v-else-if="store.view" class="grid place-items-center overflow-y-auto p-4">
    <BeginPass v-if="mayBegin" :venue="venue" :palettes="palettes" />
    <p v-else class="max-w-sm text-lg text-mist">
      No pass has been begun at {{ venue }} yet. Who programs the show begins one in the Refocus room; it comes up here
      by itself.
      <NuxtLink :to="`/shows/${store.view.id}/focus`" class="mt-3 block text-sail underline"
        >Look at the stage</NuxtLink
      >
    </p>
  </main>
</template>
