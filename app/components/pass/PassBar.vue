<script setup lang="ts">
/** How far the pass is, whether the stage follows, and the words on what is checked. */
import { computed } from 'vue'
import { progressInWords } from '../../composables/refocus/passWords'
import { usePass } from '../../stores/pass'
import { usePassNudges } from '../../stores/passNudges'

const pass = usePass()
const nudges = usePassNudges()
const part = computed(() => (pass.progress.all > 0 ? pass.progress.done / pass.progress.all : 0))
const isImpossible = computed(() => pass.line?.state === 'cannot be done here')
</script>

<template>
  <div
    class="flex flex-wrap items-center gap-x-5 gap-y-2 border-t border-rule bg-deck px-4 py-3"
    role="group"
    aria-label="Check"
  >
    <div class="w-52">
      <p class="font-semibold">{{ progressInWords(pass.progress) }}</p>
      <div
        class="mt-1 h-1.5 rounded-full bg-plank-2"
        role="progressbar"
        aria-label="Palettes checked"
        :aria-valuenow="pass.progress.done"
        aria-valuemin="0"
        :aria-valuemax="pass.progress.all"
      >
        <div class="h-full rounded-full bg-kelp" :style="{ width: `${part * 100}%` }" />
      </div>
    </div>
    <button
      type="button"
      class="chip"
      :class="pass.isLive ? 'chip-on' : ''"
      :aria-pressed="pass.isLive"
      :disabled="pass.takenByOther !== null && !pass.isLive"
      title="Brings what is checked up on the stage; nothing of it is recorded"
      @click="pass.setLive(!pass.isLive)"
    >
      {{ pass.isLive ? 'The stage follows' : 'Let the stage follow' }}
    </button>
    <div class="ml-auto flex items-center gap-2">
      <button type="button" class="quiet-button" :disabled="!nudges.isTouchedUp" @click="nudges.putBack()">
        Put back
      </button>
      <button type="button" class="quiet-button" @click="pass.mark(isImpossible ? null : 'cannot be done')">
        {{ isImpossible ? 'Can be done' : 'Cannot be done here' }}
      </button>
      <button type="button" class="quiet-button" @click="pass.mark('another look')">Another look</button>
      <button type="button" class="main-button" :disabled="!pass.line?.fixtures.length" @click="pass.confirm()">
        {{ pass.fixture === null ? 'Right, go on' : 'Right, next fixture' }} <span class="key">Space</span>
      </button>
    </div>
  </div>
</template>
