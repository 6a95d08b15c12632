<script setup lang="ts">
/** What a type can do, by family. */
import { X } from '@lucide/vue'
import { ref } from 'vue'
import {
  attributeName,
  inCatalogueOrder,
  LISTED_ATTRIBUTES,
  extraAttribute,
  type Attribute,
} from '#core/attributes/attribute'
import { FAMILIES, type Family } from '#core/attributes/families'
import type { FixtureType } from '#core/show/entities'
import { attributesOf } from '#core/show/masks'
import { capitalised } from '../../composables/forms/capitalised'
import TypeRanges from './TypeRanges.vue'
import TypeTimes from './TypeTimes.vue'

const props = defineProps<{
  type: FixtureType
  keep: (change: Partial<FixtureType>, path: string) => Promise<string | null>
}>()
const OWN = 'own'
const ownFamily = ref<Family>('beam')
const isNaming = ref(false)

const offered = (family: Family) => [
  { key: '', name: 'add …' },
  ...attributesOf(family, LISTED_ATTRIBUTES)
    .filter((attribute) => !props.type.has.includes(attribute))
    .map((attribute) => ({ key: attribute, name: attributeName(attribute) })),
  { key: OWN, name: 'one of its own …' },
]

/** Cells keep what the type still has. */
function keepHas(has: readonly Attribute[]) {
  const { cells } = props.type
  const own = cells?.has.filter((attribute) => has.includes(attribute)) ?? []
  const change = {
    has: [...has].sort(inCatalogueOrder),
    cells: cells && own.length > 0 ? { ...cells, has: own } : null,
  }
  return props.keep(change, 'has')
}
const remove = (attribute: Attribute) => keepHas(props.type.has.filter((known) => known !== attribute))

function add(family: Family, { target }: Event) {
  if (!(target instanceof HTMLSelectElement)) return
  const { value } = target
  target.value = ''
  if (value === OWN) {
    ownFamily.value = family
    isNaming.value = true
    return
  }
  const attribute = LISTED_ATTRIBUTES.find((one) => one === value)
  if (attribute) void keepHas([...props.type.has, attribute])
}

async function addOwn(name: string): Promise<string | null> {
  const attribute = extraAttribute(ownFamily.value, name)
  if (!attribute) return 'Up to 40 letters or digits, without / . and _.'
  isNaming.value = false
  return props.type.has.includes(attribute) ? null : keepHas([...props.type.has, attribute])
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
      <select class="field px-1 py-0.5 font-sans" :aria-label="`Add to ${family}`" @change="add(family, $event)">
        <option v-for="{ key, name } in offered(family)" :key="key" :value="key">{{ name }}</option>
      </select>
    </div>
    <TextField
      v-if="isNaming"
      class="w-64"
      :label="`Name of its own in ${capitalised(ownFamily)}`"
      shown=""
      :keep="addOwn"
    />
    <TypeRanges :type="type" :keep="keep" />
    <TypeTimes :type="type" :keep="keep" />
  </section>
</template>
