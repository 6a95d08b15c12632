<script setup lang="ts">
/** The stand-in rig, started and stopped: something to practise on while no rig is there. */
import { useStandInStatus } from '../../composables/standIn/useStandInStatus'
import { useShow } from '../../stores/show'

const store = useShow()
const { status, trouble, isBusy, start, stop } = useStandInStatus(() => store.view?.id)
</script>

<template>
  <section class="flex flex-col gap-2 border-t border-rule px-4 py-3 text-sm" aria-label="Stand-in rig">
    <div class="flex items-baseline gap-2">
      <h2 class="text-base font-semibold">Stand-in rig</h2>
      <span v-if="status?.state === 'on'" class="text-xs text-kelp">runs</span>
      <button v-if="status?.state === 'on'" type="button" class="chip ml-auto" :disabled="isBusy" @click="stop">
        Stop
      </button>
      <button v-else type="button" class="chip ml-auto" :disabled="isBusy || status === null" @click="start">
        {{ isBusy ? 'Starting' : 'Start' }}
      </button>
    </div>
    <p v-if="status?.state === 'on'" class="text-mist">
      It hears what goes out on this machine.
      <a class="text-kelp underline" :href="status.url" target="_blank" rel="noopener">Its page</a>
      shows what the house sees.
    </p>
    <p v-else-if="status?.state === 'of another show'" class="text-mist">
      It runs for {{ status.name }}. Starting it here ends it there.
    </p>
    <p v-else class="text-mist">A rig to practise on: this one, with errors nobody is told of.</p>
    <p v-if="trouble" class="text-coral" role="alert">{{ trouble }}</p>
  </section>
</template>
