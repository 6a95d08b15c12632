<script setup lang="ts">
/** How far the cues were looked through, while that goes on; it can be stopped, and taken up again. */
import { useTravelCheck } from '../../stores/travelCheck'
import CheckBar from './CheckBar.vue'

const check = useTravelCheck()
</script>

<template>
  <div v-if="check.part !== null" class="mt-2 flex items-center gap-2 text-sm text-mist">
    <CheckBar :part="check.part" label="Looking through the cues" />
    <button type="button" class="chip px-1.5" @click="check.stop()">Stop</button>
  </div>
  <div v-else-if="check.isStopped" class="mt-2 flex items-center gap-2 text-sm text-mist">
    <span class="flex-1">Stopped: some may be missing here.</span>
    <button type="button" class="chip px-1.5" @click="check.look()">Look again</button>
  </div>
</template>
