<script setup lang="ts">
/** Copies a hang to another place, or mirrors it across the centre line, with or without its fixtures. */
import { computed, reactive } from 'vue'
import { vec3 } from '#core/geometry/vector'
import type { RiggedHang } from '#core/show/rig'
import type { Show } from '#core/show/show'
import { mirroredName, nextName } from '#core/show/freeNames'
import { nextNumber } from '#core/show/freeNumbers'
import { numberTyped } from '#core/show/numberTyped'
import { useDraftForm } from '../../composables/forms/useDraftForm'
import { counted } from '#core/show/counted'

const props = defineProps<{ show: Show; hang: RiggedHang; way: 'copy' | 'mirror' }>()
const emit = defineEmits<{ done: [] }>()
const taken = [...props.show.all.hang.values()].map((hang) => hang.name)
const draft = reactive({
  name: (props.way === 'copy' ? nextName : mirroredName)(props.hang.hang.name, taken),
  x: '0',
  y: '1',
  z: '0',
  withFixtures: props.hang.fixtures.length > 0,
  numberFrom: String(nextNumber(props.show.all.fixture.values())),
})
const number = (text: string) => numberTyped(text) ?? NaN
const input = computed(() => ({
  hang: props.hang.id,
  name: draft.name,
  numberFrom: draft.withFixtures ? number(draft.numberFrom) : null,
}))
const copying = useDraftForm(
  'copyHang',
  () => ({ ...input.value, by: vec3(number(draft.x), number(draft.y), number(draft.z)) }),
  () => emit('done'),
)
const mirroring = useDraftForm(
  'mirrorHang',
  () => input.value,
  () => emit('done'),
)
const { troubleAt, send } = props.way === 'copy' ? copying : mirroring
</script>

<template>
  <form
    class="flex flex-col gap-2 rounded-lg border border-rule bg-plank p-3"
    :aria-label="way === 'copy' ? `Copy ${hang.hang.name}` : `Mirror ${hang.hang.name}`"
    @submit.prevent="send"
  >
    <DraftText
      v-model="draft.name"
      :label="way === 'copy' ? 'Name of the copy' : 'Name of the other side'"
      :trouble="troubleAt('name')"
    />
    <div v-if="way === 'copy'" class="grid grid-cols-3 gap-2">
      <DraftText v-model="draft.x" label="Further across" unit="m" />
      <DraftText v-model="draft.y" label="Further upstage" unit="m" />
      <DraftText v-model="draft.z" label="Higher" unit="m" />
    </div>
    <template v-if="hang.fixtures.length">
      <label class="flex items-center gap-2 text-sm"
        ><input v-model="draft.withFixtures" type="checkbox" class="accent-coral" />With its
        {{ counted(hang.fixtures.length, 'fixture') }}, not patched</label
      >
      <DraftText
        v-if="draft.withFixtures"
        v-model="draft.numberFrom"
        label="Numbered from"
        :trouble="troubleAt('numberFrom')"
      />
    </template>
    <p v-if="troubleAt(null, ['name', 'numberFrom'])" class="text-sm text-coral" role="alert">
      {{ troubleAt(null, ['name', 'numberFrom']) }}
    </p>
    <button type="submit" class="quiet-button py-1">
      {{ way === 'copy' ? 'Copy' : 'Mirror across the centre line' }}
    </button>
  </form>
</template>
