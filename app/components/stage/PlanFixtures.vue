<script setup lang="ts">
/**
 * The fixtures of a hang, with their numbers and the order of selection. Only those that change are
 * drawn anew, and each where it stands: a browser lays hundreds of moved groups on each other one by one.
 */
import type { FixtureId } from '#core/show/ids'
import type { DrawnFixture } from '#core/drawing/drawnHangs'
import { NUMBER_CLASS, SIGN_CLASS, type FixtureLook } from '../../composables/stage/useFixtureLook'
import type { ScreenPoint } from '../../composables/stage/usePlanView'
import type { SeenCell } from '../../composables/stage/useSeenCells'
import BarGlyph from './BarGlyph.vue'
import FixtureGlyph from './FixtureGlyph.vue'

/** A fixture on the screen. */
export interface SeenFixture extends Omit<DrawnFixture, 'at' | 'cells'> {
  /** Its place in the order of selection. */
  readonly order: number | undefined
  readonly isMarked: boolean
  /** Whether an entry being typed would select it. */
  readonly isMeant: boolean
  readonly look: FixtureLook
  /** Whether there is room for its number. */
  readonly isNumbered: boolean
  readonly at: ScreenPoint
  /** Of its sign, 1 where there is room. */
  readonly size: number
  readonly cells: readonly SeenCell[]
}

/** Signs drawn smaller than this have no room for the order beside them. */
const ORDERED = 0.8

defineProps<{ fixtures: readonly SeenFixture[] }>()
const emit = defineEmits<{ pick: [event: PointerEvent, fixtures: readonly FixtureId[]] }>()
</script>

<template>
  <g
    v-for="fixture in fixtures"
    :key="fixture.id"
    v-memo="[
      fixture.at.x,
      fixture.at.y,
      fixture.order,
      fixture.isMarked,
      fixture.isMeant,
      fixture.look,
      fixture.isNumbered,
      fixture.label,
      fixture.form,
      fixture.isStanding,
      fixture.size,
      fixture.cells,
    ]"
    class="cursor-pointer"
    role="img"
    :aria-label="`Fixture ${fixture.label}${fixture.order ? `, selected ${fixture.order}` : fixture.look === 'there' ? '' : `, ${fixture.look}`}`"
    :data-fixture="fixture.number"
    @pointerdown="emit('pick', $event, fixture.members)"
  >
    <rect
      :x="fixture.at.x - 12 * fixture.size"
      :y="fixture.at.y - 20 * fixture.size"
      :width="24 * fixture.size"
      :height="32 * fixture.size"
      fill="transparent"
    />
    <FixtureGlyph
      v-if="fixture.cells.length === 0"
      v-bind="fixture.at"
      :form="fixture.form"
      :is-standing="fixture.isStanding"
      :scale="fixture.size"
      stroke-width="1.4"
      :class="SIGN_CLASS[fixture.look]"
    />
    <circle
      v-if="fixture.isMeant"
      :cx="fixture.at.x"
      :cy="fixture.at.y"
      :r="12.5 * fixture.size"
      class="fill-none stroke-shoal"
      stroke-width="1.500"
    />
    <circle
      v-if="fixture.isMarked"
      :cx="fixture.at.x"
      :cy="fixture.at.y"
      :r="11 * fixture.size"
      class="fill-none stroke-coral"
      stroke-dasharray="2 3"
    />
    <text
      v-if="fixture.isNumbered"
      :x="fixture.at.x"
      :y="fixture.at.y - 2 - 10 * fixture.size"
      text-anchor="middle"
      class="halo font-mono text-[11px]"
      :class="NUMBER_CLASS[fixture.look]"
    >
      {{ fixture.label }}
    </text>
    <template v-if="fixture.order && fixture.isNumbered && fixture.members.length === 1 && fixture.size >= ORDERED">
      <circle :cx="fixture.at.x + 10" :cy="fixture.at.y + 8" r="6.500" class="fill-coral" />
      <text
        :x="fixture.at.x + 10"
        :y="fixture.at.y + 11.5"
        text-anchor="middle"
        class="fill-on-coral font-mono text-[9px] font-bold"
      >
        {{ fixture.order }}
      </text>
    </template>
  </g>
  <BarGlyph
    v-for="bar in fixtures.filter(({ cells }) => cells.length > 0)"
    :key="`cells of ${bar.id}`"
    :cells="bar.cells"
    :number="bar.label"
    @pick="(event, cell) => emit('pick', event, cell === null ? bar.members : [cell])"
  />
</template>
