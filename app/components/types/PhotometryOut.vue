<script setup lang="ts">
/** Writes the light of a zoom at a beam angle as a photometric file. */
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { Download } from '@lucide/vue'
import { WRITE_PHOTOMETRY, type PhotometryKind } from '#core/exchange/photometry/writePhotometry'
import type { Optics } from '#core/show/entities'
import { saveFile } from '../../composables/table/saveFile'

const props = defineProps<{ maker: string; name: string; optics: Optics; beam: number }>()
const KINDS = [
  { kind: 'ies', name: 'Write as IES LM-63' },
  { kind: 'ldt', name: 'Write as EULUMDAT' },
] as const

function write(kind: PhotometryKind) {
  const text = WRITE_PHOTOMETRY[kind](props)
  saveFile(`${props.name} ${props.beam.toFixed(1)} deg.${kind}`, new Blob([text], { type: 'text/plain' }))
}
</script>

<template>
  <Menu as="div" class="relative">
    <MenuButton
      class="chip p-1"
      :aria-label="`Write the light of ${name} at ${beam.toFixed(1)}°`"
      title="Write its light as a file"
    >
      <Download :size="14" aria-hidden="true" />
    </MenuButton>
    <MenuItems
      class="absolute right-0 z-30 mt-1 w-48 rounded-lg border border-rule-2 bg-plank p-1.5 text-left font-sans text-sm shadow-lg shadow-night/60 focus:outline-none"
    >
      <MenuItem v-for="{ kind, name: words } in KINDS" :key="kind" v-slot="{ active }">
        <button
          type="button"
          class="w-full rounded px-2 py-1 text-left"
          :class="active ? 'bg-plank-2' : ''"
          @click="write(kind)"
        >
          {{ words }}
        </button>
      </MenuItem>
    </MenuItems>
  </Menu>
</template>
