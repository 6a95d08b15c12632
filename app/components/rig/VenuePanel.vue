<script setup lang="ts">
/** The venue the show plays: its stage, opening, levels and keep-clear zones. */
import { computed } from 'vue'
import type { Level, Venue } from '#core/show/entities'
import { HEADS_METRES } from '#core/travel/zones'
import type { PlanPoint } from '#core/venue/outline'
import { showRecordOf, type Show } from '#core/show/show'
import { useCommit } from '../../composables/forms/useCommit'

const props = defineProps<{ show: Show; venue: Venue }>()
const { keep } = useCommit()
const id = computed(() => showRecordOf(props.show).venue)

const change = (fields: Partial<Venue>) => keep('changeVenue', { venue: id.value, ...fields })
const open = (opening: Partial<Venue['opening']>) => change({ opening: { ...props.venue.opening, ...opening } })

/** Outlines of a venue are told where they are on the stage. */
const onStage = (place: PlanPoint) => place

/** A square metre and a half in the middle of the stage, to begin with. */
const SQUARE = [
  { x: -1.5, y: 4 },
  { x: 1.5, y: 4 },
  { x: 1.5, y: 6 },
  { x: -1.5, y: 6 },
]
function putLevel(index: number, level: Partial<Level>) {
  return change({ levels: props.venue.levels.map((known, i) => (i === index ? { ...known, ...level } : known)) })
}
function addLevel() {
  const level: Level = {
    name: `Level ${props.venue.levels.length + 1}`,
    outline: SQUARE,
    height: 0.4,
    rake: { percent: 0, bearing: 90 },
  }
  return change({ levels: [...props.venue.levels, level] })
}
function putZone(index: number, zone: Partial<Venue['keepClear'][number]>) {
  return change({ keepClear: props.venue.keepClear.map((known, i) => (i === index ? { ...known, ...zone } : known)) })
}
function addZone() {
  const half = props.venue.opening.width / 2
  const outline = [
    { x: -half, y: -2 },
    { x: half, y: -2 },
    { x: half, y: -4.5 },
    { x: -half, y: -4.5 },
  ]
  const name = props.venue.keepClear.length === 0 ? 'Front rows' : `Zone ${props.venue.keepClear.length + 1}`
  return change({ keepClear: [...props.venue.keepClear, { name, outline }] })
}
</script>

<template>
  <TextField label="Name" :shown="venue.name" :keep="(name) => change({ name })" />
  <div class="grid grid-cols-3 gap-2">
    <NumberField label="Opening, width" unit="m" :value="venue.opening.width" :keep="(width) => open({ width })" />
    <NumberField label="Height" unit="m" :value="venue.opening.height" :keep="(height) => open({ height })" />
    <NumberField label="Depth" unit="m" :value="venue.opening.depth" :keep="(depth) => open({ depth })" />
  </div>
  <OutlineField
    label="Stage outline"
    :outline="venue.outline"
    :own-place="onStage"
    :keep="(outline) => change({ outline })"
  />
  <fieldset
    v-for="(level, i) in venue.levels"
    :key="`level${i}`"
    class="flex flex-col gap-2 rounded-lg border border-rule bg-plank p-3"
    :aria-label="`Level ${level.name}`"
  >
    <div class="flex items-end gap-2">
      <TextField class="flex-1" label="Level" :shown="level.name" :keep="(name) => putLevel(i, { name })" />
      <BinButton
        :aria-label="`Take out ${level.name}`"
        @click="change({ levels: venue.levels.filter((_, j) => j !== i) })"
      />
    </div>
    <div class="grid grid-cols-3 gap-2">
      <NumberField label="Height" unit="m" :value="level.height" :keep="(height) => putLevel(i, { height })" />
      <NumberField
        label="Rake"
        unit="%"
        :value="level.rake.percent"
        :keep="(percent) => putLevel(i, { rake: { ...level.rake, percent } })"
      />
      <NumberField
        label="Climbs towards"
        unit="°"
        :value="level.rake.bearing"
        :keep="(bearing) => putLevel(i, { rake: { ...level.rake, bearing } })"
      />
    </div>
    <p v-if="level.rake.percent > 0" class="text-xs text-haze">
      0° is stage left, 90° upstage. The height is that of the lowest edge.
    </p>
    <OutlineField
      :label="`Outline of ${level.name}`"
      :outline="level.outline"
      :own-place="onStage"
      :keep="(outline) => putLevel(i, { outline })"
    />
  </fieldset>
  <fieldset
    v-for="(zone, i) in venue.keepClear"
    :key="`zone${i}`"
    class="flex flex-col gap-2 rounded-lg border border-rule bg-plank p-3"
    :aria-label="`Keep-clear zone ${zone.name}`"
  >
    <div class="flex items-end gap-2">
      <TextField class="flex-1" label="Keep clear" :shown="zone.name" :keep="(name) => putZone(i, { name })" />
      <BinButton
        :aria-label="`Take out ${zone.name}`"
        @click="change({ keepClear: venue.keepClear.filter((_, j) => j !== i) })"
      />
    </div>
    <NumberField
      label="Clear up to"
      unit="m"
      :value="zone.height ?? HEADS_METRES"
      :keep="(height) => putZone(i, { height })"
    />
    <OutlineField
      :label="`Outline of ${zone.name}`"
      :outline="zone.outline"
      :own-place="onStage"
      :keep="(outline) => putZone(i, { outline })"
    />
  </fieldset>
  <div class="flex gap-1.5">
    <button type="button" class="chip" @click="addLevel">Add a level</button>
    <button type="button" class="chip" @click="addZone">Add a keep-clear zone</button>
  </div>
</template>
