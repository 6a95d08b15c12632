<script setup lang="ts">
/** Stops, direction, speed and acceleration of one axis. */
import type { FixtureType } from '#core/show/entities'

type Axis = FixtureType['pan']
const props = defineProps<{ name: string; axis: Axis; keep: (axis: Axis) => Promise<string | null> }>()
const apply = (change: Partial<Axis>) => props.keep({ ...props.axis, ...change })
const WAYS = [
  { key: 'plain', name: 'lower stop first' },
  { key: 'reversed', name: 'upper stop first' },
] as const
</script>

<template>
  <fieldset :aria-label="name">
    <legend class="mb-1 text-sm font-semibold">{{ name }}</legend>
    <div class="grid grid-cols-5 gap-2">
      <NumberField label="Lower stop" unit="°" :value="axis.min" :keep="(min) => apply({ min })" />
      <NumberField label="Upper stop" unit="°" :value="axis.max" :keep="(max) => apply({ max })" />
      <NumberField label="Speed" unit="°/s" :value="axis.speed" :keep="(speed) => apply({ speed })" />
      <NumberField
        label="Acceleration"
        unit="°/s²"
        :value="axis.acceleration"
        :keep="(acceleration) => apply({ acceleration })"
      />
      <ChoiceField
        label="Lowest value is"
        :value="axis.reversed ? 'reversed' : 'plain'"
        :options="WAYS"
        :keep="(way) => apply({ reversed: way === 'reversed' })"
      />
    </div>
  </fieldset>
</template>
