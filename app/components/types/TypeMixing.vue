<script setup lang="ts">
/** What a type mixes its colours of, drawn in the diagram of all colours. */
import { X } from '@lucide/vue'
import { computed } from 'vue'
import { USUAL_EMITTERS, USUAL_FLAGS, type UsualPart } from '#core/attributes/colourPart'
import { hexOf, WHITE } from '#core/colour/colour'
import { gamutOf } from '#core/show/colours'
import type { FixtureType } from '#core/show/entities'
import ColourDiagram from '../colour/ColourDiagram.vue'
import RadioChips from '../fields/RadioChips.vue'

type Mixing = NonNullable<FixtureType['mixing']>
type Part = Mixing['parts'][number]
const props = defineProps<{
  type: FixtureType
  keep: (change: Partial<FixtureType>, path: string) => Promise<string | null>
}>()

const HOW = ['Nothing', 'Emitters', 'Flags'] as const
const how = computed(() => {
  const { mixing } = props.type
  return mixing === null ? 'Nothing' : mixing.kind === 'emitters' ? 'Emitters' : 'Flags'
})
const plain = ({ name, x, y, flux }: UsualPart): Part => ({ name, x, y, flux })
const usual = computed(() => (how.value === 'Flags' ? USUAL_FLAGS : USUAL_EMITTERS))
const missing = computed(() =>
  usual.value.filter(({ name }) => !props.type.mixing?.parts.some((part) => part.name === name)),
)
const FIRST = ['Red', 'Green', 'Blue']

function begin(wish: (typeof HOW)[number]) {
  const emitters = USUAL_EMITTERS.filter(({ name }) => FIRST.includes(name)).map(plain)
  const mixing: Mixing | null =
    wish === 'Nothing'
      ? null
      : wish === 'Emitters'
        ? { kind: 'emitters', choice: 'brightest', parts: emitters }
        : { kind: 'flags', source: { x: WHITE.x, y: WHITE.y }, parts: USUAL_FLAGS.map(plain) }
  void props.keep({ mixing }, 'mixing')
}

const withParts = (parts: readonly Part[]) => {
  const { mixing } = props.type
  return mixing ? props.keep({ mixing: { ...mixing, parts: [...parts] } }, 'mixing') : Promise.resolve(null)
}
const parts = computed(() => props.type.mixing?.parts ?? [])
const change = (index: number, fields: Partial<Part>) =>
  withParts(parts.value.map((part, i) => (i === index ? { ...part, ...fields } : part)))

function add({ target }: Event) {
  if (!(target instanceof HTMLSelectElement)) return
  const known = missing.value.find(({ name }) => name === target.value)
  target.value = ''
  void withParts([...parts.value, known ? plain(known) : { name: `Part ${parts.value.length + 1}`, ...PLACE }])
}
const PLACE = { x: WHITE.x, y: WHITE.y, flux: 1 }

const CHOICES = ['Most light', 'Fullest mixture'] as const
function choose(choice: (typeof CHOICES)[number]) {
  const { mixing } = props.type
  if (mixing?.kind === 'emitters')
    void props.keep({ mixing: { ...mixing, choice: choice === 'Most light' ? 'brightest' : 'fullest' } }, 'mixing')
}
const FIELDS = [
  { key: 'x', label: 'x' },
  { key: 'y', label: 'y' },
  { key: 'flux', label: 'Light' },
] as const
</script>

<template>
  <section aria-labelledby="type-mixing" class="flex flex-col gap-2">
    <div class="flex items-center gap-3">
      <h3 id="type-mixing" class="text-sm font-semibold">Mixes colours of</h3>
      <RadioChips class="w-64" label="Mixes colours of" :options="HOW" :model-value="how" @update:model-value="begin" />
      <RadioChips
        v-if="type.mixing?.kind === 'emitters' && parts.length > 3"
        class="ml-auto w-56"
        label="Where there is a choice"
        :options="CHOICES"
        :model-value="type.mixing.choice === 'brightest' ? 'Most light' : 'Fullest mixture'"
        @update:model-value="choose"
      />
    </div>
    <div v-if="type.mixing" class="grid grid-cols-[1fr_190px] gap-4">
      <ul class="flex flex-col gap-1.5" aria-label="Parts that mix">
        <li v-for="(part, i) in parts" :key="i" class="flex items-end gap-1.5">
          <span
            class="h-[26px] w-[26px] shrink-0 rounded border border-rule-2"
            :style="{ background: hexOf({ ...part, level: 1 }) }"
            aria-hidden="true"
          />
          <TextField class="flex-1" label="Part" :shown="part.name" :keep="(name) => change(i, { name })" />
          <NumberField
            v-for="{ key, label } in FIELDS"
            :key="key"
            class="w-[68px]"
            :label="label"
            unit=""
            :digits="3"
            :value="part[key]"
            :keep="(number) => change(i, { [key]: number })"
          />
          <IconButton
            v-if="parts.length > 1"
            :icon="X"
            :size="13"
            class="chip p-1"
            :aria-label="`Take out ${part.name}`"
            @click="withParts(parts.filter((_, j) => j !== i))"
          />
        </li>
        <li>
          <select class="field w-44 px-1 py-0.5 font-sans" aria-label="Add a part" @change="add">
            <option value="">add a part …</option>
            <option v-for="{ name } in missing" :key="name" :value="name">{{ name }}</option>
            <option value="another">another</option>
          </select>
        </li>
      </ul>
      <div class="relative h-[190px] overflow-hidden rounded-md border border-rule-2 bg-night">
        <ColourDiagram :gamuts="[gamutOf(type)]" :made="type.mixing.kind === 'flags' ? [type.mixing.source] : parts" />
      </div>
    </div>
  </section>
</template>
