<script setup lang="ts">
/** Makes many palettes at once: from targets, for any fixture or for groups; from what a type has. */
import { computed, ref, watch } from 'vue'
import type { Outcome } from '#core/commands/command'
import { attributeName, type NumberAttribute } from '#core/attributes/attribute'
import { groupsInOrder } from '#core/groups/groups'
import { beamLook } from '#core/palettes/beamLook'
import { palettesOfType, partsOfType } from '#core/palettes/fromType'
import { chosenInWords } from '#core/palettes/meanings'
import { asFixtureTypeId, asTargetId, type GroupId, type TargetId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { numberTyped } from '#core/show/numberTyped'
import { useMessages } from '../../stores/messages'
import { useShelfView } from '../../stores/shelfView'
import { useShow } from '../../stores/show'
import RadioChips from '../fields/RadioChips.vue'
import PlainDialog from '../shell/PlainDialog.vue'
import BeamPicture from './BeamPicture.vue'
import { nextNumber } from '#core/show/freeNumbers'
import { capitalised } from '../../composables/forms/capitalised'

const props = defineProps<{ open: boolean; show: Show }>()
const emit = defineEmits<{ close: [] }>()
const store = useShow()
const shelves = useShelfView()
const messages = useMessages()

const FROM = ['targets', 'types'] as const
const SHELVES = ['focus', 'position'] as const

const from = ref<(typeof FROM)[number]>('targets')
const targets = ref<readonly TargetId[]>([])
const groups = ref<readonly GroupId[]>([])
const shelf = ref<(typeof SHELVES)[number]>('focus')
const pool = ref('')
const type = ref('')
const part = ref<NumberAttribute>('gobo')
const left = ref<readonly number[]>([])
const number = ref('')

const allTargets = computed(() =>
  [...props.show.all.target]
    .map(([id, target]) => ({ id: asTargetId(id), target }))
    .sort((a, b) => (a.target.name < b.target.name ? -1 : 1)),
)
const allGroups = computed(() => groupsInOrder(props.show))
const types = computed(() => [...props.show.all.fixtureType].map(([id, { name }]) => ({ id, name })))
const parts = computed(() => (type.value ? partsOfType(props.show, asFixtureTypeId(type.value)) : []))
const offered = computed(() => {
  const of = props.show.all.fixtureType.get(type.value)
  if (!of) return []
  const palettes = palettesOfType(props.show, asFixtureTypeId(type.value), part.value)
  return palettes.map((palette) => ({ ...palette, beam: beamLook(of, palette.values) }))
})

watch(
  () => props.open,
  (isOpen) => {
    if (!isOpen) return
    targets.value = []
    groups.value = []
    left.value = []
    type.value ||= types.value[0]?.id ?? ''
    number.value = String(nextNumber(props.show.all.palette.values()))
  },
)
watch([type, part], () => {
  left.value = []
  if (!parts.value.includes(part.value)) part.value = parts.value[0] ?? 'gobo'
})

function toggle<T>(list: readonly T[], item: T): T[] {
  return list.includes(item) ? list.filter((other) => other !== item) : [...list, item]
}

interface Wish {
  readonly outcome: Outcome
  readonly send: () => Promise<boolean>
}
const wish = computed((): Wish | null => {
  const numberFrom = numberTyped(number.value)
  if (numberFrom === null || !props.open) return null
  if (from.value === 'targets') {
    if (targets.value.length === 0) return null
    const diameter = pool.value.trim() === '' || shelf.value === 'position' ? null : (numberTyped(pool.value) ?? 0)
    const input = {
      targets: [...targets.value],
      groups: [...groups.value],
      shelf: shelf.value,
      pool: diameter,
      numberFrom,
    }
    return {
      outcome: store.attempt('makePalettesFromTargets', input),
      send: () => store.send('makePalettesFromTargets', input),
    }
  }
  if (!type.value) return null
  const only = offered.value.map((_, i) => i).filter((i) => !left.value.includes(i))
  const input = { type: asFixtureTypeId(type.value), part: part.value, numberFrom, only }
  return {
    outcome: store.attempt('makePalettesFromType', input),
    send: () => store.send('makePalettesFromType', input),
  }
})
const words = computed(() => {
  const outcome = wish.value?.outcome
  if (!outcome) return from.value === 'targets' ? 'Choose targets.' : 'Choose what to make.'
  if (!outcome.ok) return outcome.refusal.message
  return `${capitalised(outcome.label)}.`
})

async function make() {
  const asked = wish.value
  if (!asked || !(await asked.send())) return
  if (from.value === 'targets') shelves.shelf = shelf.value
  else shelves.shelf = offered.value[0]?.shelf ?? shelves.shelf
  messages.say(`Done: ${asked.outcome.ok ? asked.outcome.label : ''}.`)
  emit('close')
}
</script>

<template>
  <PlainDialog :open="open" title="Make palettes" wide @close="emit('close')">
    <div class="flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto p-5">
      <RadioChips v-model="from" label="Make palettes from" :options="FROM" />
      <div v-if="from === 'targets'" class="grid min-h-0 grid-cols-2 gap-4">
        <fieldset class="min-w-0">
          <legend class="mb-1 flex w-full items-baseline justify-between text-mist">
            Targets
            <button
              type="button"
              class="text-sm underline hover:text-sail"
              @click="targets = targets.length === allTargets.length ? [] : allTargets.map(({ id }) => id)"
            >
              {{ targets.length === allTargets.length ? 'None' : 'All' }}
            </button>
          </legend>
          <ul class="max-h-72 overflow-y-auto rounded-md border border-rule p-1">
            <li v-for="{ id, target } in allTargets" :key="id">
              <label class="flex items-center gap-2 rounded px-1 py-0.5 hover:bg-plank-2">
                <input
                  type="checkbox"
                  class="accent-kelp"
                  :checked="targets.includes(id)"
                  @change="targets = toggle(targets, id)"
                />
                {{ target.name }} <span class="ml-auto text-xs text-haze">{{ target.form.kind }}</span>
              </label>
            </li>
          </ul>
          <p v-if="allTargets.length === 0" class="text-sm text-haze">No target yet; name some in the Rig room.</p>
        </fieldset>
        <fieldset class="min-w-0">
          <legend class="mb-1 text-mist">
            For groups;
            {{ groups.length ? `${groups.length} chosen` : 'without one, for any fixture that can reach it' }}
          </legend>
          <ul class="max-h-52 overflow-y-auto rounded-md border border-rule p-1">
            <li v-for="group in allGroups" :key="group.id">
              <label class="flex items-center gap-2 rounded px-1 py-0.5 hover:bg-plank-2">
                <input
                  type="checkbox"
                  class="accent-kelp"
                  :checked="groups.includes(group.id)"
                  @change="groups = toggle(groups, group.id)"
                />
                {{ group.group.name }} <span class="ml-auto text-xs text-haze">{{ group.members.length }}</span>
              </label>
            </li>
          </ul>
          <div class="mt-2 grid grid-cols-2 items-end gap-2">
            <RadioChips v-model="shelf" label="Shelf" :options="SHELVES" />
            <label v-if="shelf === 'focus'"
              ><span class="block text-xs text-haze">pool, m</span
              ><input v-model="pool" class="field" inputmode="decimal" placeholder="leave the zoom"
            /></label>
          </div>
        </fieldset>
      </div>
      <template v-else>
        <div class="flex flex-wrap items-end gap-2">
          <label class="w-48"
            ><span class="block text-xs text-haze">type</span>
            <select v-model="type" class="field font-sans">
              <option v-for="option in types" :key="option.id" :value="option.id">{{ option.name }}</option>
            </select>
          </label>
          <div class="flex flex-wrap gap-1" role="radiogroup" aria-label="Part of the type">
            <button
              v-for="name in parts"
              :key="name"
              type="button"
              role="radio"
              class="chip"
              :class="part === name ? 'chip-on' : ''"
              :aria-checked="part === name"
              @click="part = name"
            >
              {{ attributeName(name) }}
            </button>
          </div>
        </div>
        <ul class="grid grid-cols-3 gap-2">
          <li v-for="(palette, i) in offered" :key="i">
            <label class="flex items-center gap-2 rounded-md border border-rule bg-plank p-2">
              <input
                type="checkbox"
                class="accent-kelp"
                :checked="!left.includes(i)"
                @change="left = toggle(left, i)"
              />
              <BeamPicture v-if="palette.beam" :look="palette.beam" class="h-8 w-[70px] shrink-0" />
              <span
                v-else-if="palette.swatch"
                class="size-6 shrink-0 rounded-full border border-rule-2"
                :style="{ background: palette.swatch }"
                aria-hidden="true"
              />
              <span class="min-w-0">
                <span class="block truncate font-semibold">{{ palette.name }}</span>
                <span v-if="palette.chosen.length" class="block text-xs text-mist">{{
                  chosenInWords(show, palette.chosen)
                }}</span>
              </span>
            </label>
          </li>
        </ul>
      </template>
    </div>
    <footer class="flex items-center gap-3 border-t border-rule px-5 py-3">
      <label class="flex items-center gap-2 text-sm text-mist"
        >numbered from <input v-model="number" class="field w-20" inputmode="decimal"
      /></label>
      <p class="min-w-0 flex-1 text-sm text-mist" role="status">{{ words }}</p>
      <button type="button" class="quiet-button py-1.5" @click="emit('close')">Cancel</button>
      <button type="button" class="main-button py-1.5" :disabled="!wish?.outcome.ok" @click="make">Make them</button>
    </footer>
  </PlainDialog>
</template>
