<script setup lang="ts">
/** The stand-in rig's own page: the stage as the house sees it, lit by what the rig really does. */
import { computed, ref } from 'vue'
import { showRecordOf } from '#core/show/show'
import { usePractice } from '../composables/standIn/usePractice'
import StandInPanel from '../components/standIn/StandInPanel.vue'

const practice = usePractice()
const { drawn, hung, pictures, isGone } = practice
const isRevealed = ref(false)
const picture = computed(() => ({ fixtures: pictures.value, ways: [] }))
const lit = computed(() => pictures.value.filter(({ intensity }) => intensity > 0.01).length)
const state = computed(() => {
  if (isGone.value) return 'It has stopped. Start it again from the Output room.'
  if (pictures.value.length === 0) return 'Nothing comes in yet: switch an output on.'
  return `${lit.value} of ${pictures.value.length} lights on`
})
</script>

<template>
  <div class="grid h-full grid-rows-[auto_minmax(0,1fr)]">
    <header class="flex items-baseline gap-3 border-b border-rule bg-deck px-4 py-2">
      <h1 class="flex items-center gap-2 self-center text-lg font-bold">
        <img src="/icon.svg" alt="" width="22" height="22" />Stand-in rig
      </h1>
      <p v-if="drawn" class="text-mist">{{ showRecordOf(drawn).name }}</p>
      <p class="ml-auto text-sm" :class="isGone ? 'text-coral' : 'text-mist'" role="status">{{ state }}</p>
    </header>
    <main v-if="hung && drawn" class="grid min-h-0 grid-cols-[minmax(0,1fr)_320px]">
      <LazyStageSpace :show="hung" :picture="picture" />
      <StandInPanel
        :show="drawn"
        :practice="practice"
        :is-revealed="isRevealed"
        @reveal="(shown) => (isRevealed = shown)"
      />
    </main>
    <main v-else class="grid place-items-center p-6">
      <p class="max-w-sm text-center text-mist">
        {{
          isGone
            ? 'No stand-in rig answers here. It is started in the Output room, or by npm run stand-in, and says where its page is.'
            : 'The rig is being hung.'
        }}
      </p>
    </main>
  </div>
</template>
