<script setup lang="ts">
/** What a type can do, by family, and between which ends where that is its own. */
import { X } from '@lucide/vue'
import { computed, ref } from 'vue'
import {
  attributeName,
  isNumberAttribute,
  inCatalogueOrder,
  LISTED_ATTRIBUTES,
  kindOf,
  extraAttribute,
  type Attribute,
} from '#core/attributes/attribute'
import { FAMILIES, type Family } from '#core/attributes/families'
import { rangeOf } from '#core/show/attributeRange'
import type { FixtureType } from '#core/show/entities'
import { attributesOf } from '#core/show/masks'
import { UNIT_SIGNS } from '../../composables/forms/unitNames'
import { capitalised } from '../../composables/forms/capitalised'

const props = defineProps<{
  type: FixtureType
  keep: (change: Partial<FixtureType>, path: string) => Promise<string | null>
}>()
const OWN = 'own'
const ownFamily = ref<Family>('beam')
const isNaming = ref(false)

/** Those measured in something a head has its own ends of. */
const MEASURED = ['degrees', 'turn', 'rpm', 'hertz', 'kelvin']
const measured = computed(() =>
  props.type.has
    .filter(isNumberAttribute)
    .filter((attribute) => attribute !== 'zoom' && MEASURED.includes(kindOf(attribute).unit))
    .map((attribute) => ({ attribute, range: rangeOf(props.type, attribute) })),
)

const offered = (family: Family) => [
  { key: '', name: 'add …' },
  ...attributesOf(family, LISTED_ATTRIBUTES)
    .filter((attribute) => !props.type.has.includes(attribute))
    .map((attribute) => ({ key: attribute, name: attributeName(attribute) })),
  { key: OWN, name: 'one of its own …' },
]

const keepHas = (has: readonly Attribute[]) => props.keep({ has: [...has].sort(inCatalogueOrder) }, 'has')
const remove = (attribute: Attribute) => keepHas(props.type.has.filter((known) => known !== attribute))

async function add(family: Family, key: string): Promise<string | null> {
  if (key === OWN) {
    ownFamily.value = family
    isNaming.value = true
    return null
  }
  const attribute = LISTED_ATTRIBUTES.find((one) => one === key)
  return attribute ? keepHas([...props.type.has, attribute]) : null
}

async function addOwn(name: string): Promise<string | null> {
  const attribute = extraAttribute(ownFamily.value, name)
  if (!attribute) return 'Up to 40 letters or digits, without / . and _.'
  isNaming.value = false
  return props.type.has.includes(attribute) ? null : keepHas([...props.type.has, attribute])
}

type Measured = (typeof measured.value)[number]
function setRange(
  { attribute, range }: Measured,
  change: { min?: number; max?: number; rest?: number; fastest?: number },
) {
  const { min, max, home, fastest } = range
  const others = props.type.ranges.filter((known) => known.attribute !== attribute)
  return props.keep({ ranges: [...others, { attribute, min, max, rest: home, fastest, ...change }] }, 'ranges')
}
</script>

<template>
  <section aria-labelledby="type-does" class="flex flex-col gap-2">
    <h3 id="type-does" class="text-sm font-semibold">What it can do</h3>
    <div v-for="family in FAMILIES" :key="family" class="grid grid-cols-[76px_1fr_116px] items-start gap-2">
      <span class="py-0.5 text-sm text-mist">{{ capitalised(family) }}</span>
      <ul class="flex flex-wrap gap-1.5" :aria-label="capitalised(family)">
        <li v-for="attribute in attributesOf(family, type.has)" :key="attribute">
          <button
            type="button"
            class="chip flex items-center gap-1 border-kelp bg-kelp-deep"
            :aria-label="`Take out ${attributeName(attribute)}`"
            @click="remove(attribute)"
          >
            {{ attributeName(attribute) }}<X :size="11" class="text-mist" aria-hidden="true" />
          </button>
        </li>
      </ul>
      <ChoiceField
        :label="`Add to ${capitalised(family)}`"
        value=""
        :options="offered(family)"
        :keep="(key) => add(family, key)"
      />
    </div>
    <TextField
      v-if="isNaming"
      class="w-64"
      :label="`Name of its own in ${capitalised(ownFamily)}`"
      shown=""
      :keep="addOwn"
    />
    <div
      v-if="measured.length > 0"
      class="grid grid-cols-[minmax(120px,1fr)_repeat(4,92px)] items-end gap-x-2 gap-y-1.5 rounded-lg border border-rule bg-plank px-3 py-2"
      role="group"
      aria-label="Ends of what it can do"
    >
      <template v-for="one in measured" :key="one.attribute">
        <span class="pb-1 text-sm first-letter:uppercase">{{ attributeName(one.attribute) }}</span>
        <NumberField
          v-for="[label, key] in [
            ['From', 'min'],
            ['To', 'max'],
          ] as const"
          :key="key"
          :label="`${label}, ${UNIT_SIGNS[one.range.unit]}`"
          unit=""
          :value="one.range[key]"
          :keep="(value) => setRange(one, { [key]: value })"
        />
        <NumberField label="Rests at" unit="" :value="one.range.home" :keep="(rest) => setRange(one, { rest })" />
        <NumberField
          v-if="one.range.fastest !== null"
          label="Fastest, rpm"
          unit=""
          :value="one.range.fastest"
          :keep="(fastest) => setRange(one, { fastest })"
        />
        <span v-else />
      </template>
    </div>
  </section>
</template>
