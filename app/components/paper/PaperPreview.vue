<script setup lang="ts">
/** Every page of a print as it will be, with its bookmarks. */
import { Download, RefreshCw } from '@lucide/vue'
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import { counted } from '#core/show/counted'
import { usePdfPages } from '../../composables/paper/usePdfPages'
import { usePaperRoom } from '../../stores/paperRoom'
import PreviewPage from './PreviewPage.vue'

const room = usePaperRoom()
const read = usePdfPages(() => room.made?.pdf ?? null)
const FITS = [
  { key: 'page', name: 'Whole page' },
  { key: 'width', name: 'Full width' },
] as const
const fit = ref<(typeof FITS)[number]['key']>('page')
const scroller = useTemplateRef<HTMLElement>('scroller')

const words = computed(() => {
  const { progress } = room
  if (progress === null) return null
  if ('leaves' in progress) return `Putting it together, ${counted(progress.leaves, 'leaf', 'leaves')}`
  return progress.written === 0 ? 'Laying out the pages' : `Writing, ${Math.round(progress.written * 100)} %`
})
const count = computed(() => (read.value ? counted(read.value.pages.length, 'page') : ''))

async function turnTo(page: number) {
  await nextTick()
  scroller.value?.querySelector(`[data-page="${page}"]`)?.scrollIntoView({ block: 'start' })
}
</script>

<template>
  <section class="flex flex-col" aria-label="Preview">
    <header class="flex h-11 shrink-0 items-center gap-3 border-b border-rule bg-deck px-3">
      <SwitchField label="Pages seen as" :options="FITS" :value="fit" @choose="(key) => (fit = key)" />
      <p class="min-w-0 flex-1 truncate text-sm text-mist" role="status">
        <template v-if="words">{{ words }}</template>
        <template v-else-if="room.isOld">{{ count }}; the show has changed since</template>
        <template v-else>{{ count }}</template>
      </p>
      <button v-if="words" type="button" class="chip" @click="room.stop()">Stop</button>
      <button
        v-else
        type="button"
        class="chip flex items-center gap-1"
        :class="room.isOld ? 'border-coral' : ''"
        @click="room.look()"
      >
        <RefreshCw :size="13" aria-hidden="true" />Look again
      </button>
      <button
        type="button"
        class="main-button flex items-center gap-1.5 px-3 py-1 text-sm"
        :disabled="!room.made || words !== null"
        @click="room.save()"
      >
        <Download :size="14" aria-hidden="true" />Save as PDF
      </button>
    </header>
    <p v-if="room.trouble" class="m-6 text-coral" role="alert">
      It could not be printed: {{ room.trouble }}. Choose fewer papers or numbers, and look again.
    </p>
    <p v-else-if="!room.made && !words" class="m-auto max-w-sm p-6 text-center text-mist">
      Nothing to print: choose papers on the left. What is chosen holds nothing in this show, where some are.
    </p>
    <div v-else class="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_230px]">
      <div ref="scroller" class="min-h-0 overflow-y-auto p-4" tabindex="0" role="region" aria-label="Pages">
        <div class="mx-auto flex flex-col items-center gap-4" :class="words ? 'opacity-50' : ''">
          <PreviewPage
            v-for="(page, i) in read?.pages ?? []"
            :key="`${i} ${page.ref?.num ?? ''}`"
            :page="page"
            :number="i + 1"
            :fit="fit"
            :data-page="i + 1"
          />
        </div>
      </div>
      <nav class="min-h-0 overflow-y-auto border-l border-rule bg-deck p-2 text-sm" aria-label="Bookmarks">
        <button
          v-for="(mark, i) in read?.bookmarks ?? []"
          :key="i"
          type="button"
          class="flex w-full items-baseline gap-2 rounded px-2 py-0.5 text-left hover:bg-plank-2"
          :class="mark.level === 0 ? 'mt-1 font-semibold' : 'pl-4 text-mist'"
          @click="turnTo(mark.page)"
        >
          <span class="min-w-0 flex-1 truncate">{{ mark.title }}</span>
          <span class="font-mono text-xs text-haze">{{ mark.page }}</span>
        </button>
      </nav>
    </div>
  </section>
</template>
