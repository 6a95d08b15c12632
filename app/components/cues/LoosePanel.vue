<script setup lang="ts">
/** Values that follow no palette: those beside one, to be linked; those with none near; those held. */
import { computed, onUnmounted, ref, watch } from 'vue'
import { metresInWords } from '#core/geometry/lengthInWords'
import { valueInWords } from '#core/refocus/paletteLines'
import type { LooseValue, Near } from '#core/refocus/looseValues'
import { attributeName } from '#core/attributes/attribute'
import { FAMILIES, type Family } from '#core/attributes/families'
import { numberOfFixture } from '#core/show/cells'
import { rigOf } from '#core/show/rig'
import type { Show } from '#core/show/show'
import { comparedLink } from '#core/cues/comparedCue'
import { useCuesRoom } from '../../stores/cuesRoom'
import { useCompared } from '../../stores/compared'
import { useLooseValues } from '../../stores/looseValues'
import { useProposal } from '../../stores/proposal'

const props = defineProps<{ show: Show }>()
const compared = useCompared()
const cues = useCuesRoom()
const proposal = useProposal()

const found = useLooseValues()
const families = ref<readonly Family[]>(FAMILIES.filter((family) => family !== 'intensity'))

const keyOf = ({ cue, fixture, family }: LooseValue) => `${cue} ${fixture} ${family}`
const loose = computed(() =>
  found.all
    .filter(({ family }) => families.value.includes(family))
    .map((value) => ({
      value,
      key: keyOf(value),
      cue: props.show.all.cue.get(value.cue)?.number ?? 0,
      fixture: numberOfFixture(props.show, value.fixture),
      words: wordsOf(value),
    })),
)
const near = computed(() => loose.value.filter(({ value }) => value.near))
const far = computed(() => loose.value.filter(({ value }) => !value.near))
const left = ref<ReadonlySet<string>>(new Set())
const chosen = computed(() => near.value.filter(({ key }) => !left.value.has(key)))
const held = computed(() => [...props.show.all.cueValue.values()].filter(({ mark }) => mark === 'held'))

function wordsOf({ stored, fixture }: LooseValue): string {
  const [first] = stored
  if (!first) return ''
  return valueInWords(props.show, first.value, first.attribute, rigOf(props.show).get(fixture)?.type)
}
function distanceOf({ distance, unit }: Near): string {
  if (unit === 'metres') return metresInWords(distance)
  return unit === 'degrees' ? `${distance.toFixed(1)}°` : `${Math.round(distance * 100)} %`
}
function toggle(key: string) {
  const next = new Set(left.value)
  if (!next.delete(key)) next.add(key)
  left.value = next
}
function linksOf(values: readonly { value: LooseValue }[]) {
  return values.flatMap(({ value: { cue, fixture, stored, near: to } }) =>
    to ? stored.map(({ attribute }) => ({ cue, fixture, attribute, palette: to.palette })) : [],
  )
}
function link(values: readonly { value: LooseValue }[]) {
  compared.pair = null
  void proposal.offerOrSay('linkLoose', { links: linksOf(values) })
}
function follow() {
  const values = held.value.filter(({ source }) => source !== null)
  void proposal.offerOrSay('followAgain', {
    values: values.map(({ cue, fixture, attribute }) => ({ cue, fixture, attribute })),
  })
}

/** As it is stored, dashed, and as the palette would have it. */
function look(value: LooseValue) {
  compared.pair = value.near && comparedLink(props.show, value, value.near.palette)
}
watch(loose, () => (compared.pair = null))
onUnmounted(() => (compared.pair = null))

function find({ cue, fixture, family }: LooseValue) {
  cues.family = family
  cues.find(cue)
  cues.choose({ cues: [cue], fixtures: [fixture] })
}
</script>

