<script setup lang="ts">
/** The universes of the show as they come in, and one fixture of them channel by channel in words. */
import type { Show } from '#core/show/show'
import { useUniverses } from '../../composables/rig/useUniverses'
import { useInputRoom } from '../../stores/inputRoom'
import { useSelection } from '../../stores/selection'
import UniverseMap from '../patch/UniverseMap.vue'
import ChannelsReceived from './ChannelsReceived.vue'

const props = defineProps<{ show: Show }>()
const room = useInputRoom()
const selection = useSelection()
const { universes, tints, selected, select } = useUniverses(() => props.show)
const numbersOf = (universe: number) => {
  const number = universe - 1 + room.first
  const from = room.levels.has(universe) ? 'comes in as' : 'nothing comes in as'
  return room.protocol === 'E1.31' ? `${from} E1.31 universe ${number}` : `${from} port address ${number - 1}`
}
</script>

<template>
  <div class="grid min-h-0 grid-rows-[minmax(0,1fr)_auto]">
    <div class="grid min-h-0 auto-rows-min grid-cols-2 gap-5 overflow-y-auto p-4" tabindex="0">
      <UniverseMap
        v-for="item in universes"
        :key="item.universe"
        :universe="item.universe"
        :spans="item.spans"
        :selected="selected"
        :tints="tints"
        :levels="room.levels.get(item.universe) ?? null"
        :numbers="numbersOf(item.universe)"
        @select="select"
      />
      <p
        v-if="universes.length === 0"
        class="col-span-2 grid min-h-40 place-items-center rounded-lg border border-dashed border-rule-2 text-mist"
      >
        Nothing is patched yet, so nothing that comes in has a meaning here.
      </p>
    </div>
    <ChannelsReceived v-if="selection.fixtures[0]" :show="show" :fixture="selection.fixtures[0]" />
  </div>
</template>
