<script setup lang="ts">
/** Says on every room that the stage shows what is checked in a pass, and by whom. */
import { Spotlight } from '@lucide/vue'
import { computed } from 'vue'
import { listInWords } from '#core/show/listInWords'
import type { Show } from '#core/show/show'
import { passInPlay } from '#core/refocus/pass'
import { useShow } from '../../stores/show'

const props = defineProps<{ show: Show }>()
const store = useShow()
const checks = computed(() =>
  passInPlay(props.show) === null
    ? []
    : [...props.show.all.person].flatMap(([id, { name, checking }]) => {
        const palette = checking === null ? undefined : props.show.all.palette.get(checking)
        return palette
          ? [
              {
                isMe: id === store.person,
                words: `${id === store.person ? 'you check' : `${name} checks`} ${palette.name}`,
              },
            ]
          : []
      }),
)
const words = computed(() => listInWords(checks.value.map((one) => one.words)))
const isMine = computed(() => checks.value.some(({ isMe }) => isMe))
</script>

<template>
  <div
    v-if="checks.length"
    class="flex shrink-0 items-center gap-2 border-b border-brass/60 bg-plank px-3 py-1 text-sm"
    role="status"
    aria-label="The stage shows a check"
  >
    <Spotlight :size="14" class="text-brass" aria-hidden="true" />
    <p class="min-w-0 truncate">The stage shows the pass: {{ words }}. Nothing of it is recorded.</p>
    <button
      v-if="isMine"
      type="button"
      class="chip ml-auto shrink-0 py-0.5"
      @click="store.send('checkPalette', { palette: null, only: null })"
    >
      Let go of the stage
    </button>
  </div>
</template>
