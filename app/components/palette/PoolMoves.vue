<script setup lang="ts">
/** How far each pool of a palette moves, fixture by fixture. */
import type { PoolMove } from '#core/refocus/poolMoves'
import { metresInWords } from '#core/geometry/lengthInWords'

defineProps<{ moves: readonly PoolMove[] }>()

/** "+11.4°". */
function turnInWords(degrees: number): string {
  const rounded = degrees.toFixed(1)
  if (Number(rounded) === 0) return '0.0°'
  return degrees > 0 ? `+${rounded}°` : `${rounded}°`
}
</script>

<template>
  <div class="max-h-32 overflow-y-auto rounded-md border border-rule" tabindex="0">
    <table class="w-full text-xs">
      <caption class="sr-only">
        How far each pool moves
      </caption>
      <thead class="sticky top-0 bg-deck text-right text-haze">
        <tr>
          <th class="px-1.5 py-0.5 text-left font-normal">fixture</th>
          <th class="px-1.5 font-normal">pool moves</th>
          <th class="px-1.5 font-normal">pan turns</th>
          <th class="px-1.5 font-normal">tilt turns</th>
        </tr>
      </thead>
      <tbody class="text-right font-mono">
        <tr v-for="move in moves" :key="move.fixture" :class="move.losesReach ? 'text-coral' : ''">
          <th class="px-1.5 py-px text-left font-normal">{{ move.number }}</th>
          <td v-if="move.losesReach" class="px-1.5 font-sans" colspan="3">out of reach</td>
          <template v-else>
            <td class="px-1.5 text-kelp">{{ move.shiftMetres === null ? '–' : metresInWords(move.shiftMetres) }}</td>
            <td class="px-1.5">{{ turnInWords(move.panDegrees) }}</td>
            <td class="px-1.5">{{ turnInWords(move.tiltDegrees) }}</td>
          </template>
        </tr>
      </tbody>
    </table>
  </div>
</template>
