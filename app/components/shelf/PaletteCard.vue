<script setup lang="ts">
/** A palette on the shelf: a picture of its light, its name, whom it serves, in how many cues it is. */
import { Download } from '@lucide/vue'
import { computed } from 'vue'
import { pictureOf } from '#core/cues/onStage'
import { attributesServed, paletteValueFor, resolveValue } from '#core/palettes/resolve'
import { cueCounts, servedBy } from '#core/palettes/use'
import { entity, showRecordOf, type Show } from '#core/show/show'
import type { Palette } from '#core/show/entities'
import { ATTRIBUTE_NAMES, type Attribute } from '#core/show/families'
import type { FixtureId, PaletteId } from '#core/show/ids'
import { useWorkingSet } from '../../stores/workingSet'
import StagePicture from './StagePicture.vue'

const props = defineProps<{
  show: Show
  id: PaletteId
  palette: Palette
  selected: readonly FixtureId[]
  inHand: boolean
}>()
const workingSet = useWorkingSet()
const emit = defineEmits<{ recall: []; look: [isOver: boolean] }>()

const served = computed(() => servedBy(props.show, props.id))
const venue = computed(() => entity(props.show, 'venue', showRecordOf(props.show).venue))
const lights = computed(() =>
  served.value
    .filter((rigged) => paletteValueFor(props.show, props.id, rigged, 'position') !== null)
    .map((rigged) =>
      pictureOf(props.show, rigged, (_, attribute) => paletteValueFor(props.show, props.id, rigged, attribute)),
    ),
)
const outOfReach = computed(() => lights.value.filter((f) => f.position.state === 'out of reach').length)

/** It serves nothing of the working set that is on. */
const isShutOut = computed(() => !served.value.some(({ id }) => workingSet.isIn(id)))

/** What of the selection it serves: all, some or none; all when nothing is selected. */
const reach = computed(() => {
  if (props.selected.length === 0) return 1
  const ids = new Set(served.value.map((rigged) => rigged.id))
  return props.selected.filter((id) => ids.has(id)).length / props.selected.length
})

const levels = computed(() => {
  const [first] = served.value
  if (!first) return []
  return attributesServed(props.show, props.id, first).flatMap((attribute) => {
    const stored = paletteValueFor(props.show, props.id, first, attribute)
    const plain = stored && resolveValue(props.show, first, attribute, stored).value
    return plain?.kind === 'number' ? [{ attribute, number: plain.number }] : []
  })
})
const swatch = computed(() => {
  const level = (name: Attribute) => levels.value.find((l) => l.attribute === name)?.number
  const [red, green, blue] = [level('red'), level('green'), level('blue')]
  if (red === undefined || green === undefined || blue === undefined) return null
  return `rgb(${[red, green, blue].map((c) => Math.round(c * 255)).join(' ')})`
})

function levelInWords({ attribute, number }: { attribute: Attribute; number: number }): string {
  if (attribute === 'zoom') return `zoom ${number}°`
  if (attribute === 'gobo') return `gobo ${number}`
  return `${ATTRIBUTE_NAMES[attribute]} ${Math.round(number * 100)} %`
}
const isPlaced = computed(() => lights.value.length > 0)
const cues = computed(() => cueCounts(props.show).get(props.id) ?? 0)
</script>

<template>
  <article
    class="group relative w-[133px] shrink-0 rounded-lg border bg-plank"
    :class="inHand ? 'border-coral' : 'border-rule'"
    @pointerenter="emit('look', true)"
    @pointerleave="emit('look', false)"
  >
    <button
      type="button"
      class="block w-full overflow-hidden rounded-lg text-left hover:bg-plank-2"
      :aria-label="`Palette ${palette.number} ${palette.name}${inHand ? ', in hand' : ''}${isShutOut ? ', outside the working set' : ''}`"
      @click="emit('recall')"
      @focus="emit('look', true)"
      @blur="emit('look', false)"
    >
      <div class="relative h-[70px] bg-night" :class="reach === 0 || isShutOut ? 'opacity-35' : ''">
        <StagePicture v-if="isPlaced" :fixtures="lights" :venue="venue" />
        <div v-else-if="swatch" class="grid h-full place-items-center">
          <span class="h-9 w-16 rounded-full" :style="{ background: swatch }" aria-hidden="true" />
        </div>
        <p v-else class="grid h-full place-content-center px-2 text-center text-sm text-mist">
          <span v-for="level in levels" :key="level.attribute">{{ levelInWords(level) }}</span>
        </p>
      </div>
      <div class="h-[3px] bg-plank-2" aria-hidden="true">
        <div class="h-full" :class="reach === 1 ? 'bg-kelp' : 'bg-brass'" :style="{ width: `${reach * 100}%` }" />
      </div>
      <div class="px-2 pt-1 pb-1.5">
        <p class="truncate font-semibold" :class="reach === 0 ? 'text-haze' : ''">
          <span class="mr-1 font-normal text-mist">{{ palette.number }}</span>{{ palette.name }}
        </p>
        <p class="flex justify-between text-xs text-mist">
          <span v-if="outOfReach" class="text-coral">{{ outOfReach }} out of reach</span>
          <span v-else>{{ served.length }} {{ served.length === 1 ? 'fixture' : 'fixtures' }}</span>
          <span>{{ cues }} {{ cues === 1 ? 'cue' : 'cues' }}</span>
        </p>
      </div>
    </button>
    <a
      v-if="isPlaced"
      class="absolute top-1 right-1 rounded bg-deck/90 p-1 text-mist opacity-0 group-hover:opacity-100 hover:text-sail focus:opacity-100"
      :href="`/api/shows/${show.id}/palettes/${encodeURIComponent(id)}/aims`"
      :aria-label="`Export the aims of ${palette.name} as CSV`"
      title="Export its aims as CSV"
      download
    >
      <Download :size="13" aria-hidden="true" />
    </a>
  </article>
</template>
