<script setup lang="ts">
/** What a rig file would bring, item by item, each to be taken or left. */
import { computed, ref } from 'vue'
import { useVirtualizer } from '@tanstack/vue-virtual'
import type { RigItem } from '#core/exchange/mvr/rigItem'
import type { Note } from '#core/exchange/notes'

const props = defineProps<{
  items: readonly RigItem[]
  notes: readonly Note[]
  isTaken: (item: RigItem) => boolean
}>()
const emit = defineEmits<{ take: [items: readonly RigItem[], isWanted: boolean] }>()

const NAMES = {
  type: 'Types',
  hang: 'Hangs',
  fixture: 'Fixtures',
  group: 'Groups',
  target: 'Targets',
  'set piece': 'Set pieces',
  underlay: 'Under the plan',
} as const
const KINDS = ['type', 'hang', 'fixture', 'group', 'target', 'set piece', 'underlay'] as const
/** Layers are told apart where set pieces stand in several. */
type Shown = (typeof KINDS)[number] | 'all' | 'notes' | `layer ${string}`
const layers = computed(() => {
  const known = new Set(props.items.flatMap(({ layer }) => layer ?? []))
  return known.size > 1 ? [...known].sort() : []
})
const shown = ref<Shown>('all')
const tabs = computed(() => [
  { key: 'all' as const, name: 'All', count: props.items.length },
  ...KINDS.map((key) => ({
    key,
    name: NAMES[key],
    count: props.items.filter(({ kind }) => kind === key).length,
  })).filter(({ count }) => count > 0),
  ...layers.value.map((layer) => ({
    key: `layer ${layer}` as const,
    name: layer || 'in no layer',
    count: props.items.filter((item) => item.layer === layer).length,
  })),
  { key: 'notes' as const, name: 'Said of it', count: props.notes.length },
])
const rows = computed(() =>
  props.items.filter(
    ({ kind, layer }) => shown.value === 'all' || kind === shown.value || `layer ${layer ?? ''}` === shown.value,
  ),
)
const WHAT = {
  new: 'new',
  place: 'elsewhere',
  address: 'address',
  number: 'number',
  name: 'name',
  type: 'type, mode',
  modes: 'modes it lacks',
  members: 'more members',
} as const

const list = ref<HTMLElement | null>(null)
const ROW = 26
const virtual = useVirtualizer(
  computed(() => ({
    count: rows.value.length,
    getScrollElement: () => list.value,
    estimateSize: () => ROW,
    overscan: 12,
  })),
)
const seen = computed(() =>
  virtual.value.getVirtualItems().flatMap(({ index, start }) => {
    const item = rows.value[index]
    return item ? [{ item, start }] : []
  }),
)
const all = computed(() => rows.value.length > 0 && rows.value.every(props.isTaken))
</script>

<template>
  <div class="flex min-h-0 flex-col">
    <div class="flex items-start gap-1 border-b border-rule px-3 py-2">
      <div class="flex flex-1 flex-wrap gap-1" role="tablist" aria-label="Kinds of things">
        <button
          v-for="tab in tabs"
          :key="tab.key"
          type="button"
          role="tab"
          class="chip px-2 py-0.5"
          :class="shown === tab.key ? 'border-kelp font-semibold text-sail' : 'text-mist'"
          :aria-selected="shown === tab.key"
          @click="shown = tab.key"
        >
          {{ tab.name }} <span class="text-haze">{{ tab.count }}</span>
        </button>
      </div>
      <button
        v-if="shown !== 'notes' && rows.length"
        type="button"
        class="chip px-2 py-0.5"
        @click="emit('take', rows, !all)"
      >
        {{ all ? 'Leave all these' : 'Take all these' }}
      </button>
    </div>
    <ul
      v-if="shown === 'notes'"
      class="min-h-0 flex-1 overflow-y-auto p-3 text-sm"
      tabindex="0"
      aria-label="Said of it"
    >
      <li v-for="(note, i) in notes" :key="i" class="flex gap-2 border-b border-rule/60 py-1">
        <span class="w-28 shrink-0" :class="note.severity === 'lost' ? 'text-coral' : 'text-brass'">
          {{ note.severity === 'lost' ? 'does not come' : 'comes in, look' }}
        </span>
        <span
          ><strong class="font-semibold">{{ note.about }}</strong> {{ note.message }}.</span
        >
      </li>
      <li v-if="notes.length === 0" class="text-mist">All of it was understood.</li>
    </ul>
    <div v-else ref="list" class="min-h-0 flex-1 overflow-y-auto" tabindex="0" role="region" aria-label="What comes in">
      <p v-if="rows.length === 0" class="p-4 text-mist">The show has all of this just as the file has it.</p>
      <ul class="relative" :style="{ height: `${virtual.getTotalSize()}px` }">
        <li
          v-for="{ item, start } in seen"
          :key="item.key"
          class="absolute inset-x-0 grid grid-cols-[auto_64px_minmax(0,1fr)_92px_minmax(0,2.2fr)] items-center gap-2 border-b border-rule/60 px-3 text-sm"
          :style="{ top: `${start}px`, height: `${ROW}px` }"
        >
          <input
            type="checkbox"
            class="accent-kelp"
            :aria-label="`${item.kind} ${item.name}: ${WHAT[item.what]}`"
            :checked="isTaken(item)"
            @change="emit('take', [item], !isTaken(item))"
          />
          <span class="truncate text-haze">{{ item.kind }}</span>
          <span class="truncate" :class="isTaken(item) ? '' : 'text-haze line-through'">{{ item.name }}</span>
          <span class="truncate" :class="item.what === 'new' ? 'text-kelp' : 'text-brass'">{{ WHAT[item.what] }}</span>
          <span class="truncate font-mono text-xs text-mist" :title="item.after">
            <template v-if="item.before">{{ item.before }} → </template>{{ item.after }}
          </span>
        </li>
      </ul>
    </div>
  </div>
</template>
