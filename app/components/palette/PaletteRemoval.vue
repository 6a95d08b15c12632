<script setup lang="ts">
/** Deletes a palette: says who leans on it, and asks what becomes of the links. */
import { computed, ref } from 'vue'
import { palettesInOrder } from '#core/palettes/resolve'
import { dependentsOfPalettes } from '#core/palettes/removal'
import { asPaletteId, type PaletteId } from '#core/show/ids'
import { cueNumbersInWords, dependentsInWords } from '#core/show/dependents'
import type { Show } from '#core/show/show'
import { useShelfView } from '../../stores/shelfView'
import { useShow } from '../../stores/show'

const props = defineProps<{ show: Show; id: PaletteId }>()
const emit = defineEmits<{ close: [] }>()
const store = useShow()
const shelves = useShelfView()
const heir = ref('')

const leaning = computed(() => dependentsOfPalettes(props.show, new Set([props.id])))
const words = computed(() => dependentsInWords(leaning.value))
const cues = computed(() => cueNumbersInWords(props.show, leaning.value.cues))
const heirs = computed(() => {
  const shelf = props.show.all.palette.get(props.id)?.shelf
  const others = palettesInOrder(props.show).filter(({ id }) => id !== props.id)
  return [...others].sort((a, b) => Number(b.palette.shelf === shelf) - Number(a.palette.shelf === shelf))
})

async function remove(links: { how: 'loose' } | { how: 'links'; to: PaletteId }) {
  if (!(await store.send('deletePalettes', { palettes: [props.id], links }))) return
  emit('close')
  shelves.close()
}
</script>

<template>
  <form class="flex flex-col gap-2" aria-label="Delete the palette" @submit.prevent="remove({ how: 'loose' })">
    <p v-if="words" class="text-sm">
      {{ words }} lean on it<template v-if="cues"
        >: <span class="font-mono text-mist">{{ cues }}</span></template
      >.
    </p>
    <p v-else class="text-sm text-mist">Nothing leans on it.</p>
    <button type="submit" class="quiet-button py-1.5 text-coral">
      {{ words ? 'Delete, links become loose values' : 'Delete it' }}
    </button>
    <div v-if="words" class="flex gap-1.5">
      <select v-model="heir" class="field font-sans" aria-label="Palette the links go to">
        <option value="">Hand the links to …</option>
        <option v-for="other in heirs" :key="other.id" :value="other.id">
          {{ other.palette.number }} {{ other.palette.name }}
        </option>
      </select>
      <button
        type="button"
        class="quiet-button py-1.5 whitespace-nowrap"
        :disabled="!heir"
        @click="remove({ how: 'links', to: asPaletteId(heir) })"
      >
        Hand over
      </button>
    </div>
    <button type="button" class="quiet-button py-1.5" @click="emit('close')">Cancel</button>
  </form>
</template>
