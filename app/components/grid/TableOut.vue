<script setup lang="ts">
/** Takes a table out as it is seen: as text with commas, or as a spreadsheet. */
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { Download } from '@lucide/vue'
import { downloadSpreadsheet, downloadTable } from '../../composables/table/downloadTable'
import { useMessages } from '../../stores/messages'

const props = defineProps<{
  /** What the file is called. */
  name: string
  /** The lines as they stand, the head first. */
  cells: () => readonly (readonly string[])[]
}>()
const messages = useMessages()
const item = (active: boolean) => ['w-full rounded px-2 py-1 text-left', active ? 'bg-plank-2' : '']

async function spreadsheet() {
  try {
    await downloadSpreadsheet(props.name, props.cells())
  } catch {
    messages.say('The spreadsheet could not be made: the server did not hand over what writes it. Try again.')
  }
}
</script>

<template>
  <Menu as="div" class="relative shrink-0">
    <MenuButton
      class="grid size-6 place-items-center rounded-md text-mist hover:bg-plank-2 hover:text-sail"
      :aria-label="`Take out ${name.toLowerCase()}`"
      :title="`Take out ${name.toLowerCase()} as seen`"
    >
      <Download :size="14" aria-hidden="true" />
    </MenuButton>
    <MenuItems
      class="absolute right-0 z-30 mt-1 w-44 rounded-lg border border-rule-2 bg-plank p-1.5 text-sm shadow-lg shadow-night/60 focus:outline-none"
    >
      <MenuItem v-slot="{ active }">
        <button type="button" :class="item(active)" @click="downloadTable(name, cells())">As a table (CSV)</button>
      </MenuItem>
      <MenuItem v-slot="{ active }">
        <button type="button" :class="item(active)" @click="spreadsheet">As a spreadsheet (XLSX)</button>
      </MenuItem>
    </MenuItems>
  </Menu>
</template>
