<script setup lang="ts">
/** Set pieces in a section: an upright solid seen from the side is as wide as its outline and as tall as it is. */
import { computed } from 'vue'
import type { SetPieceId } from '#core/show/ids'
import type { PlacedSetPiece } from '#core/show/setPieces'
import { prismsAt } from '#core/venue/solids'
import { usePlan } from '../../composables/stage/planKey'

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
    boxes: prismsAt(id, piece.solids, place).map(({ outline, bottom, top }) => {
      const feet = outline.map((p) => toScreen({ ...p, z: bottom }))
      const head = toScreen({ x: 0, y: 0, z: top }).y
      const left = Math.min(...feet.map((p) => p.x))
      const foot = feet[0]?.y ?? head
      return { x: left, y: head, width: Math.max(...feet.map((p) => p.x)) - left, height: foot - head }
    }),
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
      <rect v-for="(box, i) in piece.boxes" :key="i" v-bind="box" class="fill-plank-2/80" stroke-width="1.2" />
    </g>
  </g>
</template>
