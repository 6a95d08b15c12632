<script setup lang="ts">
/** The universes of the show as they come in, and one fixture of them channel by channel in words. */
import type { Show } from '#core/show/show'
import { useInputRoom } from '../../stores/inputRoom'
import { useSelection } from '../../stores/selection'
import UniverseMaps from '../patch/UniverseMaps.vue'
import ChannelsReceived from './ChannelsReceived.vue'

defineProps<{ show: Show }>()
const room = useInputRoom()
const selection = useSelection()
const numbersOf = (universe: number) => {
  const number = universe - 1 + room.first
  const from = room.levels.has(universe) ? 'comes in as' : 'nothing comes in as'
  return room.protocol === 'E1.31' ? `${from} E1.31 universe ${number}` : `${from} port address ${number - 1}`
}
</script>

<template>
  <div class="grid min-h-0 grid-rows-[minmax(0,1fr)_auto]">
    <UniverseMaps :show="show" :levels="room.levels" :numbers-of="numbersOf">
      Nothing is patched yet, so nothing that comes in has a meaning here.
    </UniverseMaps>
    <ChannelsReceived v-if="selection.fixtures[0]" :show="show" :fixture="selection.fixtures[0]" />
  </div>
</template>
