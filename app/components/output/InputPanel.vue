<script setup lang="ts">
/** How it is listened, who is heard, and taking what comes in into the hand. */
import { PROTOCOLS } from '#core/show/entities'
import { severalInWords } from '../../composables/output/outputWords'
import { useInterfaces } from '../../composables/output/useInterfaces'
import { useInputRoom } from '../../stores/inputRoom'
import TakeReceived from './TakeReceived.vue'

const room = useInputRoom()
const froms = useInterfaces(() => room.from)
const OPTIONS = PROTOCOLS.map((key) => ({ key, name: key }))
async function keepFrom(from: string) {
  room.from = from
  return null
}
async function keepFirst(first: number) {
  if (!Number.isInteger(first) || first < 1 || first > 63999) return 'It is a whole number from 1 to 63999.'
  room.first = first
  return null
}
</script>

<template>
  <section class="flex flex-col gap-3 p-4" aria-label="Listening">
    <h2 class="text-lg font-semibold">Listening</h2>
    <SwitchField
      class="self-start"
      label="Protocol"
      :options="OPTIONS"
      :value="room.protocol"
      @choose="(key) => (room.protocol = key)"
    />
    <ChoiceField label="Network interface" :value="room.from" :options="froms" :keep="keepFrom" />
    <NumberField
      :label="room.protocol === 'E1.31' ? 'Universe 1 comes in as' : 'Universe 1 comes in as port address 1 + '"
      unit=""
      :value="room.first"
      :keep="keepFirst"
    />
    <p v-if="room.protocol === 'Art-Net'" class="text-sm text-mist">
      Port address {{ room.first - 1 }}, counted from 0, is universe 1 here.
    </p>
    <p v-if="room.heard?.trouble" class="text-sm text-coral" role="alert">{{ room.heard.trouble }}</p>
    <div>
      <h3 class="text-xs text-haze">Heard</h3>
      <p v-if="room.sources.length === 0" class="mt-1 text-sm text-mist">
        {{ room.heard ? 'Nobody sends levels here by this protocol.' : 'Listening …' }}
      </p>
      <table v-else class="mt-1 w-full text-sm">
        <caption class="sr-only">
          Sources that are heard
        </caption>
        <thead class="text-left text-xs text-haze">
          <tr>
            <th class="font-normal">no.</th>
            <th class="font-normal">from</th>
            <th class="text-right font-normal">priority</th>
            <th class="text-right font-normal">a second</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="one in room.sources"
            :key="`${one.universe} ${one.source}`"
            :class="one.counts ? '' : 'text-haze'"
            :title="one.counts ? 'Its levels count' : 'Another has a higher priority'"
          >
            <td class="font-mono">{{ one.universe }}</td>
            <td class="max-w-32 truncate">{{ one.name }}<span v-if="one.isOwn" class="text-shoal">, ours</span></td>
            <td class="text-right font-mono">{{ one.priority }}</td>
            <td class="text-right font-mono">{{ one.packets }}</td>
          </tr>
        </tbody>
      </table>
      <p v-for="words in severalInWords(room.sources)" :key="words" class="mt-1 text-sm text-brass">{{ words }}</p>
      <p v-if="room.heard && room.heard.leftOut > 0" class="mt-1 text-sm text-brass">
        {{ room.heard.leftOut }} packets a second are left out: they come late, twice, or are none.
      </p>
    </div>
    <TakeReceived />
  </section>
</template>
