<script setup lang="ts">
/** The channels of one fixture as they come in: level, what it means, how it ran in the last seconds, and ours beside it. */
import { useIntervalFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { highestLevel, levelInWords } from '#core/output/channelReading'
import { levelAt } from '#core/output/received'
import { channelsFor } from '#core/patch/span'
import { fixtureNumber } from '#core/show/cells'
import type { FixtureId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useInputRoom } from '../../stores/inputRoom'

const props = defineProps<{ show: Show; fixture: FixtureId }>()
const room = useInputRoom()
/** Points of a running graph, so far apart: ten seconds. */
const POINTS = 100
const EVERY = 100

const known = computed(() => {
  const fixture = props.show.all.fixture.get(props.fixture)
  const type = props.show.all.fixtureType.get(fixture?.type ?? '')
  const all = props.show.all.fixtureMode.get(fixture?.mode ?? '')?.channels
  if (!fixture || !type || !all || fixture.universe === null || fixture.address === null) return null
  const { universe, address } = fixture
  return { fixture, type, universe, address, channels: channelsFor(all, fixture.cell) }
})
const rows = computed(() => {
  if (!known.value) return []
  const { universe, address, type, channels } = known.value
  const [theirs, ours] = [room.levels.get(universe), room.ours?.get(universe)]
  return channels.map((channel) => {
    const level = theirs ? levelAt(theirs, address, channel) : null
    const own = ours ? levelAt(ours, address, channel) : null
    return {
      ...{ name: channel.name, level, differs: level !== null && own !== null && level !== own },
      part: level === null ? 0 : level / highestLevel(channel),
      words: level === null ? 'nothing comes in' : levelInWords(type, channel, level),
      own: own === null ? '' : levelInWords(type, channel, own),
    }
  })
})
/** By channel, how it ran. */
const ran = ref<number[][]>([])
watch(
  () => props.fixture,
  () => (ran.value = []),
)
useIntervalFn(() => {
  ran.value = rows.value.map(({ part }, i) => [...(ran.value[i] ?? []), part].slice(-POINTS))
}, EVERY)
const pathOf = (parts: readonly number[]) =>
  parts.map((part, i) => `${i === 0 ? 'M' : 'L'}${i + POINTS - parts.length} ${(15 - part * 14).toFixed(1)}`).join('')
</script>

<template>
  <section
    v-if="known"
    class="max-h-64 overflow-y-auto border-t border-rule bg-deck px-4 py-2"
    :aria-label="`Fixture ${fixtureNumber(known.fixture)} as it comes in`"
    tabindex="0"
  >
    <h3 class="mb-1 font-semibold">{{ fixtureNumber(known.fixture) }} {{ known.type.name }}</h3>
    <table class="w-full text-sm">
      <thead class="text-left text-xs text-haze">
        <tr>
          <th class="font-normal">channel</th>
          <th class="text-right font-normal">level</th>
          <th class="pl-4 font-normal">the last ten seconds</th>
          <th class="pl-4 font-normal">means</th>
          <th class="pl-4 font-normal">ours</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, i) in rows" :key="row.name">
          <td class="truncate">{{ row.name }}</td>
          <td class="text-right font-mono">{{ row.level ?? '–' }}</td>
          <td class="pl-4">
            <svg viewBox="0 0 100 16" class="h-4 w-32" preserveAspectRatio="none" aria-hidden="true">
              <path
                :d="pathOf(ran[i] ?? [])"
                class="fill-none stroke-brass"
                stroke-width="1.5"
                vector-effect="non-scaling-stroke"
              />
            </svg>
          </td>
          <td class="pl-4" :class="row.differs ? 'text-brass' : ''">{{ row.words }}</td>
          <td class="pl-4 text-mist">{{ row.own }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
