<script setup lang="ts">
/** Puts a set piece on the stage, of one solid to begin with. */
import { computed, reactive, ref } from 'vue'
import { vec3 } from '#core/geometry/vector'
import type { Solid } from '#core/show/entities'
import { asLayerId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { numberTyped } from '#core/show/numberTyped'
import { FIRST_SOLIDS, SOLID_KINDS } from '../../composables/rig/rigWords'
import { useDraftForm } from '../../composables/forms/useDraftForm'
import { aboutItsMiddle, type PlanPoint } from '#core/venue/outline'
import DrawOutline from '../fields/DrawOutline.vue'
import SolidFields from './SolidFields.vue'

const props = defineProps<{ show: Show }>()
const emit = defineEmits<{ done: [name: string] }>()
const kind = ref<Solid['kind'] | null>('box')
const sized = ref<Solid | null>(null)
const solid = computed(() => {
  const chosen = kind.value ?? 'box'
  return sized.value?.kind === chosen ? sized.value : FIRST_SOLIDS[chosen]
})
const layers = computed(() => [
  { key: '', name: 'No layer' },
  ...[...props.show.all.layer].map(([id, { name }]) => ({ key: id, name })),
])
const layer = ref<string | null>('')
const draft = reactive({ name: '', x: '0', y: '2', z: '0', yaw: '0' })
const number = (text: string) => numberTyped(text) ?? NaN
const input = computed(() => ({
  name: draft.name,
  solids: [solid.value],
  layer: layer.value ? asLayerId(layer.value) : null,
  position: vec3(number(draft.x), number(draft.y), number(draft.z)),
  yaw: number(draft.yaw),
}))
const { troubleAt, send } = useDraftForm(
  'addSetPiece',
  () => input.value,
  () => emit('done', draft.name),
)

/** An outline drawn on the plan makes a prism about its middle, standing there. */
function drawn(outline: PlanPoint[]) {
  const about = aboutItsMiddle(outline)
  if (!about) return
  const { height } = solid.value
  kind.value = 'prism'
  sized.value = { kind: 'prism', at: { x: 0, y: 0 }, turn: 0, base: 0, outline: about.own, height }
  Object.assign(draft, { x: String(about.middle.x), y: String(about.middle.y), yaw: '0' })
}

async function changeSolid(next: Solid): Promise<string | null> {
  sized.value = next
  return null
}
</script>

<template>
  <form class="flex flex-col gap-2.5" aria-label="New set piece" @submit.prevent="send">
    <div class="grid grid-cols-2 gap-2">
      <DraftText v-model="draft.name" label="Name" placeholder="Rostrum" :trouble="troubleAt('name')" />
      <DraftChoice v-model="layer" label="Layer" :options="layers" :trouble="troubleAt('layer')" />
    </div>
    <DraftChoice v-model="kind" label="Solid" :options="SOLID_KINDS" />
    <DrawOutline @drawn="drawn" />
    <SolidFields :solid="solid" :keep="changeSolid" />
    <div class="grid grid-cols-4 gap-2">
      <DraftText v-model="draft.x" label="Across" unit="m" />
      <DraftText v-model="draft.y" label="Upstage" unit="m" />
      <DraftText v-model="draft.z" label="Height" unit="m" />
      <DraftText v-model="draft.yaw" label="Turned" unit="°" :trouble="troubleAt('yaw')" />
    </div>
    <p v-if="troubleAt(null, ['name', 'layer', 'yaw'])" class="text-sm text-coral" role="alert">
      {{ troubleAt(null, ['name', 'layer', 'yaw']) }}
    </p>
    <button type="submit" class="main-button py-1.5">Put it there</button>
  </form>
</template>
