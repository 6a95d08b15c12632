<script setup lang="ts">
/** One set piece: where it stands, its layer, and the solids it is made of. */
import { computed, ref } from 'vue'
import { Trash2 } from '@lucide/vue'
import { inLevelFrame, type PlanPoint } from '#core/venue/outline'
import type { Solid } from '#core/show/entities'
import { asLayerId } from '#core/show/ids'
import type { PlacedSetPiece } from '#core/show/setPieces'
import type { Show } from '#core/show/show'
import { PLACE_FIELDS, withAxis } from '../../composables/rig/axisFields'
import { FIRST_SOLIDS, SOLID_KINDS } from '../../composables/rig/rigWords'
import { useCommit } from '../../composables/forms/useCommit'
import RemovalBox from './RemovalBox.vue'
import SolidFields from './SolidFields.vue'
import { plural } from '#core/show/counted'

const props = defineProps<{ show: Show; piece: PlacedSetPiece }>()
const { keep, offer } = useCommit()
const isLeaving = ref(false)

const setPiece = computed(() => props.piece.id)
const place = computed(() => props.piece.place)
const solids = computed(() => props.piece.piece.solids)
const layers = computed(() => [
  { key: '', name: 'No layer' },
  ...[...props.show.all.layer].map(([id, { name }]) => ({ key: id, name })),
])
const tied = computed(() => [...props.show.all.target.values()].filter((t) => t.setPiece === setPiece.value))
const warning = computed(() => {
  const count = tied.value.length
  if (count === 0) return 'No target is tied to it.'
  return `${tied.value.map((t) => t.name).join(', ')} ${plural(count, 'is', 'are')} tied to it. ${plural(count, 'It stays', 'They stay')} where ${plural(count, 'it is', 'they are')}, free on the stage.`
})
const kindName = (solid: Solid) => SOLID_KINDS.find(({ key }) => key === solid.kind)?.name ?? ''

function moved(axis: 'x' | 'y' | 'z', value: number) {
  return offer('moveSetPiece', {
    setPiece: setPiece.value,
    position: withAxis(place.value.position, axis, value),
    yaw: place.value.yaw,
  })
}
function turned(yaw: number) {
  return offer('moveSetPiece', { setPiece: setPiece.value, position: place.value.position, yaw })
}
/** Where a place of the stage is in the frame of the piece. */
const onPiece = (at: PlanPoint) => inLevelFrame(at, place.value.position, place.value.yaw)

function keepSolids(next: Solid[]) {
  return keep('changeSetPiece', { setPiece: setPiece.value, solids: next })
}
const changeSolid = (index: number, solid: Solid) => keepSolids(solids.value.map((s, i) => (i === index ? solid : s)))

async function addSolid(event: Event) {
  const { target } = event
  if (!(target instanceof HTMLSelectElement)) return
  const kind = SOLID_KINDS.find(({ key }) => key === target.value)?.key
  target.value = ''
  if (kind) await keepSolids([...solids.value, FIRST_SOLIDS[kind]])
}
</script>

<template>
  <div class="grid grid-cols-2 gap-2">
    <TextField label="Name" :shown="piece.piece.name" :keep="(name) => keep('changeSetPiece', { setPiece, name })" />
    <ChoiceField
      label="Layer"
      :value="piece.piece.layer ?? ''"
      :options="layers"
      :keep="(key) => keep('changeSetPiece', { setPiece, layer: key ? asLayerId(key) : null })"
    />
  </div>
  <div class="grid grid-cols-4 gap-2">
    <NumberField
      v-for="{ axis, label } in PLACE_FIELDS"
      :key="axis"
      :label="label"
      unit="m"
      :value="place.position[axis]"
      :keep="(value) => moved(axis, value)"
    />
    <NumberField label="Turned" unit="°" :value="place.yaw" :keep="turned" />
  </div>
  <fieldset
    v-for="(solid, i) in solids"
    :key="i"
    class="flex flex-col gap-2 rounded-lg border border-rule bg-plank p-3"
  >
    <legend class="float-left flex w-full items-center justify-between text-sm font-semibold">
      {{ kindName(solid) }}
      <IconButton
        v-if="solids.length > 1"
        :icon="Trash2"
        :size="14"
        class="text-haze hover:text-sail"
        :aria-label="`Take out solid ${i + 1}`"
        @click="keepSolids(solids.filter((_, j) => j !== i))"
      />
    </legend>
    <SolidFields :solid="solid" :own-place="onPiece" :keep="(next) => changeSolid(i, next)" />
    <div class="grid grid-cols-4 gap-2">
      <NumberField
        label="Beside"
        unit="m"
        :value="solid.at.x"
        :keep="(x) => changeSolid(i, { ...solid, at: { ...solid.at, x } })"
      />
      <NumberField
        label="Behind"
        unit="m"
        :value="solid.at.y"
        :keep="(y) => changeSolid(i, { ...solid, at: { ...solid.at, y } })"
      />
      <NumberField label="Above" unit="m" :value="solid.base" :keep="(base) => changeSolid(i, { ...solid, base })" />
      <NumberField label="Turned" unit="°" :value="solid.turn" :keep="(turn) => changeSolid(i, { ...solid, turn })" />
    </div>
  </fieldset>
  <div class="flex flex-wrap items-center gap-1.5">
    <select class="chip" aria-label="Add a solid" @change="addSolid">
      <option value="">Add a solid</option>
      <option v-for="kind in SOLID_KINDS" :key="kind.key" :value="kind.key">{{ kind.name }}</option>
    </select>
    <button type="button" class="chip" :class="isLeaving ? 'chip-on' : ''" @click="isLeaving = true">Take out</button>
  </div>
  <RemovalBox
    v-if="isLeaving"
    :title="`Take out ${piece.piece.name}`"
    :warning="warning"
    :act="`Take out ${piece.piece.name}`"
    :remove="() => keep('deleteSetPiece', { setPiece })"
    @back="isLeaving = false"
    @done="isLeaving = false"
  />
</template>
