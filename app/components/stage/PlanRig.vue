<script setup lang="ts">
/** Hangs and their fixtures in plan, with numbers and the order of selection. */
import { computed } from 'vue'
import type { FixtureId, HangId } from '#core/show/ids'
import type { DrawnHang } from '../../composables/fixtureSpots'
import { usePlan } from '../../composables/planKey'
import FixtureGlyph from './FixtureGlyph.vue'

const props = defineProps<{
  hangs: readonly DrawnHang[]
  order: ReadonlyMap<FixtureId, number>
  marked: ReadonlySet<FixtureId>
  movable: boolean
}>()
const emit = defineEmits<{
  pick: [event: PointerEvent, fixture: FixtureId]
  grabHang: [event: PointerEvent, hang: HangId]
}>()
const { toScreen } = usePlan()

const drawn = computed(() =>
  props.hangs.map((hang) => ({
    id: hang.hang.id,
    name: hang.hang.hang.name,
    isUpright: hang.isUpright,
    from: toScreen(hang.from),
    to: toScreen(hang.to),
    fixtures: hang.fixtures.map(({ rigged, at }) => ({
      id: rigged.id,
      number: rigged.fixture.number,
      form: rigged.type.form,
      standing: Math.abs(rigged.place.roll) > 90,
      at: toScreen(at),
    })),
  })),
)
</script>

<template>
  <g v-for="hang in drawn" :key="hang.id">
    <g :class="movable ? 'cursor-move' : ''" @pointerdown="movable && emit('grabHang', $event, hang.id)">
      <path
        v-if="movable"
        :d="`M${hang.from.x} ${hang.from.y}L${hang.to.x} ${hang.to.y}`"
        stroke="transparent"
        stroke-width="16"
      />
      <path
        :d="`M${hang.from.x} ${hang.from.y}L${hang.to.x} ${hang.to.y}`"
        class="stroke-hang"
        stroke-width="3"
        stroke-linecap="round"
        :stroke-dasharray="hang.isUpright ? '2 5' : undefined"
      />
      <text
        v-if="hang.isUpright"
        :x="hang.from.x"
        :y="Math.max(hang.from.y, hang.to.y) + 16"
        text-anchor="middle"
        class="halo fill-mist text-[11px]"
      >
        {{ hang.name }}
      </text>
      <text
        v-else
        :x="Math.min(hang.from.x, hang.to.x) - 7"
        :y="hang.from.y + 4"
        text-anchor="end"
        class="halo fill-mist text-[11px]"
      >
        {{ hang.name }}
      </text>
    </g>
    <g
      v-for="fixture in hang.fixtures"
      :key="fixture.id"
      :transform="`translate(${fixture.at.x.toFixed(1)} ${fixture.at.y.toFixed(1)})`"
      class="cursor-pointer"
      role="img"
      :aria-label="`Fixture ${fixture.number}${order.has(fixture.id) ? `, selected ${order.get(fixture.id)}` : ''}`"
      :data-fixture="fixture.number"
      @pointerdown="emit('pick', $event, fixture.id)"
    >
      <rect x="-12" y="-20" width="24" height="32" fill="transparent" />
      <FixtureGlyph
        :form="fixture.form"
        stroke-width="1.4"
        :transform="fixture.standing ? 'scale(1 -1)' : undefined"
        :class="order.has(fixture.id) ? 'fill-coral-deep stroke-coral' : 'fill-night stroke-mist'"
      />
      <circle v-if="marked.has(fixture.id)" r="11" class="fill-none stroke-coral" stroke-dasharray="2 3" />
      <text
        y="-12"
        text-anchor="middle"
        class="halo font-mono text-[11px]"
        :class="order.has(fixture.id) ? 'fill-coral' : 'fill-mist'"
      >
        {{ fixture.number }}
      </text>
      <g v-if="order.has(fixture.id)" transform="translate(10 8)">
        <circle r="6.500" class="fill-coral" />
        <text y="3.500" text-anchor="middle" class="fill-on-coral font-mono text-[9px] font-bold">{{
          order.get(fixture.id)
        }}</text>
      </g>
    </g>
  </g>
</template>
