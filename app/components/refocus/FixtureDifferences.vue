<script setup lang="ts">
/** Each fixture of a palette or a cue before and after, in numbers, with what is worse. */
import { metresInWords } from '#core/geometry/lengthInWords'
import { LOSS_WORDS, lossesOf, turnOf, type FixtureDifference } from '#core/refocus/difference'
import { numberOfFixture } from '#core/show/cells'
import type { Show } from '#core/show/show'

const props = defineProps<{ show: Show; fixtures: readonly FixtureDifference[] }>()

/** What is worse there, with how far it falls short and what is in the way. */
function troubleOf(one: FixtureDifference): string {
  return lossesOf(one)
    .map((loss) => {
      if (loss === 'out of reach' && one.there)
        return `${LOSS_WORDS[loss]}: ${one.there.shortDegrees.toFixed(1)}° short, misses by ${metresInWords(one.there.missMetres)}`
      if (loss === 'in the way')
        return `${props.show.all.setPiece.get(one.there?.blockedBy ?? '')?.name ?? 'the set'} in the way`
      return loss === 'keep clear' ? `in ${one.there?.zones.join(', ') ?? ''}` : LOSS_WORDS[loss]
    })
    .join('; ')
}
const pair = (one: FixtureDifference, key: 'pan' | 'tilt' | 'throwMetres' | 'poolMetres', digits: number) =>
  [one.here, one.there].map((light) => light?.[key]?.toFixed(digits) ?? '–').join(' → ')
</script>

<template>
  <table class="w-full text-sm">
    <caption class="sr-only">
      Each fixture before and after
    </caption>
    <thead class="sticky top-0 bg-deck text-xs text-haze">
      <tr>
        <th class="text-left font-normal">fixture</th>
        <th class="text-right font-normal">pan, °</th>
        <th class="text-right font-normal">tilt, °</th>
        <th class="text-right font-normal">throw, m</th>
        <th class="text-right font-normal">turns</th>
      </tr>
    </thead>
    <tbody>
      <template v-for="one in fixtures" :key="one.fixture">
        <tr class="font-mono text-xs">
          <td class="text-sm">{{ numberOfFixture(show, one.fixture) }}</td>
          <td class="text-right">{{ pair(one, 'pan', 1) }}</td>
          <td class="text-right">{{ pair(one, 'tilt', 1) }}</td>
          <td class="text-right">{{ pair(one, 'throwMetres', 1) }}</td>
          <td class="text-right">{{ turnOf(one)?.toFixed(1) ?? '–' }}°</td>
        </tr>
        <tr v-if="lossesOf(one).length">
          <td />
          <td colspan="4" class="pb-1 text-coral">{{ troubleOf(one) }}</td>
        </tr>
      </template>
    </tbody>
  </table>
</template>
