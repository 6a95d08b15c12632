<script setup lang="ts">
/** What one would read off a tape: how far lights are from the crosses they are near. */
import { computed } from 'vue'
import type { StageFixture } from '#core/cues/onStage'
import { numberOfFixture } from '#core/show/cells'
import type { FixtureId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { tapedLights } from '#core/standIn/tape'

const props = defineProps<{
  show: Show
  pictures: readonly StageFixture[]
  /** Heads that turn: nobody measures those. */
  turning: ReadonlySet<FixtureId>
}>()
const inCentimetres = (metres: number) => {
  const text = Math.abs(metres * 100).toFixed(1)
  return text === '0.0' ? text : `${metres < 0 ? '−' : ''}${text}`
}
const rows = computed(() =>
  tapedLights(props.show, props.pictures).map(({ fixture, target, x, y, z }) => ({
    fixture,
    number: numberOfFixture(props.show, fixture),
    cross: props.show.all.target.get(target)?.name ?? '',
    isTurning: props.turning.has(fixture),
    x: inCentimetres(x),
    y: inCentimetres(y),
    z: inCentimetres(z),
  })),
)
</script>

<template>
  <section class="flex flex-col gap-1" aria-label="Tape measure">
    <h2 class="font-semibold">Off the crosses, cm</h2>
    <p v-if="rows.length === 0" class="text-sm text-mist">No light is within two metres of a surveyed cross.</p>
    <table v-else class="w-full text-sm">
      <thead class="text-right text-xs text-haze">
        <tr>
          <th class="w-11 text-left font-normal">head</th>
          <th class="text-left font-normal">cross</th>
          <th class="pl-2 font-normal">stage left</th>
          <th class="pl-2 font-normal">upstage</th>
          <th class="pl-2 font-normal">up</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.fixture" class="text-right font-mono">
          <th class="text-left font-normal">{{ row.number }}</th>
          <td class="max-w-28 truncate text-left font-sans text-mist">{{ row.cross }}</td>
          <td v-if="row.isTurning" colspan="3" class="font-sans text-haze">turning</td>
          <template v-else>
            <td class="pl-2">{{ row.x }}</td>
            <td class="pl-2">{{ row.y }}</td>
            <td class="pl-2">{{ row.z }}</td>
          </template>
        </tr>
      </tbody>
    </table>
  </section>
</template>
