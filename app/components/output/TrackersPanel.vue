<script setup lang="ts">
/** How trackers are listened to in this venue, which are heard, and the stand-in tracker. */
import { computed, ref } from 'vue'
import { z } from 'zod'
import type { CommandInput } from '#core/commands/registry'
import { DEPTHS } from '#core/show/entities'
import { showRecordOf, type Show } from '#core/show/show'
import { trackingOf } from '#core/tracking/tracked'
import type { TrackersStatus } from '#core/tracking/told'
import { useCommit } from '../../composables/forms/useCommit'
import { useInterfaces } from '../../composables/output/useInterfaces'
import { request, requestRemoval } from '../../session/request'
import { useShow } from '../../stores/show'
import { useTrackersRoom } from '../../stores/trackersRoom'
import FollowingFields from './FollowingFields.vue'

const props = defineProps<{ show: Show; status: TrackersStatus | null }>()
const store = useShow()
const room = useTrackersRoom()
const { keep } = useCommit()
const tracking = computed(() => trackingOf(props.show))
const venue = computed(() => props.show.all.venue.get(showRecordOf(props.show).venue)?.name ?? '')
const froms = useInterfaces(() => tracking.value.from)
const change = (fields: CommandInput<'setTracking'>) => keep('setTracking', fields)
const moved = (by: Partial<typeof tracking.value.origin>) => change({ origin: { ...tracking.value.origin, ...by } })
const DEPTH_OPTIONS = DEPTHS.map((key) => ({ key, name: key }))

const walkTrouble = ref('')
const walkAnswer = z.object({ isWalking: z.boolean() })
async function walk(isWanted: boolean) {
  const path = `/api/shows/${props.show.id}/trackers/walk`
  const answered = await (isWanted ? request(path, walkAnswer, {}) : requestRemoval(path, walkAnswer))
  walkTrouble.value = answered.ok ? '' : answered.refusal.message
}
const heard = computed(() => [...(props.status?.trackers ?? [])].sort((a, b) => a.id - b.id))
</script>

<template>
  <div>
    <section class="flex flex-col gap-3 p-4" aria-label="Listening to trackers">
      <div class="flex items-center">
        <h2 class="min-w-0 truncate text-lg font-semibold">Trackers in {{ venue }}</h2>
        <button
          type="button"
          role="switch"
          class="ml-auto shrink-0"
          :class="tracking.isOn ? 'main-button py-1' : 'quiet-button py-1'"
          :aria-checked="tracking.isOn"
          @click="store.send('setTracking', { isOn: !tracking.isOn })"
        >
          {{ tracking.isOn ? 'On' : 'Off' }}
        </button>
      </div>
      <p v-if="status?.trouble" class="text-sm text-coral" role="alert">{{ status.trouble }}</p>
      <ChoiceField
        label="Network interface"
        :value="tracking.from"
        :options="froms"
        :keep="(from) => change({ from })"
      />
      <div class="grid grid-cols-4 gap-2">
        <NumberField label="Origin x" unit="m" :value="tracking.origin.x" :keep="(x) => moved({ x })" />
        <NumberField label="y" unit="m" :value="tracking.origin.y" :keep="(y) => moved({ y })" />
        <NumberField label="z" unit="m" :value="tracking.origin.z" :keep="(z) => moved({ z })" />
        <NumberField label="turned" unit="°" :value="tracking.turn" :keep="(turn) => change({ turn })" />
      </div>
      <div class="flex items-center gap-2">
        <span class="text-xs text-haze" aria-hidden="true">Its depth counts</span>
        <SwitchField
          label="Its depth counts"
          :options="DEPTH_OPTIONS"
          :value="tracking.depth"
          @choose="(depth) => store.send('setTracking', { depth })"
        />
      </div>
      <div>
        <h3 class="text-xs text-haze">Heard{{ status?.system ? `, of ${status.system}` : '' }}</h3>
        <p v-if="heard.length === 0" class="mt-1 text-sm text-mist">
          {{ tracking.isOn ? 'No tracker says where it is.' : 'Turn it on to hear which trackers there are.' }}
        </p>
        <table v-else class="mt-1 w-full text-sm">
          <caption class="sr-only">
            Trackers that are heard
          </caption>
          <thead class="text-left text-xs text-haze">
            <tr>
              <th class="w-8 font-normal">no.</th>
              <th class="font-normal">name</th>
              <th class="text-right font-normal">x</th>
              <th class="text-right font-normal">y</th>
              <th class="text-right font-normal">z, m</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in heard" :key="one.id" :class="one.isHeard ? '' : 'text-haze'">
              <td class="font-mono">{{ one.id }}</td>
              <td class="max-w-24 truncate">{{ one.name || '–' }}</td>
              <td v-for="axis in ['x', 'y', 'z'] as const" :key="axis" class="text-right font-mono">
                {{ one.place[axis].toFixed(2) }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <div class="flex items-baseline gap-2 text-sm">
        <p class="text-mist">
          {{ status?.isWalking ? 'The stand-in tracker walks about them.' : 'Nobody there? A stand-in walks for you.' }}
        </p>
        <button type="button" class="chip ml-auto shrink-0" @click="walk(!status?.isWalking)">
          {{ status?.isWalking ? 'Stop it' : 'Let it walk' }}
        </button>
      </div>
      <p v-if="walkTrouble" class="text-sm text-coral" role="alert">{{ walkTrouble }}</p>
    </section>
    <FollowingFields v-if="room.chosen" :target="room.chosen.id" :name="room.chosen.name" :how="room.chosen.how" />
  </div>
</template>
