<script setup lang="ts">
/** The pass for a tablet in the hand on the stage, or a phone held upright: by touch, fixture by fixture. */
import { computed, ref } from 'vue'
import { entity, showRecordOf, type Show } from '#core/show/show'
import { usePassKeys } from '../../composables/keys/usePassKeys'
import { cuesInWords, lightInPlaceWords, progressInWords, touchInWords } from '../../composables/refocus/passWords'
import { useTheme } from '../../composables/shell/useTheme'
import { usePass } from '../../stores/pass'
import { usePassNudges } from '../../stores/passNudges'
import PlainDialog from '../shell/PlainDialog.vue'
import StagePicture from '../shelf/StagePicture.vue'
import CueNotes from './CueNotes.vue'
import NudgePad from './NudgePad.vue'
import PassFixtures from './PassFixtures.vue'
import PassList from './PassList.vue'
import PassNote from './PassNote.vue'
import TouchNudges from './TouchNudges.vue'

const props = defineProps<{ show: Show }>()
const pass = usePass()
const nudges = usePassNudges()
const { isPaper, toggle } = useTheme()
usePassKeys()
const isListing = ref(false)
const isNoting = ref(false)

const venue = computed(() => entity(props.show, 'venue', showRecordOf(props.show).venue))
const palette = computed(() => (pass.line ? props.show.all.palette.get(pass.line.palette) : undefined))
const words = computed(() =>
  pass.line ? `${lightInPlaceWords(props.show, pass.light)}. ${cuesInWords(props.show, pass.line.palette)}.` : '',
)
function look(id: Parameters<typeof pass.look>[0]) {
  isListing.value = false
  void pass.look(id)
}
</script>

<template>
  <main class="grid min-h-0 grid-rows-[auto_minmax(0,1fr)_auto] bg-night" data-touch>
    <header class="flex items-center gap-3 border-b border-rule bg-deck px-4 py-2">
      <button
        type="button"
        class="quiet-button min-h-11 md:hidden"
        :aria-expanded="isListing"
        @click="isListing = !isListing"
      >
        {{ isListing ? 'Back' : 'List' }}
      </button>
      <NuxtLink :to="`/shows/${show.id}/refocus`" class="hidden truncate text-lg font-bold hover:underline md:block"
        >Pass at {{ venue.name }}</NuxtLink
      >
      <p class="truncate text-mist">{{ progressInWords(pass.progress) }}</p>
      <div class="ml-auto flex shrink-0 gap-2">
        <button
          type="button"
          class="pill min-h-11"
          :class="pass.isLive ? 'border-coral bg-coral-deep text-sail' : ''"
          :aria-pressed="pass.isLive"
          :disabled="pass.takenByOther !== null && !pass.isLive"
          @click="pass.setLive(!pass.isLive)"
        >
          {{ pass.isLive ? 'On stage' : 'Bring up' }}
        </button>
        <button
          type="button"
          class="pill hidden min-h-11 md:block"
          :class="pass.isAlone ? 'border-rule-2 bg-plank-2 text-sail' : ''"
          :aria-pressed="pass.isAlone"
          @click="pass.setAlone(!pass.isAlone)"
        >
          Only this fixture lit
        </button>
        <button type="button" class="pill min-h-11" @click="toggle">{{ isPaper ? 'Dark' : 'Daylight' }}</button>
      </div>
    </header>

    <div class="grid min-h-0 md:grid-cols-[290px_minmax(0,1fr)]">
      <aside
        class="min-h-0 flex-col border-r border-rule bg-deck md:flex"
        :class="isListing ? 'flex' : 'hidden'"
        aria-label="Palettes"
      >
        <PassList :show="show" @look="look" />
        <CueNotes :show="show" @look="look" />
      </aside>
      <section
        v-if="pass.line && palette"
        class="min-h-0 flex-col gap-3 overflow-y-auto px-4 py-3 md:flex md:px-6 md:py-4"
        :class="isListing ? 'hidden' : 'flex'"
        :aria-label="palette.name"
      >
        <div class="flex items-start gap-3">
          <div class="min-w-0 flex-1">
            <h1 class="text-[26px] leading-tight font-bold">{{ palette.name }}</h1>
            <p class="mt-0.5 text-lg text-mist">{{ words }}</p>
            <p v-if="pass.takenByOther" class="text-lg text-brass">{{ pass.takenByOther }} is checking this one.</p>
          </div>
          <div class="hidden w-36 shrink-0 overflow-hidden rounded-lg bg-plank sm:block">
            <StagePicture :fixtures="pass.light" :venue="venue" />
          </div>
        </div>
        <PassFixtures :show="show" />
        <div class="grid gap-4 md:grid-cols-[minmax(0,1fr)_280px]">
          <div>
            <p class="min-h-6 text-center text-lg font-semibold text-brass">{{ touchInWords(nudges.touch) }}</p>
            <NudgePad />
          </div>
          <TouchNudges :show="show" />
        </div>
        <p v-if="pass.line.note" class="text-lg text-brass">{{ pass.line.note }}</p>
      </section>
    </div>

    <footer class="grid grid-cols-3 gap-2 border-t border-rule bg-deck p-3 md:grid-cols-[1fr_1fr_1fr_1.8fr]">
      <button
        type="button"
        class="quiet-button min-h-14 text-lg font-semibold"
        :disabled="!nudges.isTouchedUp"
        @click="nudges.putBack()"
      >
        Put back
      </button>
      <button type="button" class="quiet-button min-h-14 text-lg font-semibold" @click="isNoting = true">Note …</button>
      <button type="button" class="quiet-button min-h-14 text-lg font-semibold" @click="pass.mark('another look')">
        Another look
      </button>
      <button
        type="button"
        class="main-button col-span-3 min-h-14 text-lg md:col-span-1"
        :disabled="!pass.line?.fixtures.length"
        @click="pass.confirm()"
      >
        {{ pass.fixture === null ? 'Good, next palette' : 'Good, next fixture' }}
      </button>
    </footer>
    <PlainDialog :open="isNoting" title="Note" @close="isNoting = false">
      <div class="flex flex-col gap-3 p-5">
        <PassNote />
        <button type="button" class="quiet-button min-h-12" @click="pass.mark('cannot be done')">
          Cannot be done here
        </button>
        <button type="button" class="main-button min-h-12" @click="isNoting = false">Done</button>
      </div>
    </PlainDialog>
  </main>
</template>
