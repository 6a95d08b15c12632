<script setup lang="ts">
/** Hangs something new: a bar, a bridge, a boom or a floor row. */
import { computed, reactive, ref, watch } from 'vue'
import { vec3 } from '#core/geometry/vector'
import type { EntityOf } from '#core/show/kinds'
import { numberTyped } from '#core/show/numberTyped'
import { HANG_FORMS } from '../../composables/rig/rigWords'
import { useDraftForm } from '../../composables/forms/useDraftForm'

const emit = defineEmits<{ done: [name: string] }>()
/** Where a new hang of each form starts: height, direction, rise and length as they are typed. */
const FIRST = {
  bar: { z: '7', yaw: '0', rise: '0', length: '12' },
  bridge: { z: '7.5', yaw: '0', rise: '0', length: '10' },
  boom: { z: '2.5', yaw: '90', rise: '90', length: '4' },
  floor: { z: '0', yaw: '0', rise: '0', length: '9' },
} as const
const form = ref<EntityOf['hang']['form'] | null>('bar')
const draft = reactive({ name: '', x: '0', y: '0', z: '7', yaw: '0', rise: '0', length: '12' })
watch(form, (now) => now && Object.assign(draft, FIRST[now]))

const number = (text: string) => numberTyped(text) ?? NaN
const input = computed(() => ({
  name: draft.name,
  form: form.value ?? 'bar',
  origin: vec3(number(draft.x), number(draft.y), number(draft.z)),
  yaw: number(draft.yaw),
  rise: number(draft.rise),
  length: number(draft.length),
}))
const FIELDS = ['name', 'origin', 'length', 'yaw', 'rise']
const { troubleAt, send } = useDraftForm(
  'addHang',
  () => input.value,
  () => emit('done', draft.name),
)
</script>

<template>
  <form class="flex flex-col gap-2.5" aria-label="New hang" @submit.prevent="send">
    <div class="grid grid-cols-2 gap-2">
      <DraftText v-model="draft.name" label="Name" placeholder="Bar 1" :trouble="troubleAt('name')" />
      <DraftChoice v-model="form" label="Kind" :options="HANG_FORMS" />
    </div>
    <div class="grid grid-cols-3 gap-2">
      <DraftText v-model="draft.x" label="Middle, across" unit="m" />
      <DraftText v-model="draft.y" label="Upstage" unit="m" />
      <DraftText v-model="draft.z" label="Trim height" unit="m" />
      <DraftText v-model="draft.length" label="Length" unit="m" :trouble="troubleAt('length')" />
      <DraftText v-model="draft.yaw" label="Turned" unit="°" :trouble="troubleAt('yaw')" />
      <DraftText v-model="draft.rise" label="Rising" unit="°" :trouble="troubleAt('rise')" />
    </div>
    <p v-if="troubleAt('origin')" class="text-sm text-coral" role="alert">{{ troubleAt('origin') }}</p>
    <p v-if="troubleAt(null, FIELDS)" class="text-sm text-coral" role="alert">{{ troubleAt(null, FIELDS) }}</p>
    <button type="submit" class="main-button py-1.5">Hang it</button>
  </form>
</template>
