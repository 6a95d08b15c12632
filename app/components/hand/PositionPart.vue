<script setup lang="ts">
/** Where the selection is aimed: at a place, by its axes, the other way round, and home. */
import { Lock, LockOpen } from '@lucide/vue'
import { computed } from 'vue'
import type { CommandInput } from '#core/commands/registry'
import { sidesOf } from '#core/hand/otherSide'
import { typedChange, type NumberChange } from '#core/hand/change'
import { targetsOf } from '#core/show/targets'
import type { Show } from '#core/show/show'
import { useSelectionSummary } from '../../composables/hand/useSelectionSummary'
import { useStage } from '../../stores/stage'
import { useSelection } from '../../stores/selection'
import { useKeyMap } from '../../stores/keys'
import { useShow } from '../../stores/show'
import AimTable from './AimTable.vue'
import TargetPicker from './TargetPicker.vue'
import RadioChips from '../fields/RadioChips.vue'
import TypedField from '../fields/TypedField.vue'
import PanTiltPad from './PanTiltPad.vue'
import { useLocalStorage } from '@vueuse/core'

const props = defineProps<{ show: Show }>()
const store = useShow()
const keys = useKeyMap()
const stage = useStage()
const selection = useSelection()
const { heads, none, aim } = useSelectionSummary()
const targets = computed(() => targetsOf(props.show))
const isPadOpen = useLocalStorage('rhopander-pad', false)
const isTableOpen = useLocalStorage('rhopander-aim-table', false)
const AXES = ['pan', 'tilt'] as const
const DRAGS = ['together', 'each'] as const

function shown(axis: 'pan' | 'tilt'): string {
  const angles = heads.value.map(({ position }) => position.pose[axis])
  const [low, high] = [Math.min(...angles).toFixed(2), Math.max(...angles).toFixed(2)]
  return low === high ? low : `${Number(low).toFixed(0)} – ${Number(high).toFixed(0)}`
}

const read = (text: string) => {
  const change = typedChange(text, true)
  return change?.how === 'times' ? null : change
}

function turn(axis: 'pan' | 'tilt', change: NumberChange) {
  if (change.how !== 'to' && change.how !== 'by') return
  const wish = { how: change.how, degrees: change.number }
  turnHeads(axis === 'pan' ? wish : null, axis === 'tilt' ? wish : null)
}

function home(axis: 'pan' | 'tilt') {
  const to = { how: 'to', degrees: 0 } as const
  turnHeads(axis === 'pan' ? to : null, axis === 'tilt' ? to : null)
}

type Turn = CommandInput<'turnHeads'>['pan']
function turnHeads(pan: Turn, tilt: Turn) {
  stage.isFanArmed = false
  void store.send('turnHeads', { fixtures: [...selection.fixtures], pan, tilt })
}

const isLocked = (axis: 'pan' | 'tilt') => stage.locked === axis || stage.locked === 'both'
function toggleLock(axis: 'pan' | 'tilt') {
  const other = axis === 'pan' ? 'tilt' : 'pan'
  const [self, their] = [!isLocked(axis), isLocked(other)]
  stage.locked = self && their ? 'both' : self ? axis : their ? other : 'none'
}

/** How long the heads need from where the cues have them, this way and the other; the slowest decides. Not of what is only tried out. */
const times = computed(() => {
  const standing = heads.value.flatMap(({ rigged }) => stage.panelState.standing.get(rigged.id) ?? [])
  const sides = standing.map((fixture) => sidesOf(props.show, fixture))
  const able = sides.flatMap(({ other }) => (other ? [other.seconds] : []))
  if (able.length === 0) return null
  const seconds = (list: readonly number[]) => `${Math.max(0, ...list).toFixed(1)} s`
  return { now: seconds(sides.flatMap((side) => side.seconds ?? [])), other: seconds(able), count: able.length }
})

function turnSide(how: 'other' | 'quickest') {
  stage.isFanArmed = false
  void store.send('turnOtherSide', { fixtures: [...selection.fixtures], how })
}
</script>

<template>
  <div class="mt-2 flex flex-col gap-2">
    <TargetPicker
      :targets="targets"
      :current="aim.id"
      :current-name="aim.name"
      :offset="aim.offset"
      :disabled="heads.length === 0"
      @pick="stage.aimAt"
    />
    <p v-if="none" class="text-sm text-haze">
      Select on the plan or type numbers; then drop the light on a target, or press {{ keys.keys.get('aim tool') }} and
      click anywhere on the stage.
    </p>
    <p v-else-if="heads.length === 0" class="text-sm text-haze">Nothing selected turns: it points where it was hung.</p>
    <template v-else>
      <div class="grid grid-cols-2 gap-2">
        <div v-for="axis in AXES" :key="axis">
          <div class="flex items-center justify-between text-xs text-haze">
            {{ axis }}
            <span class="flex gap-1">
              <button
                type="button"
                class="hover:text-sail pointer-coarse:px-2 pointer-coarse:py-1.5"
                :aria-label="`${axis} home`"
                @click="home(axis)"
              >
                home
              </button>
              <button
                type="button"
                :class="isLocked(axis) ? 'text-coral' : 'hover:text-sail'"
                :aria-label="`Lock ${axis} while dragging`"
                :aria-pressed="isLocked(axis)"
                @click="toggleLock(axis)"
              >
                <component :is="isLocked(axis) ? Lock : LockOpen" :size="12" aria-hidden="true" />
              </button>
            </span>
          </div>
          <TypedField :label="`${axis} in degrees`" :shown="shown(axis)" :read="read" @keep="turn(axis, $event)" />
        </div>
      </div>
      <div class="flex items-center gap-1.5">
        <button
          type="button"
          class="chip"
          :disabled="!times"
          :title="
            times
              ? `From the cue on stage: this way ${times.now}, the other ${times.other}`
              : 'The stops allow no other way to this place'
          "
          @click="turnSide('other')"
        >
          Other side{{ ' ' }}<span v-if="times" class="font-mono text-xs text-haze">{{ times.other }}</span>
        </button>
        <button
          type="button"
          class="chip"
          title="Each head the way round that takes it least time from the cue on stage"
          @click="turnSide('quickest')"
        >
          Quickest
        </button>
        <button
          type="button"
          class="chip ml-auto"
          :class="isTableOpen ? 'chip-on' : ''"
          :aria-pressed="isTableOpen"
          title="Each fixture with its pan, tilt, throw and pool"
          @click="isTableOpen = !isTableOpen"
        >
          Table
        </button>
        <button
          type="button"
          class="chip"
          :class="isPadOpen ? 'chip-on' : ''"
          :aria-pressed="isPadOpen"
          @click="isPadOpen = !isPadOpen"
        >
          Pad
        </button>
      </div>
      <AimTable v-if="isTableOpen" :fixtures="heads" />
      <PanTiltPad v-if="isPadOpen" />
      <div v-if="heads.length > 1" class="flex items-center gap-2 text-xs text-haze">
        Dragged light
        <RadioChips v-model="stage.dragging" class="flex-1" label="Dragged light" :options="DRAGS" />
      </div>
    </template>
  </div>
</template>
