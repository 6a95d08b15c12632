<script setup lang="ts">
/** The stage with where trackers are and the light that follows, and which targets follow which. */
import { computed } from 'vue'
import type { StageFixture } from '#core/cues/onStage'
import { targetsOf } from '#core/show/targets'
import type { Show } from '#core/show/show'
import type { FollowingState } from '#core/tracking/following'
import type { TrackersStatus } from '#core/tracking/told'
import { useShow } from '../../stores/show'
import { useStage } from '../../stores/stage'
import { useTrackersRoom } from '../../stores/trackersRoom'
import LightPlan from '../stage/LightPlan.vue'
import TrackerDots from './TrackerDots.vue'

const props = defineProps<{ show: Show; status: TrackersStatus | null }>()
const store = useShow()
const stage = useStage()
const room = useTrackersRoom()
const following = computed<readonly StageFixture[]>(() => {
  const followed = new Set<string>(room.followed.map(({ id }) => id))
  return [...stage.standing.values()].filter(
    ({ positionValue }) => positionValue?.kind === 'aim' && followed.has(positionValue.target ?? ''),
  )
})
const others = computed(() =>
  [...targetsOf(props.show).values()]
    .filter(({ id }) => !props.show.all.trackedTarget.has(id))
    .sort((a, b) => a.target.name.localeCompare(b.target.name)),
)
/** The least number no target follows yet. */
const freeTracker = computed(() => {
  const taken = new Set(room.followed.map(({ how }) => how.tracker))
  return Array.from({ length: taken.size + 1 }, (_, i) => i + 1).find((number) => !taken.has(number)) ?? 1
})
async function add({ target: select }: Event) {
  if (!(select instanceof HTMLSelectElement)) return
  const target = others.value.find(({ id }) => id === select.value)?.id
  select.value = ''
  if (!target) return
  await store.send('followTracker', { target, tracker: freeTracker.value })
  room.asked = target
}
const COLOUR: Readonly<Record<FollowingState, string>> = {
  follows: 'text-kelp',
  'at its limit': 'text-brass',
  lost: 'text-coral',
  'not heard': 'text-haze',
}
const where = ({ now }: (typeof room.followed)[number]) =>
  now ? [now.place.x, now.place.y, now.place.z].map((metres) => metres.toFixed(2).padStart(6)).join(' ') : ''
</script>

<template>
  <div class="grid min-h-0 grid-rows-[minmax(0,1fr)_auto]">
    <LightPlan :show="show" label="Plan with trackers" :chosen="following">
      <TrackerDots :trackers="status?.trackers ?? []" />
    </LightPlan>
    <section class="max-h-72 overflow-y-auto border-t border-rule bg-deck px-4 py-2" aria-label="Targets that follow">
      <div class="flex items-center">
        <h2 class="font-semibold">Targets that follow</h2>
        <label class="ml-auto flex items-center gap-2 text-sm text-mist"
          >Another
          <select class="field w-44 px-1 py-0.5 font-sans" value="" @change="add">
            <option value="" disabled>choose a target</option>
            <option v-for="one in others" :key="one.id" :value="one.id">{{ one.target.name }}</option>
          </select>
        </label>
      </div>
      <p v-if="room.followed.length === 0" class="py-1 text-sm text-mist">
        No target follows a tracker yet. Choose one: whatever is aimed at it follows then, in cues and in hands.
      </p>
      <table v-else class="mt-1 w-full text-sm">
        <thead class="text-left text-xs text-haze">
          <tr>
            <th class="font-normal">target</th>
            <th class="w-20 font-normal">tracker</th>
            <th class="w-28 font-normal">state</th>
            <th class="font-normal">at x, y, z, m</th>
            <th></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in room.followed" :key="one.id" :class="room.chosen?.id === one.id ? 'bg-plank-2' : ''">
            <th class="text-left font-normal">
              <button
                type="button"
                class="w-full py-0.5 text-left"
                :aria-pressed="room.chosen?.id === one.id"
                @click="room.asked = one.id"
              >
                {{ one.name }}
              </button>
            </th>
            <td class="font-mono">{{ one.how.tracker }}</td>
            <td :class="one.now ? COLOUR[one.now.state] : 'text-haze'">{{ one.now?.state ?? 'off' }}</td>
            <td class="font-mono whitespace-pre text-mist">{{ where(one) }}</td>
            <td class="text-right">
              <button
                type="button"
                class="text-xs text-mist underline"
                :aria-label="`${one.name} follows no more`"
                @click="store.send('stopFollowing', { targets: [one.id] })"
              >
                let go
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </section>
  </div>
</template>
