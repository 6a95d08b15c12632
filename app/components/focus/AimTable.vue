<script setup lang="ts">
/** Each selected fixture's pan, tilt, throw and pool, in the order of selection. */
import type { StageFixture } from '#core/cues/onStage'
import { metresInWords } from '#core/refocus/words'

defineProps<{ fixtures: readonly StageFixture[] }>()

function trouble({ position }: StageFixture): string | null {
  if (position.state === 'out of reach')
    return `${position.shortDegrees.toFixed(1)}° short, misses by ${metresInWords(position.missMetres)}`
  if (position.state === 'other side') return 'had to go the other side'
  if (position.state === 'outside stops') return 'beyond its stops'
  if (position.state === 'no place here') return 'its target has no place here'
  return null
}
</script>

<template>
  <div class="-mx-1 max-h-64 overflow-y-auto">
    <table class="w-full table-fixed font-mono text-sm">
      <thead class="sticky top-0 bg-deck">
        <tr class="text-right text-haze">
          <th scope="col" class="px-1 py-0.5 text-left font-normal">fixture</th>
          <th scope="col" class="px-1 font-normal">pan</th>
          <th scope="col" class="px-1 font-normal">tilt</th>
          <th scope="col" class="px-1 font-normal">throw</th>
          <th scope="col" class="px-1 font-normal">pool</th>
        </tr>
      </thead>
      <tbody>
        <template v-for="(fixture, i) in fixtures" :key="fixture.rigged.id">
          <tr class="text-right" :class="trouble(fixture) ? 'text-coral' : ''">
            <th scope="row" class="px-1 py-0.5 text-left font-normal">
              <span
                class="mr-1 inline-grid h-4 min-w-4 place-items-center rounded-full bg-coral px-0.5 text-[10px] font-bold text-on-coral"
                >{{ i + 1 }}</span
              >
              {{ fixture.rigged.fixture.number }}
            </th>
            <td class="px-1">{{ fixture.position.pose.pan.toFixed(1) }}°</td>
            <td class="px-1">{{ fixture.position.pose.tilt.toFixed(1) }}°</td>
            <td class="px-1">
              {{ fixture.position.throwMetres === null ? '–' : `${fixture.position.throwMetres.toFixed(2)} m` }}
            </td>
            <td
              class="px-1"
              :class="fixture.zoom.fits ? '' : 'text-coral'"
              :title="fixture.zoom.fits ? undefined : 'The zoom cannot make the pool asked for'"
            >
              {{ fixture.zoom.pool === null ? '–' : `${fixture.zoom.pool.toFixed(2)} m` }}
            </td>
          </tr>
          <tr v-if="trouble(fixture)" class="text-coral">
            <td colspan="5" class="px-1 pb-1 font-sans">{{ fixture.rigged.fixture.number }}: {{ trouble(fixture) }}</td>
          </tr>
        </template>
      </tbody>
    </table>
  </div>
</template>
