<script setup lang="ts">
/** How one target follows its tracker. */
import { WHEN_LOST, type TrackedTarget } from '#core/show/entities'
import type { TargetId } from '#core/show/ids'
import type { CommandInput } from '#core/commands/registry'
import { useCommit } from '../../composables/forms/useCommit'
import { useShow } from '../../stores/show'

const props = defineProps<{ target: TargetId; name: string; how: TrackedTarget }>()
const store = useShow()
const { keep } = useCommit()
const change = (fields: Omit<CommandInput<'followTracker'>, 'target'>) =>
  keep('followTracker', { target: props.target, ...fields })
const LOST = WHEN_LOST.map((key) => ({ key, name: key }))
</script>

<template>
  <section class="flex flex-col gap-2 border-t border-rule p-4" :aria-label="`How ${name} follows`">
    <h3 class="font-semibold">{{ name }}</h3>
    <div class="grid grid-cols-2 gap-2">
      <NumberField label="Tracker" unit="" :value="how.tracker" :keep="(tracker) => change({ tracker })" />
      <NumberField label="Above it" unit="m" :value="how.above" :keep="(above) => change({ above })" />
      <NumberField
        label="Evened out over"
        unit="s"
        :value="how.smoothing"
        :keep="(smoothing) => change({ smoothing })"
      />
      <NumberField label="No faster than" unit="m/s" :value="how.fastest" :keep="(fastest) => change({ fastest })" />
      <NumberField label="Within, of its place" unit="m" :value="how.within" :keep="(within) => change({ within })" />
      <NumberField label="Lost after" unit="s" :value="how.lostAfter" :keep="(lostAfter) => change({ lostAfter })" />
    </div>
    <div class="flex items-center gap-2">
      <span class="text-xs text-haze" aria-hidden="true">When lost it</span>
      <SwitchField
        label="When lost it"
        :options="LOST"
        :value="how.whenLost"
        @choose="(whenLost) => store.send('followTracker', { target, whenLost })"
      />
    </div>
  </section>
</template>
