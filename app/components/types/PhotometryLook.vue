<script setup lang="ts">
/** What a photometric file tells, and where it goes in the table of a zoom. */
import { computed, ref } from 'vue'
import type { Photometry } from '#core/exchange/photometry/photometry'
import type { Optics } from '#core/show/entities'
import LightCurve from './LightCurve.vue'

const props = defineProps<{ file: string; read: Photometry; optics: Optics; trouble: string | null }>()
const emit = defineEmits<{ put: [instead: number | null]; drop: [] }>()

const NEW = 'new'
const nearest = computed(() =>
  props.optics.reduce(
    (best, { beam }, i) =>
      Math.abs(beam - props.read.row.beam) < Math.abs((props.optics[best]?.beam ?? 0) - props.read.row.beam) ? i : best,
    0,
  ),
)
/** A row of the same beam angle is what was measured; else it is one more. */
const isSame = computed(() => Math.abs((props.optics[nearest.value]?.beam ?? 0) / props.read.row.beam - 1) < 0.1)
const where = ref<string | null>(isSame.value || props.optics.length === 1 ? `${nearest.value}` : NEW)
const options = computed(() => [
  { key: NEW, name: 'as a new row' },
  ...props.optics.map(({ beam }, i) => ({ key: `${i}`, name: `instead of ${beam}°` })),
])
const round = (value: number) => Math.round(value).toLocaleString('en')
const facts = computed(() => {
  const { row, lumen } = props.read
  return [
    ['beam', `${row.beam.toFixed(1)}°`],
    ['field', `${row.field.toFixed(1)}°`],
    ['peak', `${round(row.candela)} cd`],
    ['light', `${round(lumen)} lm`],
    [
      'measured',
      `${row.measured.planes.length === 1 ? 'round' : `${row.measured.planes.length} planes`}, ${row.measured.off.length} angles`,
    ],
  ]
})
</script>

<template>
  <section class="flex flex-col gap-2 rounded-md border border-rule bg-plank p-3" :aria-label="`Light of ${file}`">
    <p>
      <span class="font-semibold">{{ read.name || file }}</span>
      <span class="ml-2 text-sm text-mist">{{ [read.maker, read.kind].filter((word) => word).join(', ') }}</span>
    </p>
    <div class="flex items-end gap-4">
      <LightCurve :row="read.row" :width="210" :height="84" />
      <dl class="grid grid-cols-[auto_1fr] gap-x-3 text-sm">
        <template v-for="[what, value] in facts" :key="what">
          <dt class="text-haze">{{ what }}</dt>
          <dd class="font-mono">{{ value }}</dd>
        </template>
      </dl>
      <p v-if="read.row.measured.planes.length > 1" class="ml-auto self-start text-right text-xs text-haze">
        <span class="text-brass">across</span> and <span class="text-shoal">upright</span>
      </p>
    </div>
    <p v-for="note in read.notes" :key="note.message" class="text-sm text-brass">
      {{ note.about }}: {{ note.message }}.
    </p>
    <p v-if="trouble" class="text-coral" role="alert">{{ trouble }}</p>
    <div class="flex items-end gap-2">
      <DraftChoice v-model="where" class="w-44" label="It goes in" :options="options" />
      <button type="button" class="quiet-button py-1" @click="emit('drop')">Leave it</button>
      <button
        type="button"
        class="main-button py-1"
        @click="emit('put', where === NEW || where === null ? null : Number(where))"
      >
        Put it in the table
      </button>
    </div>
  </section>
</template>
