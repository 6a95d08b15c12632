<script setup lang="ts">
/** A hang drawn with its fixtures at true spacing; its trim height can be typed. */
import { computed, nextTick, ref } from 'vue'
import type { FixtureId } from '#core/show/ids'
import { withCells, type RiggedHang } from '#core/show/rig'
import type { Show } from '#core/show/show'
import { NUMBER_CLASS, SIGN_CLASS, useFixtureLook } from '../../composables/stage/useFixtureLook'
import { useSelection } from '../../stores/selection'
import FixtureGlyph from '../stage/FixtureGlyph.vue'

const props = defineProps<{ show: Show; hang: RiggedHang }>()
const emit = defineEmits<{ retrim: [height: number] }>()
const selection = useSelection()
const lookOf = useFixtureLook()

const WIDTH = 222
const EDGE = 12
/** Nearer than this, pixels, two numbers would run into each other. */
const NARROWEST = 15

const drawn = computed(() => {
  const { fixtures, place } = props.hang
  const reach = Math.max(place.length / 2, ...fixtures.map((f) => Math.abs(f.place.along)), 0.1)
  const spots = fixtures.map((rigged) => ({
    id: rigged.id,
    number: rigged.fixture.number,
    form: rigged.type.form,
    x: EDGE + ((rigged.place.along + reach) / (2 * reach)) * (WIDTH - 2 * EDGE),
  }))
  return spots.map((spot, i) => ({ ...spot, isNamed: i === 0 || spot.x - (spots[i - 1]?.x ?? 0) >= NARROWEST }))
})

const editing = ref(false)
const typed = ref('')
const field = ref<HTMLInputElement | null>(null)

async function edit() {
  typed.value = props.hang.place.origin.z.toFixed(2)
  editing.value = true
  await nextTick()
  field.value?.select()
}

function keep() {
  if (!editing.value) return
  editing.value = false
  const height = Number(typed.value.replace(',', '.'))
  if (typed.value.trim() !== '' && Number.isFinite(height) && height !== props.hang.place.origin.z)
    emit('retrim', height)
}

function pick(event: MouseEvent, id: FixtureId) {
  const all = withCells(props.show, id)
  if (selection.adds(event)) selection.toggle(all)
  else selection.set(all)
}

function pickAll(event: MouseEvent) {
  const ids = props.hang.fixtures.flatMap(({ id }) => withCells(props.show, id))
  if (selection.adds(event)) selection.add(ids)
  else selection.set(ids)
}
</script>

<template>
  <section :aria-label="hang.hang.name">
    <div class="flex items-baseline justify-between">
      <button
        type="button"
        class="font-semibold hover:text-coral"
        :title="`Select all on ${hang.hang.name}`"
        @click="pickAll"
      >
        {{ hang.hang.name }}
      </button>
      <input
        v-if="editing"
        ref="field"
        v-model="typed"
        class="field w-20 py-0 text-right"
        :aria-label="`Trim height of ${hang.hang.name} in metres`"
        @keydown.enter.prevent="keep"
        @keydown.esc.stop="editing = false"
        @blur="keep"
      />
      <button
        v-else
        type="button"
        class="rounded px-1 font-mono text-sm text-mist hover:bg-plank-2 hover:text-sail"
        :aria-label="`Trim height of ${hang.hang.name}, ${hang.place.origin.z.toFixed(2)} metres`"
        title="Change the trim height"
        @click="edit"
      >
        {{ hang.place.origin.z.toFixed(2) }} m
      </button>
    </div>
    <svg :viewBox="`0 0 ${WIDTH} 35`" class="block w-full" role="group" :aria-label="`Fixtures on ${hang.hang.name}`">
      <path :d="`M2 6H${WIDTH - 2}`" class="stroke-hang" stroke-width="3" stroke-linecap="round" />
      <g
        v-for="spot in drawn"
        :key="spot.id"
        class="cursor-pointer"
        role="button"
        :aria-label="`Fixture ${spot.number} on ${hang.hang.name}`"
        :aria-pressed="selection.order.has(spot.id)"
        @click="pick($event, spot.id)"
      >
        <rect :x="spot.x - 9" y="0" width="18" height="36" fill="transparent" />
        <FixtureGlyph
          :form="spot.form"
          :x="spot.x"
          :y="14"
          :scale="0.8"
          stroke-width="1.2"
          :class="SIGN_CLASS[lookOf(withCells(show, spot.id))]"
        />
        <text
          v-if="spot.isNamed"
          :x="spot.x"
          y="33"
          text-anchor="middle"
          class="font-mono text-[10px]"
          :class="NUMBER_CLASS[lookOf(withCells(show, spot.id))]"
        >
          {{ spot.number }}
        </text>
      </g>
    </svg>
  </section>
</template>
