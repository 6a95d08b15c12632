<script setup lang="ts">
/** The head that is steered: onto which target, by how much it is nudged, and that it is there. */
import { ArrowDown, ArrowLeft, ArrowRight, ArrowUp } from '@lucide/vue'
import { computed, ref } from 'vue'
import { numberOfFixture } from '#core/show/cells'
import type { Show } from '#core/show/show'
import { STEERING, useTrueUp } from '../../stores/trueUp'
import SteerPad from './SteerPad.vue'

defineProps<{ show: Show }>()
const room = useTrueUp()
const targets = computed(() => room.surveyed.map(({ id, target }) => ({ key: id, name: target.name })))
/** The stage as one sees it from the house. */
const ARROWS = [
  { icon: ArrowLeft, x: -1, y: 0, label: 'to stage right' },
  { icon: ArrowUp, x: 0, y: 1, label: 'upstage' },
  { icon: ArrowDown, x: 0, y: -1, label: 'downstage' },
  { icon: ArrowRight, x: 1, y: 0, label: 'to stage left' },
] as const

function onto(id: string) {
  const { head } = room
  const target = room.surveyed.find((one) => one.id === id)
  if (head && target) void room.steer(head.rigged.id, target.id)
  return Promise.resolve(null)
}
function otherWay() {
  const { head, target } = room
  if (head && target) void room.steer(head.rigged.id, target.id, true)
}
/** How often a way was typed: its field is empty again then. */
const typed = ref(0)
/** A typed way, in centimetres. */
function by(axis: 'x' | 'y') {
  return (cm: number) => {
    void room.nudgeBy(axis === 'x' ? cm / 100 : 0, axis === 'y' ? cm / 100 : 0)
    typed.value += 1
    return Promise.resolve(null)
  }
}
async function noteAndGoOn() {
  if (!(await room.note())) return
  const { next } = room
  if (next) await room.steer(next.fixture, next.target)
}
</script>

<template>
  <section class="flex flex-col gap-3 border-b border-rule p-4" aria-label="Steering">
    <template v-if="room.head">
      <h2 class="text-lg font-semibold">
        {{ numberOfFixture(show, room.head.rigged.id) }}
        <span class="text-base font-normal text-mist">on {{ room.hang?.name }}</span>
      </h2>
      <ChoiceField label="Onto" :value="room.target?.id ?? ''" :options="targets" :keep="onto" />
      <p v-if="!room.steered" class="text-sm text-mist">
        Its light is not on it. Choose the target again to take it in hand.
      </p>
      <template v-else>
        <p v-if="room.steered.position.state === 'out of reach'" class="text-sm text-coral">
          Out of its reach: it stops {{ room.steered.position.shortDegrees.toFixed(1) }}° short. Choose another target.
        </p>
        <p v-else class="text-sm text-mist">
          Steer its light onto the cross: by the arrow keys or the pad, a tenth with Shift, or by what you read off.
        </p>
        <div class="flex items-center gap-1" role="group" aria-label="Nudge its light">
          <IconButton
            v-for="{ icon, x, y, label } in ARROWS"
            :key="label"
            :icon="icon"
            :size="16"
            class="chip grid size-8 place-items-center p-0"
            :aria-label="`Nudge ${label}`"
            @click="room.nudgeBy(x * (STEERING[room.nudge] ?? 0), y * (STEERING[room.nudge] ?? 0))"
          />
          <div class="ml-auto flex gap-1" role="radiogroup" aria-label="A nudge is">
            <button
              v-for="(metres, i) in STEERING"
              :key="metres"
              type="button"
              role="radio"
              class="chip px-1.5 font-mono whitespace-nowrap"
              :class="room.nudge === i ? 'chip-on' : ''"
              :aria-checked="room.nudge === i"
              @click="room.nudge = i"
            >
              {{ metres * 100 }} cm
            </button>
          </div>
        </div>
        <SteerPad />
        <div :key="typed" class="grid grid-cols-2 gap-2">
          <NumberField label="Further to stage left" unit="cm" :value="null" placeholder="by" :keep="by('x')" />
          <NumberField label="Further upstage" unit="cm" :value="null" placeholder="by" :keep="by('y')" />
        </div>
        <div class="flex flex-wrap gap-2">
          <button type="button" class="main-button py-1.5" @click="room.note()">It is on the cross</button>
          <button v-if="room.next" type="button" class="quiet-button py-1.5" @click="noteAndGoOn">
            And on to the next
          </button>
          <button type="button" class="chip" :disabled="!room.hasOtherWay" @click="otherWay">Other way round</button>
        </div>
      </template>
    </template>
    <p v-else class="text-sm text-mist">
      Choose a head on the left, or take the sighting that is proposed: its light comes up on a surveyed target. Steer
      it onto the cross, and note that it is there. After two sightings it is told how the rig hangs.
    </p>
  </section>
</template>
