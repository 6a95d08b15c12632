<script setup lang="ts">
/**
 * The field selections are typed into. While one types it completes, shows on the stage what it
 * would select, and says what it does not understand; earlier entries come back with the up key.
 * Not Headless UI's combobox: Enter there takes the option, and Home, End and the up key are the list's.
 */
import { LEADING } from '#core/attributes/catalogue'
import { useLocalStorage } from '@vueuse/core'
import { computed, ref, watchEffect } from 'vue'
import { completionsOf, type Completion } from '#core/selection/entry'
import { parseLevelEntry } from '#core/selection/levelEntry'
import { entryWorldOf } from '#core/groups/entryWorld'
import type { Show } from '#core/show/show'
import { useStage } from '../../stores/stage'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import { useWorkingSet } from '../../stores/workingSet'

const props = defineProps<{ show: Show }>()
const store = useShow()
const stage = useStage()
const selection = useSelection()
const workingSet = useWorkingSet()

/** Entries remembered in this browser, the newest first. */
const REMEMBERED = 30
const KIND: Readonly<Record<Completion['kind'], string>> = { group: 'group', hang: 'hang', type: 'type', word: '' }
/** Below this a fixture counts as dark. */
const DARK = 0.01

const entry = ref('')
const isOpen = ref(false)
const field = ref<HTMLInputElement | null>(null)
/** The completion the arrow keys stand on; -1 for none. */
const at = ref(-1)
const remembered = useLocalStorage<string[]>('rhopander-entries', [])
/** How far back in the remembered entries one has gone; -1 for not at all. */
const back = ref(-1)
/** Said only after Enter: half an entry is not a mistake. */
const trouble = ref<string | null>(null)

const world = computed(() => {
  const lit = new Set([...stage.standing.values()].filter((f) => f.intensity > DARK).map((f) => f.rigged.id))
  return entryWorldOf(props.show, selection.whole, lit, workingSet.isIn)
})
const asked = computed(() => parseLevelEntry(entry.value, world.value))
const reading = computed(() => asked.value.selection)
const completions = computed(() => (isOpen.value && back.value < 0 ? completionsOf(entry.value, world.value) : []))
const outcome = computed(() => {
  if (trouble.value) return trouble.value
  if (entry.value.trim() === '') return ''
  if (!reading.value.ok) return 'not understood yet'
  const { length } = reading.value.fixtures
  const level = asked.value.level === null ? '' : `, at ${Math.round(asked.value.level * 100)} %`
  return length === 1 ? `selects 1${level}` : `selects ${length}${level}`
})
watchEffect(() => {
  stage.entryPreview = isOpen.value && entry.value.trim() !== '' && reading.value.ok ? reading.value.fixtures : []
})

function typed() {
  trouble.value = null
  at.value = -1
  back.value = -1
  isOpen.value = true
}

function complete(completion: Completion) {
  entry.value = completion.entry
  typed()
  field.value?.focus()
}

function select() {
  const chosen = completions.value[at.value]
  if (chosen) return complete(chosen)
  trouble.value = reading.value.ok ? null : reading.value.message
  if (!reading.value.ok || entry.value.trim() === '') return
  remembered.value = [entry.value, ...remembered.value.filter((other) => other !== entry.value)].slice(0, REMEMBERED)
  const { level } = asked.value
  const fixtures = [...reading.value.fixtures]
  selection.set(fixtures)
  if (level !== null && fixtures.length > 0)
    void store.send('setValue', { fixtures, attribute: LEADING.light, value: { kind: 'number', number: level } })
  leave()
  field.value?.blur()
}

function leave() {
  entry.value = ''
  typed()
  isOpen.value = false
}

function move(by: 1 | -1) {
  const count = completions.value.length
  if (by === 1 && count > 0) return (at.value = (at.value + 1) % count)
  if (by === -1 && at.value >= 0) return (at.value -= 1)
  const next = back.value - by
  const earlier = remembered.value[next]
  if (next >= 0 && earlier === undefined) return
  typed()
  entry.value = earlier ?? ''
  back.value = Math.max(-1, next)
}

function completeBy(event: KeyboardEvent) {
  const [first] = completions.value
  const chosen = completions.value[at.value] ?? first
  if (!chosen) return
  event.preventDefault()
  complete(chosen)
}

/** Begins an entry with the key that was pressed anywhere in the room; the next one may follow at once. */
function startWith(key: string) {
  entry.value = key
  typed()
  if (!field.value) return
  field.value.value = key
  field.value.focus()
}

defineExpose({ startWith })
</script>

<template>
  <form class="relative" @submit.prevent="select">
    <div class="mb-1.5 flex items-baseline justify-between">
      <label for="entry" class="text-mist">Select</label>
      <span
        class="truncate text-sm"
        :class="trouble ? 'text-coral' : selection.whole.length && !outcome ? 'font-semibold text-coral' : 'text-mist'"
        role="status"
      >
        {{ trouble ? '' : outcome || `${selection.count} selected` }}
      </span>
    </div>
    <input
      id="entry"
      ref="field"
      v-model="entry"
      class="field px-2.5 py-1.5 text-base"
      placeholder="12-17, Bar 2 lit out"
      autocomplete="off"
      role="combobox"
      aria-autocomplete="list"
      aria-controls="entry-completions"
      :aria-expanded="completions.length > 0"
      :aria-activedescendant="at >= 0 ? `entry-completion-${at}` : undefined"
      :aria-invalid="trouble !== null"
      aria-describedby="entry-trouble"
      @input="typed"
      @keydown.down.prevent="move(1)"
      @keydown.up.prevent="move(-1)"
      @keydown.tab="completeBy"
      @keydown.esc="(leave(), field?.blur())"
      @focus="isOpen = true"
      @blur="isOpen = false"
    />
    <ul
      v-show="completions.length"
      id="entry-completions"
      role="listbox"
      aria-label="How the entry may go on"
      class="absolute inset-x-0 top-full z-30 mt-1 rounded-lg border border-rule-2 bg-plank p-1 shadow-lg shadow-night/60"
    >
      <li
        v-for="(completion, i) in completions"
        :id="`entry-completion-${i}`"
        :key="completion.entry"
        role="option"
        :aria-selected="at === i"
        class="flex cursor-pointer items-baseline gap-2 rounded px-2 py-1"
        :class="at === i ? 'bg-plank-2' : 'hover:bg-plank-2'"
        @pointerdown.prevent="complete(completion)"
      >
        <span class="min-w-0 truncate">{{ completion.name }}</span>
        <span class="ml-auto shrink-0 text-xs text-haze">{{ KIND[completion.kind] }} {{ completion.count ?? '' }}</span>
      </li>
    </ul>
    <p id="entry-trouble" role="alert" class="mt-1 text-sm text-coral" :class="trouble ? '' : 'hidden'">
      {{ trouble }}
    </p>
  </form>
</template>
