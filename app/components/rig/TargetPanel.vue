<script setup lang="ts">
/** One target: where it is, its form and stations, and what it is tied to. */
import { computed, ref } from 'vue'
import { turnLevel } from '#core/geometry/rotation'
import { subtract, type Vec3 } from '#core/geometry/vector'
import type { TargetForm } from '#core/show/entities'
import { cueNumbersInWords, dependentsInWords, dependentsOfTarget } from '#core/show/dependents'
import { setPiecesOf } from '#core/show/setPieces'
import type { PlacedTarget } from '#core/show/targets'
import type { Show } from '#core/show/show'
import { PLACE_FIELDS, withAxis } from '../../composables/rig/axisFields'
import { TARGET_FORMS, type TargetFormKind } from '../../composables/rig/rigWords'
import { useCommit } from '../../composables/forms/useCommit'
import RemovalBox from './RemovalBox.vue'

const props = defineProps<{ show: Show; placed: PlacedTarget }>()
const { keep, offer } = useCommit()
const isLeaving = ref(false)

const target = computed(() => props.placed.id)
const form = computed(() => props.placed.target.form)
const pieces = computed(() => setPiecesOf(props.show))
const stands = computed(() => [
  { key: '', name: 'Free on the stage' },
  ...pieces.value.map(({ id, piece }) => ({ key: `${id}`, name: `On ${piece.name}` })),
])
const leaning = computed(() => dependentsOfTarget(props.show, target.value))
const warning = computed(() => {
  const words = dependentsInWords(leaning.value)
  if (!words) return 'Nothing is aimed at it.'
  const cues = cueNumbersInWords(props.show, leaning.value.cues)
  return `${words} aim at it${cues ? ` (cues ${cues})` : ''}. They stay aimed at the place it has now, but will follow nothing any more.`
})

const FIRST_FORMS: Readonly<Record<TargetFormKind, TargetForm>> = {
  point: { kind: 'point' },
  line: { kind: 'line', to: { x: 2, y: 0, z: 0 }, stations: 0 },
  ring: { kind: 'ring', radius: 1.5, stations: 0 },
}
const reform = (next: TargetForm) => offer('changeTarget', { target: target.value, form: next })
const moved = (position: Vec3) => offer('moveTarget', { target: target.value, position })

/** A line's far end is told from its near one, in the frame of what it is tied to. */
function endsAt(axis: 'x' | 'y' | 'z', value: number) {
  const { end, position, target: known } = props.placed
  if (!end || form.value.kind !== 'line') return Promise.resolve(null)
  const yaw = pieces.value.find(({ id }) => id === known.setPiece)?.place.yaw ?? 0
  const to = turnLevel(subtract(withAxis(end, axis, value), position), -yaw)
  return reform({ ...form.value, to })
}
function stationed(stations: number) {
  return form.value.kind === 'point' ? Promise.resolve(null) : reform({ ...form.value, stations })
}
function tied(key: string) {
  return keep('changeTarget', { target: target.value, setPiece: pieces.value.find(({ id }) => id === key)?.id ?? null })
}
</script>

<template>
  <div class="grid grid-cols-2 gap-2">
    <TextField label="Name" :shown="placed.target.name" :keep="(name) => keep('changeTarget', { target, name })" />
    <ChoiceField
      label="Form"
      :value="form.kind"
      :options="TARGET_FORMS"
      :keep="(kind) => reform(kind === form.kind ? form : FIRST_FORMS[kind])"
    />
  </div>
  <ChoiceField label="Stands" :value="placed.target.setPiece ?? ''" :options="stands" :keep="tied" />
  <div class="grid grid-cols-3 gap-2">
    <NumberField
      v-for="{ axis, label } in PLACE_FIELDS"
      :key="axis"
      :label="form.kind === 'line' ? `From, ${label.toLowerCase()}` : label"
      unit="m"
      :value="placed.position[axis]"
      :keep="(value) => moved(withAxis(placed.position, axis, value))"
    />
    <template v-if="placed.end">
      <NumberField
        v-for="{ axis, label } in PLACE_FIELDS"
        :key="`end${axis}`"
        :label="`To, ${label.toLowerCase()}`"
        unit="m"
        :value="placed.end[axis]"
        :keep="(value) => endsAt(axis, value)"
      />
    </template>
    <NumberField
      v-if="form.kind === 'ring'"
      label="Radius"
      unit="m"
      :value="form.radius"
      :keep="(radius) => reform(form.kind === 'ring' ? { ...form, radius } : form)"
    />
    <NumberField v-if="form.kind !== 'point'" label="Stations" unit="" :value="form.stations" :keep="stationed" />
  </div>
  <p v-if="form.kind !== 'point' && form.stations > 0" class="text-sm text-mist">
    Several fixtures aimed at it spread over stations 1 to {{ form.stations }} in the order of selection.
  </p>
  <button type="button" class="chip self-start" :class="isLeaving ? 'chip-on' : ''" @click="isLeaving = true">
    Take out
  </button>
  <RemovalBox
    v-if="isLeaving"
    :title="`Take out ${placed.target.name}`"
    :warning="warning"
    :act="`Take out ${placed.target.name}`"
    :remove="() => keep('deleteTarget', { target, aims: 'keep the place' })"
    @back="isLeaving = false"
    @done="isLeaving = false"
  />
</template>
