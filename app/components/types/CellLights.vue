<script setup lang="ts">
/** The cells of a type as they light: each in its colour, as bright as it is. */
import type { ChannelLight } from '#core/output/channelReading'

defineProps<{ cells: readonly ChannelLight[] }>()

const style = ({ colour: { red, green, blue }, beam }: ChannelLight) => ({
  backgroundColor: `rgb(${[red, green, blue].map((part) => Math.round(255 * part)).join(' ')} / ${beam?.intensity ?? 1})`,
})
</script>

<template>
  <figure>
    <ol class="flex flex-wrap gap-1 rounded-lg border border-rule bg-night p-2" aria-label="Light of each cell">
      <li
        v-for="(cell, i) in cells"
        :key="i"
        class="size-7 rounded-sm border border-rule-2"
        :style="style(cell)"
        :aria-label="`Cell ${i + 1}, ${Math.round(100 * (cell.beam?.intensity ?? 1))} %`"
      />
    </ol>
    <figcaption class="mt-1 text-sm text-mist">Its cells, from the first.</figcaption>
  </figure>
</template>
