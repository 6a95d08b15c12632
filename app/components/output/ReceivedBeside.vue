<script setup lang="ts">
/** The stage as what comes in would light it, beside the stage as what goes out from here does. */
import { computed, ref } from 'vue'
import { DARK } from '#core/cues/darkness'
import type { StageFixture } from '#core/cues/onStage'
import type { Show } from '#core/show/show'
import { SURFACES } from '../../composables/stage/surfaces'
import { useInputRoom } from '../../stores/inputRoom'
import SidesBySide from '../refocus/SidesBySide.vue'

const props = defineProps<{ show: Show }>()
const room = useInputRoom()
const surface = ref<'plan' | 'space'>('plan')
const lit = (pictures: readonly StageFixture[]) => pictures.filter(({ intensity }) => intensity > DARK)
const sides = computed(() => [
  { show: props.show, name: 'As received', label: 'Plan as received', light: lit(room.pictures) },
  { show: props.show, name: 'As ours', label: 'Plan as ours', light: lit(room.ourPictures) },
])
const words = computed(() => {
  const ours = new Map(room.ourPictures.map((one) => [one.rigged.id, one]))
  const other = room.pictures.filter(({ rigged, position, intensity }) => {
    const own = ours.get(rigged.id)
    if (!own) return true
    const turn = Math.max(
      Math.abs(own.position.pose.pan - position.pose.pan),
      Math.abs(own.position.pose.tilt - position.pose.tilt),
    )
    return turn > 0.1 || Math.abs(own.intensity - intensity) > 0.01
  })
  if (room.pictures.length === 0) return 'Nothing comes in for any fixture of this show.'
  if (other.length === 0) return `${room.pictures.length} fixtures stand and shine just as from here.`
  return `${other.length} of ${room.pictures.length} fixtures stand or shine otherwise than from here.`
})
</script>

<template>
  <div class="grid min-h-0 grid-rows-[minmax(0,1fr)_auto]">
    <SidesBySide :sides="sides" :surface="surface" />
    <div class="flex items-center gap-3 border-t border-rule bg-deck px-4 py-2 text-sm text-mist">
      <p role="status">{{ words }}</p>
      <SwitchField
        class="ml-auto"
        label="Seen"
        :options="SURFACES"
        :value="surface"
        @choose="(key) => (surface = key)"
      />
    </div>
  </div>
</template>
