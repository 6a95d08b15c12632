<script setup lang="ts">
/**
 * Finds anything by name or number, and does with it what is asked: Enter the first thing, with Shift the second.
 * Not Headless UI's combobox: that takes Home and End from who types, and does not tell Shift Enter from Enter.
 */
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { Search } from '@lucide/vue'
import { computed, nextTick, ref, useId, useTemplateRef, watch } from 'vue'
import type { Show } from '#core/show/show'
import { useFindings, type Deed, type FindResult } from '../../composables/keys/useFindings'

const props = defineProps<{ show: Show; open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const id = useId()
const list = useTemplateRef<HTMLElement>('list')
const text = ref('')
const at = ref(0)
const findings = useFindings(
  () => props.show,
  () => text.value,
)
const active = computed(() => findings.value[at.value] ?? null)
const deeds = computed(() => active.value?.deeds() ?? [])
watch(text, () => (at.value = 0))
watch(
  () => props.open,
  () => (text.value = ''),
)

/** To another of what was found, round and round. */
async function step(by: 1 | -1) {
  const count = findings.value.length
  if (count > 0) at.value = (at.value + by + count) % count
  await nextTick()
  list.value?.querySelector('[aria-selected=true]')?.scrollIntoView({ block: 'nearest' })
}

function act(deed: Deed | undefined) {
  if (!deed) return
  emit('close')
  deed.run()
}
const nameOf = ({ number, name, about }: FindResult) => [number, name, about].filter((part) => part !== null).join(' ')
</script>

<template>
  <Dialog :open="open" class="fixed inset-0 z-50" @close="emit('close')">
    <div class="absolute inset-0 bg-night/50" aria-hidden="true" />
    <div class="absolute inset-x-0 top-16 flex justify-center px-6">
      <DialogPanel
        class="flex max-h-[70vh] w-full max-w-xl flex-col overflow-hidden rounded-xl border border-rule-2 bg-deck shadow-2xl shadow-night"
      >
        <DialogTitle class="sr-only">Find anything</DialogTitle>
        <div class="flex items-center gap-2.5 border-b border-rule px-4 py-3">
          <Search :size="16" class="shrink-0 text-haze" aria-hidden="true" />
          <input
            v-model="text"
            class="min-w-0 flex-1 bg-transparent text-lg text-sail placeholder:text-haze focus:outline-none"
            role="combobox"
            aria-label="Name or number"
            aria-autocomplete="list"
            aria-expanded="true"
            :aria-controls="`${id}-found`"
            :aria-activedescendant="active ? `${id}-${at}` : undefined"
            placeholder="A name, a number, or both: bow, cue 14, group booms"
            autocomplete="off"
            @keydown.down.prevent="step(1)"
            @keydown.up.prevent="step(-1)"
            @keydown.enter.prevent="act(deeds[$event.shiftKey ? 1 : 0])"
          />
        </div>
        <ul
          :id="`${id}-found`"
          ref="list"
          class="min-h-0 flex-1 overflow-y-auto"
          :class="findings.length ? 'py-1.5' : ''"
          role="listbox"
          aria-label="Found"
        >
          <li
            v-for="(finding, i) in findings"
            :id="`${id}-${i}`"
            :key="finding.id"
            class="flex cursor-pointer items-baseline gap-3 px-4 py-1.5"
            :class="i === at ? 'bg-plank-2' : ''"
            role="option"
            :aria-selected="i === at"
            :aria-label="nameOf(finding)"
            @pointermove="at = i"
            @click="act(deeds[$event.shiftKey ? 1 : 0])"
          >
            <span class="w-9 shrink-0 text-right font-mono text-sm text-mist">{{ finding.number ?? '' }}</span>
            <span class="min-w-0 truncate font-semibold">{{ finding.name }}</span>
            <span class="min-w-0 flex-1 truncate text-sm text-mist">{{ finding.about }}</span>
            <span v-if="finding.key" class="key shrink-0">{{ finding.key }}</span>
          </li>
        </ul>
        <p v-if="!text.trim()" class="px-4 py-3 text-mist">
          Finds palettes, targets, groups, cues, fixtures, hangs and set pieces, and what can be done here.
        </p>
        <p v-else-if="findings.length === 0" class="px-4 py-3 text-mist" role="status">
          Nothing is called or numbered “{{ text.trim() }}”.
        </p>
        <footer v-if="active" class="flex flex-wrap gap-x-4 border-t border-rule px-4 py-2 text-sm text-mist">
          <button
            v-for="(deed, i) in deeds"
            :key="deed.words"
            type="button"
            class="flex items-center gap-1 hover:text-sail"
            @click="act(deed)"
          >
            {{ deed.words }}<span v-if="i < 2" class="key">{{ i === 0 ? 'Enter' : 'Shift Enter' }}</span>
          </button>
        </footer>
      </DialogPanel>
    </div>
  </Dialog>
</template>
