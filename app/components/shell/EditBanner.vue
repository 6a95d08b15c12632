<script setup lang="ts">
/** Says on every room that a palette is open in the hand, and what keeping it would do. */
import { PenLine } from '@lucide/vue'
import { computed, shallowRef, watch } from 'vue'
import { effectsInWords } from '#core/refocus/words'
import { LatestOnly } from '../../session/latestOnly'
import type { Consequences } from '../../session/showCopy'
import { useConfirmed } from '../../stores/confirmed'
import { useStage } from '../../stores/stage'
import { useShelfView } from '../../stores/shelfView'
import { useShow } from '../../stores/show'
import { useProposal } from '../../stores/proposal'

const store = useShow()
const ground = useConfirmed()
const stage = useStage()
const shelves = useShelfView()
const proposal = useProposal()

const palette = computed(() => (shelves.editing ? store.view?.all.palette.get(shelves.editing) : undefined))
/** What keeping it would do; told after the light, which it would keep waiting. */
const words = shallowRef('')
const newest = new LatestOnly<Consequences>()
/** Counts what was asked: an earlier answer tells nothing any more. */
let turn = 0
watch([() => stage.panelState.show, palette], () => void tell(), { immediate: true })

async function tell() {
  const mine = ++turn
  const before = store.view
  const after = palette.value && store.preview('keepPalette', {})
  if (!before || !after) words.value = ''
  else if (after.all.paletteValue === before.all.paletteValue) words.value = 'Nothing is changed yet.'
  else {
    const found = await newest.ask(() => ground.consequences(before, after, false))
    if (found && mine === turn) words.value = `When it is kept: ${effectsInWords(found.effects)}.`
  }
}
</script>

<template>
  <div
    v-if="palette"
    class="flex shrink-0 items-center gap-2 border-b border-coral/60 bg-coral-deep px-3 py-1 text-sm"
    role="status"
    aria-label="Palette open in the hand"
  >
    <PenLine :size="14" class="text-coral" aria-hidden="true" />
    <p class="min-w-0 truncate">
      <strong>{{ palette.number }} {{ palette.name }}</strong> is open in the hand. {{ words }}
    </p>
    <button type="button" class="chip ml-auto shrink-0 py-0.5" @click="proposal.offerOrSay('keepPalette', {})">
      Keep in the palette
    </button>
    <button type="button" class="chip shrink-0 py-0.5" @click="store.send('dropPalette', {})">Drop the changes</button>
  </div>
</template>
