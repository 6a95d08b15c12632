<script setup lang="ts">
/** One table as it was read: what is good, and each fault by line, column and reason. */
import { X } from '@lucide/vue'
import { computed } from 'vue'
import { TABLE_WORDS } from '#core/exchange/tableKind'
import { counted } from '#core/show/counted'
import { previewedRows } from '../../composables/exchange/previewedRows'
import type { ReadTable } from '../../composables/exchange/useTableImport'

const props = defineProps<{ table: ReadTable }>()
const emit = defineEmits<{ drop: [] }>()

const PREVIEWED = 6

const summary = computed(() => {
  const { reading } = props.table
  if (reading.kind === 'unknown') return reading.message
  const refused = new Set(reading.problems.filter((p) => p.severity === 'refused').map((p) => p.line)).size
  const parts = [`${reading.rows.length} of ${counted(reading.total, TABLE_WORDS[reading.kind])} can come in`]
  if (reading.alreadyThere > 0) parts.push(`${reading.alreadyThere} already in the show, left as they are`)
  if (refused > 0) parts.push(`${refused} left out`)
  return `${parts.join('; ')}.`
})

/** The rows as they were understood. */
const preview = computed(() => previewedRows(props.table.reading))
const problems = computed(() => (props.table.reading.kind === 'unknown' ? [] : props.table.reading.problems))
</script>

<template>
  <section class="mt-4 rounded-lg border border-rule" :aria-label="table.name">
    <header class="flex items-baseline gap-3 border-b border-rule px-3 py-2">
      <h3 class="font-semibold">{{ table.name }}</h3>
      <p class="flex-1" :class="table.reading.kind === 'unknown' ? 'text-coral' : 'text-mist'">{{ summary }}</p>
      <IconButton
        :icon="X"
        :size="15"
        class="text-mist hover:text-sail"
        :aria-label="`Leave ${table.name} out`"
        @click="emit('drop')"
      />
    </header>
    <table v-if="problems.length" class="w-full text-sm">
      <caption class="sr-only">
        Rows to look at in
        {{
          table.name
        }}
      </caption>
      <thead>
        <tr class="text-left text-haze">
          <th scope="col" class="px-3 py-1 font-normal">line</th>
          <th scope="col" class="px-3 font-normal">column</th>
          <th scope="col" class="px-3 font-normal">why</th>
          <th scope="col" class="px-3 font-normal">row</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(problem, i) in problems" :key="i" class="border-t border-rule/60">
          <td class="px-3 py-1 font-mono">{{ problem.line }}</td>
          <td class="px-3 font-mono">{{ problem.column ?? 'whole row' }}</td>
          <td class="px-3">{{ problem.message }}</td>
          <td class="px-3 whitespace-nowrap" :class="problem.severity === 'refused' ? 'text-coral' : 'text-brass'">
            {{ problem.severity === 'refused' ? 'left out' : 'comes in, look' }}
          </td>
        </tr>
      </tbody>
    </table>
    <table v-if="preview.length" class="w-full border-t border-rule font-mono text-sm text-mist">
      <caption class="sr-only">
        First rows of
        {{
          table.name
        }}
      </caption>
      <tbody>
        <tr v-for="(row, i) in preview.slice(0, PREVIEWED)" :key="i">
          <td v-for="(cell, j) in row" :key="j" class="px-3 py-0.5">{{ cell }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="preview.length > PREVIEWED" class="px-3 pb-2 text-sm text-haze">
      and {{ preview.length - PREVIEWED }} more
    </p>
  </section>
</template>
