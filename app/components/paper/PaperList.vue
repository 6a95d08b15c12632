<script setup lang="ts">
/** The papers to be printed in their order, each with what can be chosen of it; and those there are beside them. */
import { Plus } from '@lucide/vue'
import { computed, useTemplateRef } from 'vue'
import { PAPER_TITLES } from '#core/show/papers'
import { PAGE_SIZES } from '#core/paper/pageSizes'
import type { Show } from '#core/show/show'
import { usePaperRoom } from '../../stores/paperRoom'
import { useReorder } from '../../composables/table/useReorder'
import PaperRow from './PaperRow.vue'

defineProps<{ show: Show }>()
const room = usePaperRoom()
const list = useTemplateRef<HTMLElement>('list')
const names = computed(() => room.choice.papers.map(({ paper }) => paper))
const { shift } = useReorder(list, () => names.value, room.order)
const SIZES = PAGE_SIZES.map((key) => ({ key, name: key }))
</script>

<template>
  <header class="flex items-center border-b border-rule px-4 py-2">
    <h2 class="font-semibold">Papers</h2>
    <SwitchField
      class="ml-auto"
      label="Size of the paper"
      :options="SIZES"
      :value="room.choice.size"
      @choose="room.setSize"
    />
  </header>
  <div class="min-h-0 flex-1 overflow-y-auto">
    <p v-if="names.length === 0" class="px-4 py-3 text-sm text-mist">
      Nothing is chosen. Add papers below; they are printed from top to bottom, into one file.
    </p>
    <ul ref="list" aria-label="Papers to be printed">
      <PaperRow
        v-for="(wish, i) in room.choice.papers"
        :key="wish.paper"
        :show="show"
        :wish="wish"
        :is-first="i === 0"
        :is-last="i === names.length - 1"
        @shift="(by) => shift(wish.paper, by)"
      />
    </ul>
    <section v-if="room.others.length" class="px-4 py-3" aria-label="Papers there are beside them">
      <h3 class="mb-1.5 text-xs text-haze">Add</h3>
      <div class="flex flex-wrap gap-1.5">
        <button
          v-for="paper in room.others"
          :key="paper"
          type="button"
          class="chip flex items-center gap-1"
          @click="room.add(paper)"
        >
          <Plus :size="12" aria-hidden="true" />{{ PAPER_TITLES[paper] }}
        </button>
      </div>
    </section>
  </div>
</template>
