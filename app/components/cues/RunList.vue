<script setup lang="ts">
/** One list as it runs: its cue with how far it has come, what is next, go, back, pause, master. */
import { ChevronDown, Pause, Play, SkipBack, Square } from '@lucide/vue'
import { computed, ref } from 'vue'
import { followerOf } from '#core/cues/going'
import { endOfRun, runsOf } from '#core/cues/tracks'
import { placeOfCue, type ListInOrder } from '#core/cues/tracking'
import type { Show } from '#core/show/show'
import { useClock } from '../../stores/clock'
import { useShow } from '../../stores/show'

const props = defineProps<{ show: Show; list: ListInOrder; isMain: boolean }>()
const store = useShow()
const clock = useClock()

const at = computed(() => {
  const { onStage } = props.list.list
  return onStage === null ? -1 : (placeOfCue(props.show, onStage)?.at ?? -1)
})
const current = computed(() => props.list.cues[at.value]?.cue)
const next = computed(() => props.list.cues[at.value + 1]?.cue)
const isPaused = computed(() => props.list.list.pausedAt !== null)
/** The run that is under way, with how far it has come. */
const progress = computed(() => {
  const run = runsOf(props.show, props.list.id).findLast(({ settled }) => !settled)
  if (!run) return null
  const now = props.list.list.pausedAt ?? clock.now
  const [begin, end] = [run.startedAt, endOfRun(props.show, run)]
  if (now >= end) return null
  const part = Math.max(0, (now - begin) / (end - begin))
  return { part, left: (end - now) / 1000, isLeaving: run.cue === null }
})
const isFollowing = computed(() => followerOf(props.show, props.list) !== null)
const send = (name: 'goOn' | 'goBack' | 'pauseList') => void store.send(name, { list: props.list.id })
const RELEASE_SECONDS = 2
const release = () => void store.send('goToCue', { list: props.list.id, cue: null, seconds: RELEASE_SECONDS })
/** Per cent; where it is being dragged to stays in the slider while a fade draws this anew. */
const dragged = ref<number | null>(null)
const master = computed(() => dragged.value ?? Math.round(props.list.list.level * 100))
function drag({ target }: Event) {
  if (target instanceof HTMLInputElement) dragged.value = Number(target.value)
}
async function setMaster() {
  await store.send('setMaster', { list: props.list.id, level: master.value / 100 })
  dragged.value = null
}
</script>

<template>
  <section class="flex min-w-0 items-center gap-2" :aria-label="`Run ${list.list.name}`">
    <div class="min-w-0 flex-1">
      <p class="flex items-baseline gap-2 truncate">
        <span class="shrink-0 text-xs text-haze">{{ list.list.name }}</span>
        <template v-if="current">
          <span class="font-mono text-coral">{{ current.number }}</span>
          <span class="truncate font-semibold">{{ current.name || 'No name' }}</span>
        </template>
        <span v-else class="truncate text-mist">{{ progress?.isLeaving ? 'leaving the stage' : 'not on stage' }}</span>
        <span v-if="isPaused" class="shrink-0 text-sm text-shoal">paused</span>
        <span v-else-if="progress" class="shrink-0 font-mono text-sm text-mist">{{ progress.left.toFixed(1) }} s</span>
      </p>
      <div class="mt-0.5 h-1 overflow-hidden rounded-full bg-plank-2">
        <div
          class="h-full rounded-full"
          :class="isPaused ? 'bg-shoal' : 'bg-brass'"
          :style="{ width: `${(progress?.part ?? (current ? 1 : 0)) * 100}%` }"
          role="progressbar"
          :aria-label="`${list.list.name}, how far its cue has come`"
          :aria-valuenow="Math.round((progress?.part ?? 1) * 100)"
        />
      </div>
      <p class="mt-0.5 flex items-center gap-1 truncate text-xs text-mist">
        <ChevronDown :size="11" aria-hidden="true" />
        <template v-if="next"
          ><span class="font-mono">{{ next.number }}</span
          >{{ next.name }}<span v-if="isFollowing" class="text-shoal">, comes by itself</span></template
        >
        <template v-else>{{ list.cues.length ? 'that was the last' : 'no cues yet' }}</template>
      </p>
    </div>
    <label class="flex w-24 shrink-0 flex-col" :title="`Master of ${list.list.name}`">
      <span class="flex justify-between text-xs text-haze"
        ><span>master</span><span class="font-mono">{{ master }} %</span></span
      >
      <input
        type="range"
        min="0"
        max="100"
        step="1"
        class="accent-brass"
        :value="master"
        :aria-label="`Master of ${list.list.name}`"
        @input="drag"
        @change="setMaster"
      />
    </label>
    <div class="flex shrink-0 gap-1">
      <IconButton
        :icon="SkipBack"
        :size="15"
        class="quiet-button px-2 py-1.5"
        aria-label="Back"
        :title="isMain ? 'Back (Ctrl Backspace)' : 'Back'"
        @click="send('goBack')"
      />
      <IconButton
        :icon="Pause"
        :size="15"
        class="quiet-button px-2 py-1.5"
        aria-label="Pause"
        :disabled="isPaused"
        @click="send('pauseList')"
      />
      <IconButton
        :icon="Square"
        :size="13"
        class="quiet-button px-2 py-1.5"
        aria-label="Release"
        title="Leaves the stage in 2 s"
        @click="release"
      />
      <button
        type="button"
        class="flex items-center gap-1 px-3 py-1.5"
        :class="isMain ? 'main-button' : 'quiet-button'"
        @click="send('goOn')"
      >
        <Play :size="14" aria-hidden="true" />{{ isPaused ? 'On' : 'Go' }}
      </button>
    </div>
  </section>
</template>
