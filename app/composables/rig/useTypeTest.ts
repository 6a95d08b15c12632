/** A mode tried out without a fixture: levels on its channels, and the light they would make. */
import { computed, ref, watch } from 'vue'
import { channelLight, highestLevel, levelInWords, restingLevel } from '#core/output/channelReading'
import type { Channel, FixtureType } from '#core/show/entities'

export type TypeTest = ReturnType<typeof useTypeTest>

export function useTypeTest(type: () => FixtureType, channels: () => readonly Channel[]) {
  const levels = ref<number[]>([])
  /** Everything at rest, but with light. */
  function begin() {
    levels.value = channels().map((channel) =>
      channel.functions.some(({ does }) => does === 'intensity') ? highestLevel(channel) : restingLevel(channel),
    )
  }
  watch(channels, begin, { immediate: true })

  const rest = () => (levels.value = channels().map(restingLevel))
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
  const light = computed(() => channelLight(type(), channels(), levels.value))

  return { rows, light, begin, rest, set }
}
