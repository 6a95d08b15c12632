<script setup lang="ts">
/** The pass in the Refocus room: the drawing, the palette that is checked, and the bar with what is said of it. */
import type { Show } from '#core/show/show'
import { usePassKeys } from '../../composables/keys/usePassKeys'
import PassBar from './PassBar.vue'
import PassPanel from './PassPanel.vue'
import PassView from './PassView.vue'

defineProps<{ show: Show }>()
usePassKeys()
</script>

<template>
  <div class="grid min-h-0 grid-cols-[minmax(0,1fr)_310px] grid-rows-[minmax(0,1fr)_auto]">
    <PassView :show="show" />
    <aside class="min-h-0 overflow-y-auto border-l border-rule bg-deck" aria-label="Checked now">
      <PassPanel :show="show" />
    </aside>
    <PassBar class="col-span-2" />
  </div>
</template>
