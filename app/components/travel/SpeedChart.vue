<script setup lang="ts">
/** How fast heads have to turn over a move, against what they can; arrow keys read it out instant by instant. */
import { Chart, LinearScale, LineElement, PointElement, type ChartData, type ChartOptions } from 'chart.js'
import { computed } from 'vue'
import { Line } from 'vue-chartjs'
import { numbersInWords } from '#core/selection/written'
import { fixtureNumber } from '#core/show/cells'
import type { Show } from '#core/show/show'
import { speedsOf, type SpeedThen } from '#core/travel/onTheWay'
import { surfacesOf } from '#core/venue/surfaces'
import { useTheme } from '../../composables/shell/useTheme'
import { readChartInks } from '../../drawing/inks'
import { useTravelCheck } from '../../stores/travelCheck'
import { useTravelView } from '../../stores/travelView'

Chart.register(LinearScale, LineElement, PointElement)

const props = defineProps<{ show: Show }>()
const view = useTravelView()
const check = useTravelCheck()
const { isPaper } = useTheme()
/** More lines than these say nothing any more: those that ask most are drawn. */
const MOST = 8
/** Seconds an arrow key goes. */
const STEP = 0.1
const AXES = ['pan', 'tilt'] as const
type Axis = (typeof AXES)[number]

/** Every head looked at, the one that asks most of its motors first. */
const heads = computed(() => {
  const surfaces = surfacesOf(props.show)
  return view.shown
    .map((step) => {
      const { head } = step.to.rigged.mount
      const speeds = speedsOf(step, surfaces)
      const part = (axis: Axis) => highest(speeds[axis]) / (head[axis].speed ?? Infinity)
      const isLate = check.faultsOf(step.cue).some(({ fixture, tooFast }) => tooFast && fixture === step.to.rigged.id)
      return {
        id: step.to.rigged.id,
        rigged: step.to.rigged,
        speeds,
        isLate,
        most: Math.max(part('pan'), part('tilt')),
      }
    })
    .sort((a, b) => b.most - a.most)
    .slice(0, MOST)
})
const highest = (speeds: readonly SpeedThen[]) => Math.max(0, ...speeds.map(({ speed }) => speed))
const limitOf = (axis: Axis) => Math.min(...heads.value.map(({ rigged }) => rigged.mount.head[axis].speed ?? Infinity))
const title = computed(() =>
  numbersInWords(
    props.show,
    heads.value.map(({ id }) => id),
  ),
)

const charts = computed(() => {
  const inks = { isPaper: isPaper.value, ...readChartInks() }
  return AXES.map((axis) => {
    const limit = limitOf(axis)
    const top =
      Math.max(Number.isFinite(limit) ? limit : 0, ...heads.value.map(({ speeds }) => highest(speeds[axis]))) * 1.15
    const line = (colour: string, points: { x: number; y: number }[], dash: number[] = []) => ({
      ...{ data: points, borderColor: colour, borderDash: dash },
      ...{ borderWidth: 1.5, pointRadius: 0 },
    })
    const data: ChartData<'line', { x: number; y: number }[]> = {
      datasets: [
        line(inks.quiet, [
          { x: view.instant, y: 0 },
          { x: view.instant, y: top },
        ]),
        ...(Number.isFinite(limit)
          ? [
              line(
                inks.quiet,
                [
                  { x: 0, y: limit },
                  { x: view.end, y: limit },
                ],
                [3, 3],
              ),
            ]
          : []),
        ...heads.value.map(({ speeds, isLate }) =>
          line(
            isLate ? inks.fault : inks.seen,
            speeds[axis].map(({ seconds, speed }) => ({ x: seconds, y: speed })),
          ),
        ),
      ],
    }
    return { axis, data, options: optionsWith(inks, top), words: wordsOf(axis, limit) }
  })
})

function optionsWith({ quiet, line }: { quiet: string; line: string }, top: number): ChartOptions<'line'> {
  const ticks = { color: quiet, font: { size: 10 }, maxTicksLimit: 4 }
  const grid = { color: line, drawTicks: false }
  return {
    animation: false,
    parsing: false,
    responsive: true,
    maintainAspectRatio: false,
    events: [],
    scales: {
      x: {
        type: 'linear',
        min: 0,
        max: Math.max(view.end, 0.1),
        ticks,
        grid: { ...grid, display: false },
        border: { color: line },
      },
      y: {
        type: 'linear',
        min: 0,
        max: top,
        ticks: { ...ticks, includeBounds: false },
        grid,
        border: { display: false },
      },
    },
  }
}

/** What is asked of the head that turns fastest at the instant, against what it can. */
function wordsOf(axis: Axis, limit: number): string {
  const now = heads.value
    .map(({ rigged, speeds }) => ({ rigged, speed: speedAt(speeds[axis], view.instant) }))
    .reduce<{ rigged: (typeof heads.value)[number]['rigged']; speed: number } | null>(
      (best, one) => (best && best.speed >= one.speed ? best : one),
      null,
    )
  if (!now) return ''
  const can = now.rigged.mount.head[axis].speed ?? limit
  return `${fixtureNumber(now.rigged.fixture)}: ${Math.round(now.speed)} of ${Number.isFinite(can) ? Math.round(can) : 'any'} °/s`
}

function speedAt(speeds: readonly SpeedThen[], instant: number): number {
  const after = speeds.findIndex(({ seconds }) => seconds >= instant)
  const [a, b] = [speeds[after - 1], speeds[after]]
  if (!b) return 0
  if (!a) return b.seconds - instant < STEP ? b.speed : 0
  const part = b.seconds === a.seconds ? 1 : (instant - a.seconds) / (b.seconds - a.seconds)
  return a.speed + (b.speed - a.speed) * part
}

const spoken = computed(
  () =>
    `${view.instant.toFixed(1)} s; ${charts.value.map(({ axis, words }) => `${axis}, fixture ${words}`).join('; ')}`,
)
function keyed(event: KeyboardEvent) {
  const by = { ArrowRight: STEP, ArrowLeft: -STEP, PageUp: 10 * STEP, PageDown: -10 * STEP }[event.key]
  if (by === undefined) return
  event.preventDefault()
  event.stopPropagation()
  view.moveTo(view.instant + by)
}
</script>

<template>
  <section
    class="border-b border-rule px-4 py-3"
    role="slider"
    tabindex="0"
    :aria-label="`How fast ${title} turn`"
    aria-valuemin="0"
    :aria-valuemax="view.end"
    :aria-valuenow="view.instant"
    :aria-valuetext="spoken"
    @keydown="keyed"
  >
    <h3 class="mb-1 flex items-baseline justify-between font-semibold">
      <span class="truncate">{{ title }}, turning</span>
      <span class="font-mono text-sm font-normal text-mist">{{ view.instant.toFixed(1) }} s</span>
    </h3>
    <div v-for="chart in charts" :key="chart.axis" class="mb-1">
      <p class="flex justify-between text-xs text-haze">
        <span>{{ chart.axis }}, °/s</span><span class="font-mono">{{ chart.words }}</span>
      </p>
      <div class="relative h-24" aria-hidden="true"><Line :data="chart.data" :options="chart.options" /></div>
    </div>
    <p class="text-xs text-haze">Dashed: what the heads can.</p>
  </section>
</template>
