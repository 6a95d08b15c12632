<script setup lang="ts">
/** Says on every room that a palette is open in the hand, and what keeping it would do. */
import { PenLine } from '@lucide/vue'
import { computed, shallowRef, watch } from 'vue'
import { effectsOf } from '#core/refocus/effects'
import { effectsInWords } from '#core/refocus/words'
import { useDesk } from '../../stores/desk'
import { usePaletteDesk } from '../../stores/paletteDesk'
import { useShow } from '../../stores/show'
import { useProposal } from '../../stores/proposal'

const store = useShow()
const desk = useDesk()
const shelves = usePaletteDesk()
const proposal = useProposal()

const palette = computed(() => (shelves.editing ? store.view?.all.palette.get(shelves.editing) : undefined))
/** What keeping it would do; told after the light, which it would keep waiting. */
const words = shallowRef('')
watch([() => desk.reading.show, palette], () => (words.value = keepingInWords()), { immediate: true })

function keepingInWords(): string {
  if (!palette.value || !store.view) return ''
  const after = store.preview('keepPalette', {})
  return after && after.all.paletteValue !== store.view.all.paletteValue
    ? `When it is kept: ${effectsInWords(effectsOf(store.view, after))}.`
    : 'Nothing is changed yet.'
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
