<script setup lang="ts">
/** Names a place to aim at: a point, a line or a ring, free or tied to a set piece. */
import { computed, reactive, ref } from 'vue'
import { subtract, vec3 } from '#core/geometry/vector'
import type { TargetForm } from '#core/show/entities'
import { setPiecesOf } from '#core/show/setPieces'
import type { Show } from '#core/show/show'
import { numberTyped } from '#core/show/numberTyped'
import { TARGET_FORMS, type TargetFormKind } from '../../composables/rig/rigWords'
import { useDraftForm } from '../../composables/forms/useDraftForm'

const props = defineProps<{ show: Show }>()
const emit = defineEmits<{ done: [name: string] }>()
const kind = ref<TargetFormKind | null>('point')
const pieces = computed(() => [
  { key: '', name: 'Free on the stage' },
  ...setPiecesOf(props.show).map(({ id, piece }) => ({ key: `${id}`, name: `On ${piece.name}` })),
])
const tied = ref<string | null>('')
const draft = reactive({
  name: '',
  x: '0',
  y: '2',
  z: '0',
  endX: '2',
  endY: '2',
  endZ: '0',
  radius: '1.5',
  stations: '0',
})
const number = (text: string) => numberTyped(text) ?? NaN
const position = computed(() => vec3(number(draft.x), number(draft.y), number(draft.z)))
const form = computed((): TargetForm => {
  const stations = number(draft.stations)
  if (kind.value === 'ring') return { kind: 'ring', radius: number(draft.radius), stations }
  if (kind.value !== 'line') return { kind: 'point' }
  const end = vec3(number(draft.endX), number(draft.endY), number(draft.endZ))
  return { kind: 'line', to: subtract(end, position.value), stations }
})
const setPiece = computed(() => setPiecesOf(props.show).find(({ id }) => id === tied.value)?.id ?? null)
const input = computed(() => ({
  name: draft.name,
  form: form.value,
  setPiece: setPiece.value,
  position: position.value,
}))
const { troubleAt, send } = useDraftForm(
  'addTarget',
  () => input.value,
  () => emit('done', draft.name),
)
</script>

<template>
  <form class="flex flex-col gap-2.5" aria-label="New target" @submit.prevent="send">
    <div class="grid grid-cols-2 gap-2">
      <DraftText v-model="draft.name" label="Name" placeholder="Door" :trouble="troubleAt('name')" />
      <DraftChoice v-model="kind" label="Form" :options="TARGET_FORMS" />
    </div>
    <DraftChoice v-model="tied" label="Stands" :options="pieces" :trouble="troubleAt('setPiece')" />
    <p v-if="setPiece" class="text-sm text-mist">
      Measured from the piece, along its own directions. It moves and turns with it.
    </p>
    <div class="grid grid-cols-3 gap-2">
      <DraftText v-model="draft.x" :label="kind === 'line' ? 'From, across' : 'Across'" unit="m" />
      <DraftText v-model="draft.y" label="Upstage" unit="m" />
      <DraftText v-model="draft.z" label="Height" unit="m" />
      <template v-if="kind === 'line'">
        <DraftText v-model="draft.endX" label="To, across" unit="m" />
        <DraftText v-model="draft.endY" label="To, upstage" unit="m" />
        <DraftText v-model="draft.endZ" label="To, height" unit="m" />
      </template>
      <DraftText v-if="kind === 'ring'" v-model="draft.radius" label="Radius" unit="m" />
      <DraftText v-if="kind !== 'point'" v-model="draft.stations" label="Stations" />
    </div>
    <p v-if="troubleAt('form') ?? troubleAt('position')" class="text-sm text-coral" role="alert">
      {{ troubleAt('form') ?? troubleAt('position') }}
    </p>
    <button type="submit" class="main-button py-1.5">Name it</button>
  </form>
</template>
