<script setup lang="ts">
/** One hang: its place typed, and copied, mirrored or taken out with what hangs on it. */
import { computed, ref } from 'vue'
import type { HangId } from '#core/show/ids'
import type { RiggedHang } from '#core/show/rig'
import type { Show } from '#core/show/show'
import { withAxis } from '../../composables/rig/axisFields'
import { HANG_FORMS } from '../../composables/rig/rigWords'
import { useCommit } from '../../composables/forms/useCommit'
import HangCopyForm from './HangCopyForm.vue'
import HangRemovalForm from './HangRemovalForm.vue'

const props = defineProps<{ show: Show; hang: RiggedHang }>()
const emit = defineEmits<{ row: []; select: [] }>()
const { keep, offer } = useCommit()
const open = ref<'copy' | 'mirror' | 'removal' | null>(null)

const hang = computed<HangId>(() => props.hang.id)
const place = computed(() => props.hang.place)

function moved(axis: 'x' | 'y' | 'z', value: number) {
  return offer('moveHang', { hang: hang.value, origin: withAxis(place.value.origin, axis, value) })
}
function reshaped(change: { length?: number; yaw?: number; rise?: number }) {
  return offer('moveHang', { hang: hang.value, origin: place.value.origin, ...change })
}
</script>

<template>
  <div class="grid grid-cols-2 gap-2">
    <TextField
      label="Name"
      :shown="props.hang.hang.name"
      :keep="(name) => keep('changeHang', { hang, name, form: props.hang.hang.form })"
    />
    <ChoiceField
      label="Kind"
      :value="props.hang.hang.form"
      :options="HANG_FORMS"
      :keep="(form) => keep('changeHang', { hang, name: props.hang.hang.name, form })"
    />
  </div>
  <div class="grid grid-cols-3 gap-2">
    <NumberField label="Middle, across" unit="m" :value="place.origin.x" :keep="(x) => moved('x', x)" />
    <NumberField label="Upstage" unit="m" :value="place.origin.y" :keep="(y) => moved('y', y)" />
    <NumberField label="Trim height" unit="m" :value="place.origin.z" :keep="(z) => moved('z', z)" />
    <NumberField label="Length" unit="m" :value="place.length" :keep="(length) => reshaped({ length })" />
    <NumberField label="Turned" unit="°" :value="place.yaw" :keep="(yaw) => reshaped({ yaw })" />
    <NumberField label="Rising" unit="°" :value="place.rise" :keep="(rise) => reshaped({ rise })" />
  </div>
  <div class="flex flex-wrap gap-1.5">
    <button type="button" class="chip" @click="emit('row')">Place fixtures here</button>
    <button type="button" class="chip" :disabled="props.hang.fixtures.length === 0" @click="emit('select')">
      Select its {{ props.hang.fixtures.length }}
    </button>
    <button type="button" class="chip" :class="open === 'copy' ? 'chip-on' : ''" @click="open = 'copy'">Copy</button>
    <button type="button" class="chip" :class="open === 'mirror' ? 'chip-on' : ''" @click="open = 'mirror'">
      Mirror
    </button>
    <button type="button" class="chip" :class="open === 'removal' ? 'chip-on' : ''" @click="open = 'removal'">
      Take out
    </button>
  </div>
  <HangCopyForm
    v-if="open === 'copy' || open === 'mirror'"
    :key="`${open}${hang}`"
    :show="show"
    :hang="props.hang"
    :way="open"
    @done="open = null"
  />
  <HangRemovalForm v-if="open === 'removal'" :key="hang" :show="show" :hang="props.hang" @back="open = null" />
</template>
