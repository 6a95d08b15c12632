<script setup lang="ts">
/** Set pieces in plan. With the move tool they can be dragged. */
import { computed } from 'vue'
import type { SetPieceId } from '#core/show/ids'
import type { PlacedSetPiece } from '#core/show/setPieces'
import { prismsAt } from '#core/venue/solids'
import { usePlan } from '../../composables/stage/planKey'
import { pathOf } from '#core/drawing/svgPath'

const props = defineProps<{
  pieces: readonly PlacedSetPiece[]
  grabbable: boolean
  movable: boolean
  chosen: string | null
}>()
const emit = defineEmits<{ grab: [event: PointerEvent, piece: SetPieceId] }>()
const { toScreen } = usePlan()

const drawn = computed(() =>
  props.pieces.map(({ id, piece, place }) => ({
    id,
    name: piece.name,
    centre: toScreen(place.position),
    paths: prismsAt(id, piece.solids, place).map(({ outline }) => pathOf(outline.map(toScreen))),
    isPerson: piece.solids.some((solid) => solid.kind === 'person'),
  })),
)
</script>

<template>
  <g>
    <g
      v-for="piece in drawn"
      :key="piece.id"
      :class="[
        movable ? 'cursor-move' : grabbable ? 'cursor-pointer' : '',
        chosen === piece.id ? 'stroke-coral' : 'stroke-mist/80',
      ]"
      :data-set-piece="piece.name"
      role="img"
      :aria-label="`Set piece ${piece.name}${chosen === piece.id ? ', chosen' : ''}`"
      @pointerdown="grabbable && emit('grab', $event, piece.id)"
    >
      <title>{{ piece.name }}</title>
      <template v-if="piece.isPerson">
        <circle :cx="piece.centre.x" :cy="piece.centre.y" r="11" fill="transparent" stroke="none" />
        <circle :cx="piece.centre.x" :cy="piece.centre.y" r="4" class="fill-plank-2" />
        <path :d="`M${piece.centre.x - 8} ${piece.centre.y}a8 5 0 0 1 16 0`" fill="none" />
      </template>
      <template v-else>
        <path v-for="(path, i) in piece.paths" :key="i" :d="path" class="fill-plank-2/80" stroke-width="1.2" />
      </template>
    </g>
  </g>
</template>
