<script setup lang="ts">
/** Takes palettes over from another venue or show with a mask: what is here and what would come, side by side. */
import { computed, ref, useTemplateRef } from 'vue'
import { attributeName } from '#core/attributes/attribute'
import { valueInWords } from '#core/refocus/paletteLines'
import type { TakenLine } from '#core/refocus/takeOver'
import { numberOfFixture, typeIdOf } from '#core/show/cells'
import { counted } from '#core/show/counted'
import { asPaletteId, asVenueId, type PaletteId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import type { GridColumn } from '../../composables/table/gridColumn'
import { useProposal } from '../../stores/proposal'
import { useRefocusRoom } from '../../stores/refocusRoom'
import { useTakeOver } from '../../stores/takeOver'
import TakeMask from '../fields/TakeMask.vue'
import GridTable from '../grid/GridTable.vue'

const props = defineProps<{ show: Show }>()
const over = useTakeOver()
const room = useRefocusRoom()
const proposal = useProposal()
const file = useTemplateRef<HTMLInputElement>('file')
const selected = ref<ReadonlySet<string>>(new Set())

const AS = [
  { key: 'place', name: 'as place' },
  { key: 'angles', name: 'as angles' },
] as const
const MATCH = [
  { key: 'number', name: 'by number' },
  { key: 'name', name: 'by name' },
] as const
const WHERE = [
  { key: 'for here', name: 'places only here' },
  { key: 'for good', name: 'for good' },
] as const
const others = computed(() => room.venues.filter(({ id }) => id !== room.inPlay))

interface Row extends TakenLine {
  readonly id: string
}
const rows = computed<Row[]>(
  () => over.found?.lines.map((line) => ({ id: `${line.palette} ${line.fixture} ${line.attribute}`, ...line })) ?? [],
)
const paletteOf = ({ palette }: Row) => props.show.all.palette.get(palette)
const typeOf = ({ fixture }: Row) => props.show.all.fixtureType.get(typeIdOf(props.show, fixture) ?? '')
const columns: readonly GridColumn<Row>[] = [
  {
    ...{ key: 'palette', name: 'Palette', width: 170 },
    text: (row) => `${paletteOf(row)?.number ?? ''} ${paletteOf(row)?.name ?? ''}`,
  },
  {
    ...{ key: 'fixture', name: 'Fixture', width: 70, isNumber: true },
    text: ({ fixture }) => numberOfFixture(props.show, fixture),
    rank: ({ fixture }) => props.show.all.fixture.get(fixture)?.number ?? null,
  },
  { key: 'what', name: 'What', width: 80, text: ({ attribute }) => attributeName(attribute) },
  {
    ...{ key: 'before', name: 'Here now', width: 230 },
    text: (row) => (row.before ? valueInWords(props.show, row.before, row.attribute, typeOf(row)) : 'nothing'),
  },
  {
    ...{ key: 'after', name: 'Would be', width: 230 },
    text: (row) => valueInWords(props.show, row.after, row.attribute, typeOf(row)),
    isMarked: ({ before }) => before !== null,
  },
]
const meant = computed(() =>
  selected.value.size > 0 ? rows.value.filter(({ id }) => selected.value.has(id)) : rows.value,
)
const replaced = computed(() => meant.value.filter(({ before }) => before !== null).length)

function propose() {
  const values = meant.value.map(({ palette, fixture, attribute, after }) => ({
    palette,
    fixture,
    attribute,
    value: after,
  }))
  proposal.propose('takeOverValues', { values, where: over.where }, true)
}
function chooseVenue({ target }: Event) {
  if (target instanceof HTMLSelectElement) [over.other, over.askedVenue] = [null, asVenueId(target.value)]
}
async function chosenFile() {
  const chosen = file.value?.files?.[0]
  if (chosen) await over.lookInto(chosen)
  if (file.value) file.value.value = ''
}
function matchByHand(from: PaletteId, { target }: Event) {
  if (target instanceof HTMLSelectElement) over.matchByHand(from, target.value ? asPaletteId(target.value) : null)
}
const isAll = computed(() => over.there.length > 0 && over.palettes.size === over.there.length)
const chooseAll = () => (over.palettes = new Set(isAll.value ? [] : over.there.map(({ id }) => id)))
const NOTHING_TO_TYPE = async () => null
</script>

<template>
  <div class="grid min-h-0 grid-cols-[270px_minmax(0,1fr)]">
    <section
      class="flex min-h-0 flex-col gap-3 overflow-y-auto border-r border-rule bg-deck p-4"
      aria-label="What is taken"
    >
      <label class="block text-xs text-haze">
        From
        <select class="field font-sans" :value="over.other ? '' : (over.venue ?? '')" @change="chooseVenue">
          <option v-if="over.other" value="">{{ over.other.file }}</option>
          <option v-for="{ id, venue } in others" :key="id" :value="id">{{ venue.name }}</option>
        </select>
      </label>
      <label class="quiet-button cursor-pointer py-1 text-center">
        Another show’s back-up
        <input ref="file" type="file" class="sr-only" accept=".rhopander,.gz,.json" @change="chosenFile" />
      </label>
      <p v-if="over.reading" class="flex items-baseline gap-2 text-sm text-mist" role="status">
        Reading {{ over.reading.file }} …
        <button type="button" class="ml-auto underline" @click="over.reading.stop()">Stop</button>
      </p>
      <p v-if="over.trouble" class="text-sm text-coral" role="alert">{{ over.trouble }}</p>
      <div v-if="over.source">
        <div class="flex items-baseline">
          <h3 class="text-xs text-haze">Palettes of {{ over.name }}</h3>
          <button type="button" class="ml-auto text-xs text-mist underline" @click="chooseAll">
            {{ isAll ? 'none' : 'all' }}
          </button>
        </div>
        <ul class="mt-1 max-h-52 overflow-y-auto rounded-md border border-rule-2" aria-label="Palettes taken from">
          <li v-for="{ id, palette } in over.there" :key="id">
            <label class="flex items-baseline gap-2 px-2 py-0.5 hover:bg-plank">
              <input type="checkbox" class="accent-coral" :checked="over.palettes.has(id)" @change="over.choose(id)" />
              <span class="w-7 font-mono text-mist">{{ palette.number }}</span>
              <span class="truncate">{{ palette.name }}</span>
            </label>
          </li>
        </ul>
      </div>
      <div>
        <h3 class="mb-1 text-xs text-haze">Families and attributes</h3>
        <TakeMask :mask="over.mask" @set="(mask) => (over.mask = mask)" />
      </div>
      <SwitchField class="w-fit" label="Places" :options="AS" :value="over.as" @choose="(key) => (over.as = key)" />
      <SwitchField
        class="w-fit"
        label="Matched"
        :options="MATCH"
        :value="over.match"
        @choose="(key) => (over.match = key)"
      />
      <SwitchField
        v-if="over.hasPlaces"
        class="w-fit"
        label="Counts"
        :options="WHERE"
        :value="over.where"
        @choose="(key) => (over.where = key)"
      />
      <div v-for="from in over.found?.unknownPalettes ?? []" :key="from">
        <label class="block text-xs text-brass">
          {{ over.source?.all.palette.get(from)?.name }} is not known here
          <select class="field font-sans" value="" @change="matchByHand(from, $event)">
            <option value="">leave it out</option>
            <option v-for="[id, palette] in show.all.palette" :key="id" :value="id">
              {{ palette.number }} {{ palette.name }}
            </option>
          </select>
        </label>
      </div>
      <p v-if="over.found?.unknownFixtures.length" class="text-sm text-brass">
        {{ counted(over.found.unknownFixtures.length, 'fixture') }} of it
        {{ over.found.unknownFixtures.length === 1 ? 'is' : 'are' }} not known here.
      </p>
    </section>
    <GridTable
      label="Taken over"
      class="min-h-0"
      :rows="rows"
      :columns="columns"
      :selected="selected"
      :keep="NOTHING_TO_TYPE"
      :empty="
        over.source === null
          ? 'There is no other venue: look into the back-up of another show.'
          : over.palettes.size === 0
            ? 'Choose palettes on the left: what they hold otherwise there stands here, value by value.'
            : `Nothing is other there: ${counted(over.found?.alike ?? 0, 'value')} are the same here.`
      "
      @select="(ids) => (selected = new Set(ids))"
    >
      <template #bar>
        <button type="button" class="chip chip-on" :disabled="meant.length === 0" @click="propose">
          Take {{ counted(meant.length, 'value') }} over
        </button>
        <p class="text-sm text-mist">
          {{ counted(replaced, 'replaces', 'replace') }} what is here<template v-if="over.found?.alike"
            >; {{ over.found.alike }} are the same already</template
          >
        </p>
      </template>
    </GridTable>
  </div>
</template>
