<script setup lang="ts">
/** The names of hangs and numbers of fixtures over the carry sheet. */
import { computed } from 'vue'
import type { SheetColumn, SheetHang } from '../../composables/sheet/useSheetColumns'

const props = defineProps<{
  columns: readonly SheetColumn[]
  hangs: readonly SheetHang[]
  width: number
  height: number
  cell: number
}>()
/** Where cells are narrow only some carry their number. */
const numbered = computed(() => {
  const digits = Math.max(0, ...props.columns.map(({ number }) => String(number).length))
  const apart = Math.max(1, Math.ceil((digits * 6.2 + 5) / props.cell))
  const start = new Set(props.hangs.map(({ x }) => x))
  let since = 0
  return props.columns.filter(({ x }) => {
    since = start.has(x) ? 0 : since + 1
    return since % apart === 0
  })
})
</script>

<template>
  <svg :width="width" :height="height" class="block" aria-hidden="true">
    <text v-for="hang in hangs" :key="hang.name" :x="hang.x" y="13" class="fill-sail text-[11px]">{{ hang.name }}</text>
    <text v-for="column in numbered" :key="column.id" :x="column.x" y="27" class="fill-haze font-mono text-[10px]">
      {{ column.number }}
    </text>
  </svg>
</template>
