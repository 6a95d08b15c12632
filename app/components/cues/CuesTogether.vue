<script setup lang="ts">
/** Several cues at once: their times, and moving, copying or taking them out together. */
import { computed, ref } from 'vue'
import type { ListInOrder } from '#core/cues/tracking'
import { FOLLOWS } from '#core/show/entities'
import type { CueId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useCommit } from '../../composables/forms/useCommit'
import CueMoveForm from './CueMoveForm.vue'

const props = defineProps<{ show: Show; list: ListInOrder; cues: readonly CueId[] }>()
const { keep } = useCommit()
const open = ref<'move' | 'copy' | 'removal' | null>(null)

const cues = computed(() => [...props.cues])
const records = computed(() => cues.value.flatMap((id) => props.show.all.cue.get(id) ?? []))
/** What all of them have; null where they differ. */
function shared<T>(of: (cue: (typeof records.value)[number]) => T): T | null {
  const [first, ...others] = records.value.map(of)
  return first !== undefined && others.every((other) => other === first) ? first : null
}
const TIMES = ['rise', 'fall', 'move', 'delay'] as const
const NAMES = { rise: 'Rise', fall: 'Fall', move: 'Move', delay: 'Delay' } as const
const follows = FOLLOWS.map((key) => ({
  key,
  name: { wait: 'when called', after: 'after the one before', with: 'with the one before' }[key],
}))
</script>

<template>
  <section class="flex flex-col gap-2 px-4 py-3" aria-label="These cues" data-narrow>
    <h3 class="font-semibold">These {{ cues.length }} cues</h3>
    <div class="grid grid-cols-4 gap-2">
      <NumberField
        v-for="field in TIMES"
        :key="field"
        :label="NAMES[field]"
        unit="s"
        :value="shared((cue) => cue[field])"
        :keep="(value) => keep('changeCues', { cues, [field]: value })"
      />
      <ChoiceField
        class="col-span-4"
        label="They come"
        :value="shared((cue) => cue.follow)"
        :options="follows"
        :keep="(follow) => keep('changeCues', { cues, follow })"
      />
    </div>
    <div class="flex gap-1.5">
      <button
        v-for="what in ['move', 'copy', 'removal'] as const"
        :key="what"
        type="button"
        class="chip"
        :class="open === what ? 'chip-on' : ''"
        :aria-expanded="open === what"
        @click="open = open === what ? null : what"
      >
        {{ { move: 'Move cues', copy: 'Copy cues', removal: 'Take cues out' }[what] }}
      </button>
    </div>
    <CueMoveForm v-if="open" :key="open" :what="open" :list="list" :cues="cues" @done="open = null" />
  </section>
</template>
