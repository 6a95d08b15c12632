<script setup lang="ts">
/** What a palette holds before and after, line by line; what changes comes first. */
import { computed } from 'vue'
import type { ComparedLine } from '#core/refocus/paletteLines'

const props = defineProps<{ lines: readonly ComparedLine[]; isNew: boolean }>()
/** More lines than this are counted. */
const MOST = 120

const shown = computed(() => props.lines.slice(0, MOST))
const changed = computed(() => props.lines.filter(({ before, after }) => before !== after).length)
</script>

<template>
  <div class="max-h-32 overflow-y-auto rounded-md border border-rule" tabindex="0">
    <table class="w-full table-fixed text-xs">
      <caption class="sr-only">
        What the palette holds before and after
      </caption>
      <thead class="sticky top-0 bg-deck text-left text-haze">
        <tr>
          <th class="px-1.5 py-0.5 font-normal" :class="isNew ? 'w-[92px]' : 'w-[72px]'">serves</th>
          <th class="w-[52px] px-1 font-normal">what</th>
          <th v-if="!isNew" class="px-1 font-normal">before</th>
          <th class="px-1 font-normal">{{ isNew ? 'value' : 'after' }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in shown" :key="line.id" :class="line.before === line.after ? 'text-haze' : ''">
          <td class="truncate px-1.5 py-px" :title="line.whom">{{ line.whom }}</td>
          <td class="truncate px-1">{{ line.attribute }}</td>
          <td v-if="!isNew" class="truncate px-1 text-mist" :title="line.before ?? ''">{{ line.before ?? '–' }}</td>
          <td
            class="truncate px-1"
            :class="line.after === null ? 'text-coral' : line.before === line.after ? '' : 'text-kelp'"
            :title="line.after ?? ''"
          >
            {{ line.after ?? 'taken out' }}
          </td>
        </tr>
      </tbody>
    </table>
    <p class="px-1.5 py-0.5 text-xs text-haze">
      {{ changed }} of {{ lines.length }} change<template v-if="lines.length > MOST"
        >; the first {{ MOST }} are shown</template
      >
    </p>
  </div>
</template>
