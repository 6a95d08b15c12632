<script setup lang="ts">
/** The list of a pass with what was noted on cues, how it is gone through, and its end. */
import { Settings2, Tablet } from '@lucide/vue'
import { ref } from 'vue'
import type { Show } from '#core/show/show'
import { usePass } from '../../stores/pass'
import { useShow } from '../../stores/show'
import RemovalBox from '../rig/RemovalBox.vue'
import { useCommit } from '../../composables/forms/useCommit'
import CueNotes from './CueNotes.vue'
import PassChoices from './PassChoices.vue'
import PassList from './PassList.vue'

defineProps<{ show: Show }>()
const pass = usePass()
const store = useShow()
const { keep } = useCommit()
const isSetting = ref(false)
const isEnding = ref(false)
</script>

<template>
  <div class="flex min-h-0 flex-col">
    <header class="flex items-center gap-1.5 border-b border-rule px-4 py-2">
      <h2 class="font-semibold">Pass</h2>
      <NuxtLink
        :to="`/shows/${show.id}/pass`"
        class="chip ml-auto flex items-center gap-1"
        title="The same pass for a tablet or a phone on the stage"
      >
        <Tablet :size="13" aria-hidden="true" />On stage
      </NuxtLink>
      <IconButton
        :icon="Settings2"
        :size="14"
        class="chip p-1.5"
        aria-label="How the pass goes"
        :aria-expanded="isSetting"
        @click="isSetting = !isSetting"
      />
    </header>
    <section
      v-if="isSetting && pass.pass"
      class="flex flex-col gap-3 border-b border-rule bg-plank px-4 py-3"
      aria-label="How the pass goes"
    >
      <PassChoices
        :order="pass.pass.pass.order"
        :level="pass.pass.pass.level"
        :others="pass.pass.pass.others"
        @change="(choices) => store.send('changePass', choices)"
      />
      <RemovalBox
        v-if="isEnding"
        title="End the pass"
        warning="What was found right and said in it goes; touch-ups stay."
        act="End"
        :remove="() => keep('endPass', {})"
        @back="isEnding = false"
        @done="((isEnding = false), (isSetting = false))"
      />
      <button v-else type="button" class="quiet-button py-1" @click="isEnding = true">End the pass</button>
    </section>
    <PassList :show="show" @look="(palette) => pass.look(palette)" />
    <CueNotes :show="show" @look="(palette) => pass.look(palette)" />
  </div>
</template>
