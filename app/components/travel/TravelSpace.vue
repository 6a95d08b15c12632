<script setup lang="ts">
/** The moves of a cue in space: the light at the instant, with the ways it takes. */
import { computed } from 'vue'
import type { Show } from '#core/show/show'
import type { SpacePicture } from '../../composables/space/useSpaceScene'
import { useTravelWays } from '../../composables/travel/useTravelWays'
import { useTravelView } from '../../stores/travelView'

const props = defineProps<{ show: Show }>()
const view = useTravelView()
const found = useTravelWays(() => props.show)

const ways = computed(() =>
  found.value.flatMap(({ own, other, swept }) => [
    ...(other ? [{ points: other.points, look: 'other' } as const] : []),
    { points: own.points, look: 'own' } as const,
    ...swept.map((points) => ({ points, look: 'swept' }) as const),
  ]),
)
const picture = computed<SpacePicture>(() => ({ fixtures: [...view.looked, ...view.around], ways: ways.value }))
</script>

<template>
  <LazyStageSpace :show="show" :picture="picture" />
</template>
