<script setup lang="ts">
/** What would help with what is wrong in a cue: each with what it would leave, looked at before it is done. */
import { computed, shallowRef, watch } from 'vue'
import type { CueId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import {
  remediesFor,
  triedRemedy,
  wrongIn,
  type Remedy,
  type TriedRemedy,
  type Wrong,
} from '../../composables/travel/remedies'
import { afterNextFrame } from '../../session/afterNextFrame'
import { useCuesRoom } from '../../stores/cuesRoom'
import { useShow } from '../../stores/show'
import { useTravelCheck } from '../../stores/travelCheck'
import { useTravelView } from '../../stores/travelView'

const props = defineProps<{ show: Show; cue: CueId }>()
const store = useShow()
const room = useCuesRoom()
const check = useTravelCheck()
const view = useTravelView()

/** Null while they are tried; empty where nothing is wrong. */
const helping = shallowRef<readonly (TriedRemedy & { readonly remedy: Remedy })[] | null>([])
const isWrong = computed(() => check.openFaultsOf(props.cue).length > 0)

/** Trying takes a while in a large cue: one after another, with a frame between. */
function tryAll() {
  const faults = check.openFaultsOf(props.cue)
  const { show, cue } = props
  const isStill = () => props.show === show && props.cue === cue && check.openFaultsOf(cue) === faults
  const left = remediesFor(show, cue, faults)
  const found: (TriedRemedy & { readonly remedy: Remedy })[] = []
  helping.value = null
  const next = () => {
    if (!isStill()) return
    const one = faults.length > 0 ? left.shift() : undefined
    if (!one) return void (helping.value = found)
    const tried = triedRemedy(one, store.attempt, cue, wrongIn(show, faults))
    if (tried) found.push({ ...tried, remedy: one })
    afterNextFrame(next)
  }
  next()
}
watch([() => props.cue, () => check.openFaultsOf(props.cue)], tryAll, { immediate: true })
watch(
  () => props.show,
  () => (view.tried = null),
)

function leftInWords({ tooFast, sweeps }: Wrong): string {
  const parts = [tooFast > 0 ? `${tooFast} too fast` : '', sweeps > 0 ? `${sweeps} sweep` : '']
  return parts.filter((part) => part !== '').join(', ') || 'nothing wrong left'
}
const isClean = ({ tooFast, sweeps }: Wrong) => tooFast + sweeps === 0
function look(tried: TriedRemedy) {
  view.tried = view.tried?.label === tried.label ? null : tried
  room.view = 'travel'
}
</script>

<template>
  <section v-if="isWrong && helping" class="border-b border-rule px-4 py-3" aria-labelledby="remedies-title">
    <h3 id="remedies-title" class="mb-1 font-semibold">What would help</h3>
    <p v-if="helping.length === 0" class="text-sm text-mist">
      Neither another way of travelling nor another time helps by itself. Send the light by another cue, or aim it from
      other heads.
    </p>
    <div
      v-for="one in helping"
      :key="one.label"
      class="grid grid-cols-[1fr_auto_auto] items-center gap-x-1.5 border-t border-rule py-1.5 first-of-type:border-t-0"
    >
      <span :title="one.remedy.why"
        >{{ one.label }}
        <span class="block text-sm" :class="isClean(wrongIn(one.show, one.faults)) ? 'text-kelp' : 'text-mist'">{{
          leftInWords(wrongIn(one.show, one.faults))
        }}</span></span
      >
      <button
        type="button"
        class="chip"
        :class="view.tried?.label === one.label ? 'chip-on' : ''"
        :aria-pressed="view.tried?.label === one.label"
        :aria-label="`See it: ${one.label}`"
        @click="look(one)"
      >
        See it
      </button>
      <button type="button" class="chip" :aria-label="`Do it: ${one.label}`" @click="one.remedy.send(store.send)">
        Do it
      </button>
    </div>
  </section>
</template>
