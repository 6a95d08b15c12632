<script setup lang="ts">
/** The channels of a mode as sliders, with what each level means: the light they make stands beside. */
import type { TypeTest } from '../../composables/rig/useTypeTest'
import DragTrack from '../hand/DragTrack.vue'
import TypedField from '../fields/TypedField.vue'
import { numberTyped } from '#core/show/numberTyped'

const props = defineProps<{ test: TypeTest; mode: string }>()
/** The level a drag began at. */
let from = 0

/** A step of an arrow key: the fiftieth part, with Shift one level. */
function onKey(event: KeyboardEvent, index: number, level: number, most: number) {
  const way = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[event.key]
  if (event.key === 'Home' || event.key === 'End') props.test.set(index, event.key === 'Home' ? 0 : most)
  else if (way !== undefined) props.test.set(index, level + way * (event.shiftKey ? 1 : Math.ceil(most / 50)))
  else return
  event.preventDefault()
}
</script>

<template>
  <section aria-labelledby="type-test" class="flex flex-col gap-2">
    <div class="flex items-center gap-1.5">
      <h3 id="type-test" class="mr-auto text-sm font-semibold">{{ mode }}, level by level</h3>
      <button type="button" class="chip" @click="test.begin">At rest, with light</button>
      <button type="button" class="chip" @click="test.rest">At rest</button>
    </div>
    <p class="text-sm text-mist">
      Nothing of the show changes here. Every channel is set as it would come over the line; beside it stands what its
      level means, and to the right the light.
    </p>
    <ul class="flex flex-col gap-1">
      <li
        v-for="{ channel, index, level, most, means } in test.rows.value"
        :key="index"
        class="grid grid-cols-[28px_140px_minmax(80px,1fr)_74px_minmax(120px,1fr)] items-center gap-2"
      >
        <span class="text-right font-mono text-xs text-haze">{{ channel.coarse }}</span>
        <span class="truncate text-sm" :title="channel.name">{{ channel.name }}</span>
        <DragTrack
          class="h-5 border-rule-2"
          :aria-label="channel.name"
          :aria-valuemin="0"
          :aria-valuemax="most"
          :aria-valuenow="level"
          :aria-valuetext="means"
          @begin="from = level"
          @drag="(part) => test.set(index, from + part * most)"
          @cancel="test.set(index, from)"
          @keydown="onKey($event, index, level, most)"
        >
          <span
            class="absolute inset-y-0 left-0 rounded-sm bg-plank-2"
            :style="{ width: `${(100 * level) / most}%` }"
          />
          <span
            class="absolute inset-y-0.5 w-[3px] -translate-x-px rounded-sm bg-haze"
            :style="{ left: `${(100 * level) / most}%` }"
          />
        </DragTrack>
        <TypedField
          :label="`Level of ${channel.name}, 0 to ${most}`"
          :shown="String(level)"
          :read="numberTyped"
          @keep="(wish) => test.set(index, wish)"
        />
        <span class="truncate text-sm text-mist" :title="means">{{ means }}</span>
      </li>
    </ul>
  </section>
</template>
