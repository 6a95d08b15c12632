<script setup lang="ts">
/**
 * Beams and pools in plan. Pools are the true conics of the beams: on the level of what is aimed
 * at, or on the floor. A light with no level to land on has a beam and no pool.
 */
import { computed } from 'vue'
import type { StageFixture } from '#core/cues/onStage'
import type { Vec3 } from '#core/geometry/vector'
import { poolOnLevel } from '#core/light/pool'
import type { FixtureId } from '#core/show/ids'
import { usePlan } from '../../composables/planKey'
import { pathOf } from './svgPath'

const props = defineProps<{
  fixtures: readonly StageFixture[]
  spots: ReadonlyMap<FixtureId, Vec3>
  atFloor: boolean
  look: 'lit' | 'chosen' | 'ghost'
}>()
const { toScreen, scale } = usePlan()

/** Opacities of one pool. Many overlap, so each is faint. */
const STRENGTH = { faintest: 0.03, more: 0.09, chosen: 0.12 }
/** With more pools than this chosen, each is fainter still, or the middle would wash out. */
const MANY = 6
const chosenStrength = computed(() => STRENGTH.chosen * Math.min(1, Math.sqrt(MANY / props.fixtures.length)))

const lights = computed(() =>
  props.fixtures.map((fixture) => {
    const { position, beam, zoom, rigged, intensity, colour } = fixture
    const level = props.atFloor ? 0 : (position.point?.z ?? 0)
    const pool = poolOnLevel(beam, zoom.angle, level, 24)
    const from = toScreen(props.spots.get(rigged.id) ?? beam.lens)
    const end = position.state === 'out of reach' ? along(beam, position.throwMetres ?? 8) : position.point
    const to = end && toScreen(end)
    return {
      id: rigged.id,
      isShort: position.state === 'out of reach' || position.state === 'outside stops',
      beam: to && `M${from.x.toFixed(1)} ${from.y.toFixed(1)}L${to.x.toFixed(1)} ${to.y.toFixed(1)}`,
      end: to,
      ellipse: pool?.kind === 'closed' ? ellipseOf(pool) : null,
      open: pool?.kind === 'open' ? pathOf(pool.outline.map(toScreen)) : null,
      strength: props.look === 'lit' ? STRENGTH.faintest + STRENGTH.more * intensity : chosenStrength.value,
      tint: `rgb(${[colour.red, colour.green, colour.blue].map((c) => Math.round(110 + 145 * c)).join(' ')})`,
    }
  }),
)

function along(beam: StageFixture['beam'], metres: number): Vec3 {
  const { lens, direction } = beam
  return { x: lens.x + direction.x * metres, y: lens.y + direction.y * metres, z: lens.z + direction.z * metres }
}

function ellipseOf(pool: { centre: Vec3; halfLong: number; halfShort: number; turn: number }) {
  const { x, y } = toScreen(pool.centre)
  return { x, y, long: pool.halfLong * scale.value, short: pool.halfShort * scale.value, turn: -pool.turn }
}
</script>

<template>
  <g pointer-events="none" :data-light="look">
    <g v-for="light in lights" :key="light.id">
      <ellipse
        v-if="light.ellipse"
        :rx="light.ellipse.long"
        :ry="light.ellipse.short"
        :transform="`translate(${light.ellipse.x} ${light.ellipse.y}) rotate(${light.ellipse.turn})`"
        :class="
          look === 'ghost' ? 'fill-none stroke-shoal' : look === 'chosen' ? 'fill-brass stroke-brass' : 'stroke-brass'
        "
        :style="look === 'lit' ? { fill: light.tint } : undefined"
        :fill-opacity="light.strength"
        :stroke-opacity="look === 'lit' ? 0.3 : 0.85"
        :stroke-dasharray="look === 'ghost' ? '4 3' : undefined"
      />
      <path
        v-if="light.open"
        :d="light.open"
        :class="look === 'ghost' ? 'fill-none stroke-shoal' : 'fill-brass stroke-brass'"
        :fill-opacity="light.strength / 2"
        :stroke-opacity="look === 'lit' ? 0.2 : 0.6"
        clip-path="url(#venue)"
        stroke-dasharray="2 5"
      />
      <path
        v-if="light.beam"
        :d="light.beam"
        fill="none"
        :class="light.isShort ? 'stroke-coral' : look === 'ghost' ? 'stroke-shoal' : 'stroke-brass'"
        :stroke-opacity="look === 'lit' ? 0.18 : look === 'ghost' ? 0.5 : 0.75"
        :stroke-dasharray="light.isShort || look === 'ghost' ? '5 4' : undefined"
      />
      <path
        v-if="light.isShort && light.end"
        :d="`M${light.end.x - 4} ${light.end.y - 4}l8 8m0 -8l-8 8`"
        class="stroke-coral"
        stroke-width="2"
      />
    </g>
  </g>
</template>