<template>
  <div class="flex flex-col">
    <header class="border-b border-rule px-4 py-3">
      <div class="flex items-baseline justify-between">
        <h2 class="text-lg font-semibold">Loose values</h2>
        <button type="button" class="text-sm text-mist underline hover:text-sail" @click="cues.panel = 'detail'">
          Close
        </button>
      </div>
      <p class="text-sm text-mist">They stay behind when a palette is corrected.</p>
      <div class="mt-2 flex gap-1.5">
        <label v-for="(name, i) in ['within, m', 'degrees', '% of range']" :key="name" class="flex-1">
          <span class="block truncate text-xs text-haze">{{ name }}</span>
          <input v-if="i === 0" v-model="found.metres" class="field" inputmode="decimal" />
          <input v-else-if="i === 1" v-model="found.degrees" class="field" inputmode="decimal" />
          <input v-else v-model="found.percent" class="field" inputmode="decimal" />
        </label>
      </div>
      <div class="mt-2 flex flex-wrap gap-1" role="group" aria-label="Families looked at">
        <button
          v-for="family in FAMILIES"
          :key="family"
          type="button"
          class="chip px-1.5 py-0 text-xs first-letter:uppercase"
          :class="families.includes(family) ? 'border-kelp' : 'text-haze line-through'"
          :aria-pressed="families.includes(family)"
          @click="families = families.includes(family) ? families.filter((f) => f !== family) : [...families, family]"
        >
          {{ family }}
        </button>
      </div>
    </header>
    <section class="border-b border-rule px-4 py-3" aria-labelledby="near-title">
      <div class="flex items-baseline justify-between">
        <h3 id="near-title" class="font-semibold">Beside a palette</h3>
        <span class="text-sm text-mist">{{ near.length }}</span>
      </div>
      <p v-if="near.length === 0" class="text-sm text-haze">No value stands that near to a palette.</p>
      <ul>
        <li v-for="item in near" :key="item.key" class="flex items-start gap-2 py-1">
          <input
            type="checkbox"
            class="mt-0.5 accent-coral"
            :checked="!left.has(item.key)"
            :aria-label="`Link fixture ${item.fixture} in cue ${item.cue}`"
            @change="toggle(item.key)"
          />
          <button
            type="button"
            class="min-w-0 flex-1 text-left"
            @mouseenter="look(item.value)"
            @focus="look(item.value)"
            @click="(look(item.value), find(item.value), (cues.panel = 'loose'))"
          >
            <span class="font-mono text-coral">{{ item.cue }}</span> fixture
            <span class="font-mono">{{ item.fixture }}</span>
            <span class="block truncate text-sm text-mist"
              >{{ item.value.near && distanceOf(item.value.near) }} off
              {{ show.all.palette.get(item.value.near?.palette ?? '')?.name }}</span
            >
          </button>
          <button type="button" class="chip px-1.5 py-0 text-xs" @click="link([item])">Link</button>
        </li>
      </ul>
      <button
        v-if="near.length"
        type="button"
        class="main-button mt-2 w-full py-1.5"
        :disabled="chosen.length === 0"
        @click="link(chosen)"
      >
        Link {{ chosen.length === near.length ? `all ${near.length}` : chosen.length }}
      </button>
    </section>
    <section v-if="far.length" class="border-b border-rule px-4 py-3" aria-labelledby="far-title">
      <div class="flex items-baseline justify-between">
        <h3 id="far-title" class="font-semibold">With no palette near</h3>
        <span class="text-sm text-mist">{{ far.length }}</span>
      </div>
      <button
        v-for="item in far"
        :key="item.key"
        type="button"
        class="block w-full truncate py-0.5 text-left hover:text-coral"
        @click="find(item.value)"
      >
        <span class="font-mono text-mist">{{ item.cue }}</span> fixture
        <span class="font-mono">{{ item.fixture }}</span><span class="text-sm text-mist">, {{ item.words }}</span>
      </button>
    </section>
    <section v-if="held.length" class="px-4 py-3" aria-labelledby="held-title">
      <div class="flex items-baseline justify-between">
        <h3 id="held-title" class="font-semibold">Held as they were</h3>
        <span class="text-sm text-mist">{{ held.length }}</span>
      </div>
      <p v-for="item in held" :key="`${item.cue}${item.fixture}${item.attribute}`" class="truncate py-0.5">
        <span class="font-mono text-mist">{{ show.all.cue.get(item.cue)?.number }}</span> fixture
        <span class="font-mono">{{ numberOfFixture(show, item.fixture) }}</span><span class="text-sm text-mist"
          >, {{ attributeName(item.attribute)
          }}<template v-if="item.source"> away from {{ show.all.palette.get(item.source)?.name }}</template></span
        >
      </p>
      <button
        type="button"
        class="quiet-button mt-2 w-full py-1.5"
        :disabled="!held.some(({ source }) => source !== null)"
        @click="follow"
      >
        Let them follow again
      </button>
    </section>
  </div>
</template>
