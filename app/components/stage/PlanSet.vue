<script setup lang="ts">
/** Set pieces in plan. With the move tool they can be dragged. */
import { computed } from 'vue'
import { turnLevel } from '#core/geometry/rotation'
import { add, vec3 } from '#core/geometry/vector'
import type { SetPieceId } from '#core/show/ids'
import type { PlacedSetPiece } from '#core/show/setPieces'
import { usePlan } from '../../composables/planKey'
import { pathOf } from './svgPath'

const props = defineProps<{ pieces: readonly PlacedSetPiece[]; movable: boolean }>()
const emit = defineEmits<{ grab: [event: PointerEvent, piece: SetPieceId] }>()
const { toScreen, scale } = usePlan()

const drawn = computed(() =>
  props.pieces.map(({ id, piece, place }) => {
    const at = (x: number, y: number) => toScreen(add(place.position, turnLevel(vec3(x, y, 0), place.yaw)))
    const paths = piece.solids.flatMap((solid) =>
      solid.kind === 'prism' ? [pathOf(solid.outline.map((p) => at(p.x, p.y)))] : [],
    )
    const circles = piece.solids.flatMap((solid) => (solid.kind === 'cylinder' ? [solid.radius * scale.value] : []))
    const isPerson = piece.solids.some((solid) => solid.kind === 'person')
    return { id, name: piece.name, centre: at(0, 0), paths, circles, isPerson }
  }),
)
</script>

<template>
  <g>
    <g
      v-for="piece in drawn"
      :key="piece.id"
      :class="movable ? 'cursor-move' : ''"
      :data-set-piece="piece.name"
      @pointerdown="movable && emit('grab', $event, piece.id)"
    >
      <title>{{ piece.name }}</title>
      <path
        v-for="(path, i) in piece.paths"
        :key="i"
        :d="path"
        class="fill-plank-2/80 stroke-mist/80"
        stroke-width="1.2"
      />
      <circle
        v-for="(radius, i) in piece.circles"
        :key="`c${i}`"
        :cx="piece.centre.x"
        :cy="piece.centre.y"
        :r="radius"
        class="fill-plank-2/80 stroke-mist/80"
        stroke-width="1.2"
      />
      <g v-if="piece.isPerson" class="stroke-mist" fill="none">
        <circle :cx="piece.centre.x" :cy="piece.centre.y" r="4" class="fill-plank-2" />
        <path :d="`M${piece.centre.x - 8} ${piece.centre.y}a8 5 0 0 1 16 0`" />
      </g>
    </g>
  </g>
</template>
