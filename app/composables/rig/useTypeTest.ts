/** A mode tried out without a fixture: levels on its channels, and the light they would make. */
import { computed, ref, watch } from 'vue'
import { cellLight, channelLight, highestLevel, levelInWords, levelsAtRest } from '#core/output/channelReading'
import type { Channel, FixtureType } from '#core/show/entities'

export type TypeTest = ReturnType<typeof useTypeTest>

export function useTypeTest(type: () => FixtureType, channels: () => readonly Channel[]) {
  const levels = ref<number[]>([])
  const rest = () => (levels.value = levelsAtRest(type(), channels(), 0))
  /** Everything at rest, but with light. */
  const begin = () => (levels.value = levelsAtRest(type(), channels(), 1))
  watch(channels, begin, { immediate: true })

  function set(index: number, level: number) {
    const channel = channels()[index]
    if (!channel) return
    const within = Math.min(highestLevel(channel), Math.max(0, Math.round(level)))
    levels.value = levels.value.map((known, i) => (i === index ? within : known))
  }

  const rows = computed(() =>
    channels().map((channel, index) => {
      const level = levels.value[index] ?? 0
      return { channel, index, level, most: highestLevel(channel), means: levelInWords(type(), channel, level) }
    }),
  )
  /** The light of each cell; none of a type without. */
  const cells = computed(() =>
    Array.from({ length: type().cells?.count ?? 0 }, (_, i) => cellLight(type(), channels(), levels.value, i + 1)),
  )
  const light = computed(() => cells.value[0] ?? channelLight(type(), channels(), levels.value))

  return { rows, light, cells, begin, rest, set }
}
