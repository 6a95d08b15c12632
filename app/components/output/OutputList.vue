<script setup lang="ts">
/** The outputs of the show: which are on, how they do; one is added here. */
import { Plus } from '@lucide/vue'
import type { SendingStatus } from '#core/output/sendingStatus'
import { destinationInWords, senderInWords, sentInWords, stateInWords } from '../../composables/output/outputWords'
import { useOutputRoom } from '../../stores/outputRoom'
import AddOutputForm from './AddOutputForm.vue'
import StandInBox from './StandInBox.vue'

const props = defineProps<{ status: SendingStatus | null }>()
const room = useOutputRoom()
const stateOf = ({ id, output }: (typeof room.outputs)[number]) =>
  stateInWords(
    output,
    props.status?.outputs.find((one) => one.output === id),
    room.doubled.get(id),
  )
</script>

<template>
  <div class="flex min-h-0 flex-col">
    <header class="flex items-center border-b border-rule px-4 py-2">
      <h2 class="font-semibold">Outputs</h2>
      <button
        type="button"
        class="chip ml-auto flex items-center gap-1"
        :aria-expanded="room.isAdding"
        @click="room.isAdding = !room.isAdding"
      >
        <Plus :size="14" aria-hidden="true" />Add
      </button>
    </header>
    <AddOutputForm v-if="room.isAdding" @done="room.isAdding = false" />
    <p v-if="room.outputs.length === 0 && !room.isAdding" class="px-4 py-3 text-sm text-mist">
      Nothing goes out yet. An output says which universes go out, by which protocol and where to. It stays on this
      machine until you choose another network interface.
    </p>
    <ul class="min-h-0 flex-1 overflow-y-auto" aria-label="Outputs">
      <li v-for="one in room.outputs" :key="one.id">
        <button
          type="button"
          class="w-full border-b border-rule/60 px-4 py-2 text-left"
          :class="
            room.chosen?.id === one.id ? 'bg-plank-2 shadow-[inset_3px_0_0_var(--color-coral)]' : 'hover:bg-plank'
          "
          :aria-current="room.chosen?.id === one.id"
          @click="room.asked = one.id"
        >
          <span class="flex items-baseline gap-2">
            <span class="truncate font-semibold">{{ one.output.name }}</span>
            <span
              class="ml-auto shrink-0 text-xs"
              :class="stateOf(one).trouble ? 'text-coral' : one.output.isOn ? 'text-kelp' : 'text-haze'"
              >{{ stateOf(one).words }}</span
            >
          </span>
          <span class="block text-sm text-mist">{{ sentInWords(one.output) }}</span>
          <span class="block truncate text-sm text-haze">{{ destinationInWords(one.output) }}</span>
          <span v-if="stateOf(one).trouble" class="mt-1 block text-sm text-coral">{{ stateOf(one).trouble }}</span>
        </button>
      </li>
    </ul>
    <StandInBox />
    <p v-if="status" class="border-t border-rule px-4 py-2 text-sm text-mist" role="status">
      {{ senderInWords(status) }}
    </p>
  </div>
</template>
