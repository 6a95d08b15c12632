<script setup lang="ts">
/** Says on every room that a working set is on. */
import { Lock } from '@lucide/vue'
import { useWorkingSet } from '../../stores/workingSet'

const workingSet = useWorkingSet()
</script>

<template>
  <div
    v-if="workingSet.current"
    class="flex shrink-0 items-center gap-2 border-b border-kelp/60 bg-kelp-deep px-3 py-1 text-sm"
    role="status"
  >
    <Lock :size="14" class="text-kelp" aria-hidden="true" />
    <p class="min-w-0 truncate">
      Working set <strong>{{ workingSet.name }}</strong> is on in this window: only its
      {{ workingSet.members?.size }} fixtures can be selected, changed and recorded.
    </p>
    <button type="button" class="chip ml-auto shrink-0 py-0.5" @click="workingSet.turnOff()">Turn it off</button>
  </div>
</template>
