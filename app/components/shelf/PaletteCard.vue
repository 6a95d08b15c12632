<script setup lang="ts">
/** A palette on the shelf: a picture of its light, its name, whom it serves, where it is in use. */
import { useMediaQuery } from '@vueuse/core'
import { computed, ref } from 'vue'
import { listInWords } from '#core/show/listInWords'
import { cueCounts, glanceAt, servedBy, servesInWords } from '#core/palettes/use'
import type { Palette } from '#core/show/entities'
import type { FixtureId, PaletteId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { usePaletteLight } from '../../composables/stage/usePaletteLight'
import { useShelfView, type SHELF_SIZES } from '../../stores/shelfView'
import { useWorkingSet } from '../../stores/workingSet'
import BeamPicture from './BeamPicture.vue'
import PaletteMenu from './PaletteMenu.vue'
import StagePicture from './StagePicture.vue'
import { COLOUR_GROUND } from './paletteColours'
import { counted } from '#core/show/counted'

const props = defineProps<{
  show: Show
  id: PaletteId
  palette: Palette
  selected: readonly FixtureId[]
  size: (typeof SHELF_SIZES)[number]
}>()
const workingSet = useWorkingSet()
const shelves = useShelfView()
const emit = defineEmits<{ recall: [event: MouseEvent]; look: [isOver: boolean] }>()

const { venue, lights, isPlaced, swatch, beam, words, outOfReach } = usePaletteLight(
  () => props.show,
  () => props.id,
)
/** The menu is made when it is wanted: hundreds of them would weigh on scrolling. */
const isApproached = ref(false)
/** Told by events: what is styled as hovered stays so when a menu closes under the pointer. */
const isOver = ref(false)
function look(over: boolean) {
  isApproached.value ||= over
  isOver.value = over
  emit('look', over)
}
const isCoarse = useMediaQuery('(pointer: coarse)')
const served = computed(() => servedBy(props.show, props.id))
const servedIds = computed(() => new Set(served.value.map((rigged) => rigged.id)))
/** It serves nothing of the working set that is on. */
const isShutOut = computed(() => !served.value.some(({ id }) => workingSet.isIn(id)))
/** How many of the selection it serves. */
const serving = computed(() => props.selected.filter((id) => servedIds.value.has(id)).length)
const reach = computed(() => (props.selected.length === 0 ? 1 : serving.value / props.selected.length))
const isInHand = computed(() => shelves.use.inHand.has(props.id))
const isOnStage = computed(() => shelves.use.onStage.has(props.id))
/** Where it is in use now; the hand of who works blind is not seen on stage. */
const standing = computed(() => {
  if (shelves.editing === props.id) return 'open in hand'
  if (!isInHand.value) return isOnStage.value ? 'on stage' : null
  return isOnStage.value ? 'in hand' : 'in hand, blind'
})
const cues = computed(() => cueCounts(props.show).get(props.id) ?? 0)
const glance = computed(() => glanceAt(props.show, props.id))
/** Whom it was recorded with, and how much wider it serves. */
const serves = computed(() => servesInWords(props.show, props.id))

/** What it holds, in single words. */
const marks = computed(() => {
  const { hasAims, hasAngles, hasLinks } = glance.value
  const { recorded, wider } = serves.value
  const time = props.palette.time === null ? [] : [`${props.palette.time} s`]
  return [
    ...(recorded && wider ? [wider] : []),
    ...(hasLinks ? ['links'] : []),
    ...(hasAims && hasAngles ? ['aims'] : []),
    ...(hasAngles ? ['angles'] : []),
    ...time,
  ]
})
/** Of what does not serve the selection, or what is shut out. */
const isFaint = computed(() => reach.value === 0 || isShutOut.value)
const name = computed(
  () =>
    `Palette ${props.palette.number} ${props.palette.name}${standing.value ? `, ${standing.value}` : ''}${isShutOut.value ? ', outside the working set' : ''}`,
)
/** All of it in words, whatever the size leaves out. */
const inWords = computed(() => {
  const { reaches, hasAims, hasAngles, hasLinks } = glance.value
  const { note, time } = props.palette
  const holds = [...(hasAims ? ['aims'] : []), ...(hasAngles ? ['angles'] : []), ...(hasLinks ? ['links'] : [])]
  return [
    [serves.value.recorded, serves.value.wider].filter(Boolean).join(', ') || 'Serves nobody',
    ...(reaches.length ? [`Reach ${listInWords(reaches)}`] : []),
    ...(holds.length ? [`Holds ${listInWords(holds)}`] : []),
    ...(time === null ? [] : [`Comes in over ${time} s`]),
    `Used in ${counted(cues.value, 'cue')}`,
    ...(note ? [note] : []),
  ].join('\n')
})
const whom = computed(() => {
  if (outOfReach.value) return `${outOfReach.value} out of reach`
  if (props.selected.length > 0 && serving.value > 0 && serving.value < props.selected.length)
    return `${serving.value} of ${props.selected.length}`
  return serves.value.recorded || serves.value.wider || 'nobody'
})
</script>

<template>
  <article
    class="group relative min-h-0 rounded-lg border bg-plank"
    :class="[
      isInHand ? 'border-coral' : isOnStage ? 'border-brass/70' : 'border-rule',
      size === 'list' ? 'flex h-[27px] shrink-0' : 'flex flex-1 flex-col',
    ]"
    @pointerenter="look(true)"
    @pointerleave="look(false)"
    @focusin="isApproached = true"
  >
    <button
      v-if="size === 'list'"
      type="button"
      class="flex min-w-0 flex-1 items-center gap-1.5 rounded-lg pr-6 pl-1.5 text-left hover:bg-plank-2"
      :aria-label="name"
      :title="inWords"
      :aria-pressed="isInHand"
      @click="emit('recall', $event)"
      @focus="emit('look', true)"
      @blur="emit('look', false)"
    >
      <span class="h-4 w-1 shrink-0 rounded-full" :class="COLOUR_GROUND[palette.colour]" />
      <span class="w-7 shrink-0 text-right font-mono text-xs text-mist">{{ palette.number }}</span>
      <span class="min-w-0 flex-1 truncate" :class="isFaint ? 'text-haze' : 'font-semibold'">
        {{ palette.symbol }} {{ palette.name }}
      </span>
      <span class="shrink-0 text-xs" :class="outOfReach ? 'text-coral' : 'text-haze'">{{
        outOfReach ? whom : cues
      }}</span>
      <span
        class="h-3 w-[3px] shrink-0 rounded-full"
        :class="reach === 1 ? 'bg-kelp' : reach > 0 ? 'bg-brass' : 'bg-transparent'"
      />
    </button>
    <button
      v-else
      type="button"
      class="flex w-full min-h-0 flex-1 flex-col overflow-hidden rounded-lg text-left hover:bg-plank-2"
      :aria-label="name"
      :title="inWords"
      :aria-pressed="isInHand"
      @click="emit('recall', $event)"
      @focus="emit('look', true)"
      @blur="emit('look', false)"
    >
      <div class="relative min-h-0 w-full flex-1 overflow-hidden bg-night">
        <StagePicture
          v-if="isPlaced"
          class="!aspect-auto h-full"
          :class="isFaint ? 'opacity-35' : ''"
          :fixtures="lights"
          :venue="venue"
        />
        <div v-else-if="swatch" class="grid h-full place-items-center" :class="isFaint ? 'opacity-35' : ''">
          <span class="h-9 w-16 rounded-full" :style="{ background: swatch }" aria-hidden="true" />
        </div>
        <template v-else-if="beam">
          <BeamPicture :look="beam" class="h-full w-full px-2 pt-3 pb-1.5" :class="isFaint ? 'opacity-35' : ''" />
          <p
            class="absolute inset-x-1.5 top-0.5 truncate text-right text-[10px]"
            :class="isFaint ? 'text-haze' : 'text-mist'"
          >
            {{ words.join(', ') }}
          </p>
        </template>
        <p
          v-else
          class="grid h-full place-content-center px-2 text-center text-sm"
          :class="isFaint ? 'text-haze' : 'text-mist'"
        >
          <span v-for="word in words" :key="word">{{ word }}</span>
        </p>
        <p class="absolute bottom-0.5 left-1.5 flex gap-1 text-[10px] text-mist">
          <span
            v-if="standing"
            class="rounded bg-night/80 px-0.5"
            :class="standing === 'on stage' ? 'text-brass' : 'text-coral'"
            >{{ standing }}</span
          >
          <span
            v-for="mark in marks"
            :key="mark"
            class="rounded bg-night/80 px-0.5"
            :class="mark === 'angles' ? 'border-b border-dashed border-mist' : ''"
            >{{ mark }}</span
          >
        </p>
        <span v-if="palette.symbol" class="absolute top-0.5 left-1.5 text-lg" aria-hidden="true">{{
          palette.symbol
        }}</span>
      </div>
      <div class="h-[3px] w-full shrink-0 bg-plank-2" aria-hidden="true">
        <div class="h-full" :class="reach === 1 ? 'bg-kelp' : 'bg-brass'" :style="{ width: `${reach * 100}%` }" />
      </div>
      <div class="w-full shrink-0 px-2 pt-1 pb-1.5">
        <p class="flex items-center gap-1" :class="reach === 0 ? 'text-haze' : ''">
          <span class="h-3 w-1 shrink-0 rounded-full" :class="COLOUR_GROUND[palette.colour]" aria-hidden="true" />
          <span class="text-mist">{{ palette.number }}</span>
          <span class="min-w-0 truncate font-semibold">{{ palette.name }}</span>
        </p>
        <p class="flex justify-between text-xs text-mist">
          <span :class="outOfReach ? 'text-coral' : ''">{{ whom }}</span>
          <span>{{ counted(cues, 'cue') }}</span>
        </p>
      </div>
    </button>
    <PaletteMenu
      v-if="isApproached || isCoarse"
      :id="id"
      class="absolute top-1 right-1 opacity-0 group-focus-within:opacity-100 pointer-coarse:opacity-100"
      :class="[size === 'list' ? 'top-0.5' : '', isOver ? '!opacity-100' : '']"
      :palette="palette"
    />
  </article>
</template>
