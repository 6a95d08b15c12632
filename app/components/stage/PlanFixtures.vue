<script setup lang="ts">
/** The fixtures of a hang, with their numbers and the order of selection. Only those that change are drawn anew. */
import type { FixtureId } from '#core/show/ids'
import type { DrawnFixture } from '../../composables/fixtureSpots'
import { NUMBER_CLASS, SIGN_CLASS, type FixtureLook } from '../../composables/useFixtureLook'
import type { ScreenPoint } from '../../composables/usePlanView'
import FixtureGlyph from './FixtureGlyph.vue'

/** A fixture on the screen. */
export interface SeenFixture extends Omit<DrawnFixture, 'at'> {
  /** Its place in the order of selection. */
  readonly order: number | undefined
  readonly isMarked: boolean
  /** Whether an entry being typed would select it. */
  readonly isMeant: boolean
  readonly look: FixtureLook
  /** Whether there is room for its number. */
  readonly isNumbered: boolean
  readonly at: ScreenPoint
}

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
    ]"
    :transform="`translate(${fixture.at.x.toFixed(1)} ${fixture.at.y.toFixed(1)})`"
    class="cursor-pointer"
    role="img"
    :aria-label="`Fixture ${fixture.label}${fixture.order ? `, selected ${fixture.order}` : fixture.look === 'there' ? '' : `, ${fixture.look}`}`"
    :data-fixture="fixture.number"
    @pointerdown="emit('pick', $event, fixture.members)"
  >
    <rect x="-12" y="-20" width="24" height="32" fill="transparent" />
    <FixtureGlyph
      :form="fixture.form"
      stroke-width="1.4"
      :transform="fixture.isStanding ? 'scale(1 -1)' : undefined"
      :class="SIGN_CLASS[fixture.look]"
    />
    <circle v-if="fixture.isMeant" r="12.500" class="fill-none stroke-shoal" stroke-width="1.500" />
    <circle v-if="fixture.isMarked" r="11" class="fill-none stroke-coral" stroke-dasharray="2 3" />
    <text
      v-if="fixture.isNumbered"
      y="-12"
      text-anchor="middle"
      class="halo font-mono text-[11px]"
      :class="NUMBER_CLASS[fixture.look]"
    >
      {{ fixture.label }}
    </text>
    <g v-if="fixture.order && fixture.isNumbered && fixture.members.length === 1" transform="translate(10 8)">
      <circle r="6.500" class="fill-coral" />
      <text y="3.500" text-anchor="middle" class="fill-on-coral font-mono text-[9px] font-bold">{{
        fixture.order
      }}</text>
    </g>
  </g>
</template>
