<script setup lang="ts">
/** Every list as it runs; the one looked at has the main button. */
import { computed } from 'vue'
import { listsInOrder } from '#core/cues/tracking'
import type { CueListId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import RunList from './RunList.vue'

const props = defineProps<{ show: Show; main: CueListId | null }>()
const lists = computed(() => listsInOrder(props.show))
</script>

<template>
  <div
    class="grid max-h-32 grid-cols-[repeat(auto-fit,minmax(460px,1fr))] gap-x-6 gap-y-2 overflow-y-auto border-t border-rule bg-deck px-4 py-2"
    role="group"
    aria-label="Running"
  >
    <RunList
      v-for="list in lists"
      :key="list.id"
      :show="show"
      :list="list"
      :is-main="list.id === (main ?? lists[0]?.id)"
    />
  </div>
</template>
