<script setup lang="ts">
/** What was asked for beside what types make of it, and how far that is off. */
import { computed } from 'vue'
import { hexOf } from '#core/colour/colour'
import type { ColourOfType } from '#core/palettes/paletteColours'
import { lookOf } from '#core/show/colours'

const props = defineProps<{ colours: readonly ColourOfType[] }>()
/** ΔE 2000 that can just be told apart. */
const JUST_SEEN = 1

const pairs = computed(() =>
  props.colours.flatMap(({ type, fixtures, asked, made }) => {
    const wanted = lookOf(type, asked)
    if (wanted.kind !== 'colour') return []
    const off = made.difference < 10 ? made.difference.toFixed(1) : made.difference.toFixed(0)
    return [
      {
        key: `${type.name} ${hexOf(wanted)}`,
        name: type.name,
        fixtures,
        wanted: hexOf(wanted),
        made: hexOf({ ...made.look, level: wanted.level }),
        off: made.difference < JUST_SEEN ? 'as asked' : `${off} ΔE off`,
      },
    ]
  }),
)
</script>

<template>
  <ul class="flex flex-col gap-0.5" aria-label="What types make of it">
    <li v-for="pair in pairs" :key="pair.key" class="flex items-center gap-1.5 text-xs text-mist">
      <span class="flex w-[92px] shrink-0 items-baseline gap-1" :title="`${pair.fixtures} ${pair.name}`"
        ><span class="truncate">{{ pair.name }}</span></span
      >
      <span
        class="flex h-4 flex-1 overflow-hidden rounded-sm"
        role="img"
        :aria-label="`asked ${pair.wanted}, gets ${pair.made}`"
      >
        <span class="flex-1" :style="{ background: pair.wanted }" />
        <span class="flex-1" :style="{ background: pair.made }" />
      </span>
      <span
        class="mr-[22px] w-[74px] shrink-0 text-right"
        title="How far off it looks, ΔE 2000: 1 can just be told apart"
        >{{ pair.off }}</span
      >
    </li>
  </ul>
</template>
