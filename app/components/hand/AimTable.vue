<script setup lang="ts">
/** Each selected fixture's pan, tilt, throw and pool, in the order of selection. Only the rows in view are drawn. */
import { fixtureNumber, numberOfFixture } from '#core/show/cells'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { computed, useTemplateRef } from 'vue'
import type { StageFixture } from '#core/cues/onStage'
import { metresInWords } from '#core/geometry/lengthInWords'
import { useShow } from '../../stores/show'

const props = defineProps<{ fixtures: readonly StageFixture[] }>()
const store = useShow()

/** Heights in pixels: the headings, a row, and what is wrong with it in words. */
const HEAD = 22
const ROW = 22
const TROUBLE = 20

const scroller = useTemplateRef<HTMLElement>('scroller')
const virtual = useVirtualizer(
  computed(() => ({
    count: props.fixtures.length,
    getScrollElement: () => scroller.value,
    estimateSize: (index: number) => ROW + (troubleAt(index) ? TROUBLE : 0),
    overscan: 6,
  })),
)
const drawn = computed(() =>
  virtual.value.getVirtualItems().flatMap(({ index, start }) => {
    const fixture = props.fixtures[index]
    return fixture ? [{ fixture, index, start, trouble: troubleAt(index) }] : []
  }),
)

function troubleAt(index: number): string | null {
  const fixture = props.fixtures[index]
  const position = fixture?.position
  // A place for it may be stored as angles: from where the substitute hangs they point elsewhere.
  if (position?.state === 'resting' && fixture?.rigged.by)
    return store.view ? `played by ${numberOfFixture(store.view, fixture.rigged.by)}, which takes no angles` : null
  if (position?.state === 'out of reach')
    return `${position.shortDegrees.toFixed(1)}° short, misses by ${metresInWords(position.missMetres)}`
  if (position?.state === 'other side') return 'had to go the other side'
  if (position?.state === 'outside stops') return 'beyond its stops'
  if (position?.state === 'no place here') return 'its target has no place here'
  return null
}
</script>

<template>
  <div
    ref="scroller"
    class="-mx-1 overflow-y-auto font-mono text-sm contain-strict"
    role="table"
    aria-label="Aims"
    :aria-rowcount="fixtures.length + 1"
    :style="{ height: `${Math.min(256, HEAD + virtual.getTotalSize())}px` }"
  >
    <div role="rowgroup" class="sticky top-0 z-10 bg-deck">
      <div
        role="row"
        class="grid grid-cols-[1fr_1.1fr_1fr_1.2fr_1.05fr] text-right text-haze"
        :style="{ height: `${HEAD}px` }"
      >
        <span role="columnheader" class="px-1 text-left">fixture</span>
        <span v-for="heading in ['pan', 'tilt', 'throw', 'pool']" :key="heading" role="columnheader" class="px-1">{{
          heading
        }}</span>
      </div>
    </div>
    <div role="rowgroup" class="relative" :style="{ height: `${virtual.getTotalSize()}px` }">
      <div
        v-for="{ fixture, index, start, trouble } in drawn"
        :key="fixture.rigged.id"
        role="row"
        class="absolute inset-x-0 top-0 grid grid-cols-[1fr_1.1fr_1fr_1.2fr_1.05fr] text-right whitespace-nowrap"
        :class="trouble ? 'text-coral' : ''"
        :aria-rowindex="index + 2"
        :style="{ transform: `translateY(${start}px)` }"
      >
        <span role="rowheader" class="px-1 py-0.5 text-left">
          <span
            class="mr-1 inline-grid h-4 min-w-4 place-items-center rounded-full bg-coral px-0.5 text-[10px] font-bold text-on-coral"
            >{{ index + 1 }}</span
          >
          {{ fixtureNumber(fixture.rigged.fixture) }}
        </span>
        <span role="cell" class="px-1 py-0.5">{{ fixture.position.pose.pan.toFixed(1) }}°</span>
        <span role="cell" class="px-1 py-0.5">{{ fixture.position.pose.tilt.toFixed(1) }}°</span>
        <span role="cell" class="px-1 py-0.5">
          {{ fixture.position.throwMetres === null ? '–' : `${fixture.position.throwMetres.toFixed(2)} m` }}
        </span>
        <span
          role="cell"
          class="px-1 py-0.5"
          :class="fixture.zoom.fits ? '' : 'text-coral'"
          :title="fixture.zoom.fits ? undefined : 'The zoom cannot make the pool asked for'"
        >
          {{ fixture.zoom.pool === null ? '–' : `${fixture.zoom.pool.toFixed(2)} m` }}
        </span>
        <span
          v-if="trouble"
          role="cell"
          class="col-span-5 px-1 text-left font-sans"
          :style="{ height: `${TROUBLE}px` }"
        >
          {{ fixtureNumber(fixture.rigged.fixture) }}: {{ trouble }}
        </span>
      </div>
    </div>
  </div>
</template>
