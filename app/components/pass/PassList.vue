<script setup lang="ts">
/** The palettes of a pass in their order, with where each stands; in an order by hand they can be moved. */
import { ChevronDown, ChevronUp, StickyNote } from '@lucide/vue'
import { computed } from 'vue'
import type { PassLine } from '#core/refocus/pass'
import type { PaletteId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { STATE_INK } from '../../composables/refocus/passWords'
import { usePass } from '../../stores/pass'
import { useShow } from '../../stores/show'

const props = defineProps<{ show: Show }>()
const emit = defineEmits<{ look: [palette: PaletteId] }>()
const pass = usePass()
const store = useShow()

const used = computed(() => pass.lines.filter(({ cues }) => cues > 0))
const parts = computed(() => [
  { name: null, lines: used.value },
  { name: 'In no cue', lines: pass.lines.filter(({ cues }) => cues === 0) },
])
const nameOf = ({ palette }: PassLine) => props.show.all.palette.get(palette)?.name ?? ''
const numberOf = ({ palette }: PassLine) => props.show.all.palette.get(palette)?.number ?? ''
function holderOf({ takenBy }: PassLine): string | null {
  if (takenBy === null) return null
  return takenBy === store.person ? 'on stage' : (props.show.all.person.get(takenBy)?.name ?? 'taken')
}
const isByHand = computed(() => pass.pass?.pass.order === 'by hand')

/** One place up or down the order. */
function move(at: number, by: 1 | -1) {
  const palettes = used.value.map(({ palette }) => palette)
  const [moved] = palettes.splice(at, 1)
  if (moved === undefined) return
  palettes.splice(at + by, 0, moved)
  void store.send('orderPass', { palettes })
}
</script>

<template>
  <nav class="min-h-0 flex-1 overflow-y-auto" aria-label="Palettes of the pass">
    <template v-for="part in parts" :key="part.name ?? ''">
      <h3
        v-if="part.name && part.lines.length"
        class="border-b border-rule px-4 pt-4 pb-1 text-xs text-haze uppercase tracking-wide"
      >
        {{ part.name }}
      </h3>
      <ul v-if="part.lines.length" :aria-label="part.name ?? 'In cues'">
        <li
          v-for="(line, at) in part.lines"
          :key="line.palette"
          class="group flex items-stretch border-b border-rule/60"
          :class="
            pass.line?.palette === line.palette
              ? 'bg-plank-2 shadow-[inset_3px_0_0_var(--color-coral)]'
              : 'hover:bg-plank'
          "
        >
          <button
            type="button"
            class="flex min-w-0 flex-1 items-baseline gap-2 py-1.5 pr-3 pl-4 text-left in-data-touch:py-3 in-data-touch:text-lg"
            :aria-current="pass.line?.palette === line.palette"
            @click="emit('look', line.palette)"
          >
            <span class="w-7 shrink-0 font-mono text-mist">{{ numberOf(line) }}</span>
            <span class="truncate" :class="pass.line?.palette === line.palette ? 'font-semibold' : ''">{{
              nameOf(line)
            }}</span>
            <StickyNote v-if="line.note" :size="12" class="shrink-0 text-brass" aria-label="has a note" />
            <span class="ml-auto shrink-0 text-sm" :class="holderOf(line) ? 'text-coral' : STATE_INK[line.state]">{{
              holderOf(line) ?? line.state
            }}</span>
          </button>
          <span v-if="isByHand && part.name === null" class="flex shrink-0 items-center pr-1 in-data-touch:hidden">
            <IconButton
              :icon="ChevronUp"
              :size="13"
              class="p-0.5 text-haze hover:text-sail disabled:opacity-30"
              :disabled="at === 0"
              :aria-label="`${nameOf(line)} earlier`"
              @click="move(at, -1)"
            />
            <IconButton
              :icon="ChevronDown"
              :size="13"
              class="p-0.5 text-haze hover:text-sail disabled:opacity-30"
              :disabled="at === part.lines.length - 1"
              :aria-label="`${nameOf(line)} later`"
              @click="move(at, 1)"
            />
          </span>
        </li>
      </ul>
    </template>
  </nav>
</template>
