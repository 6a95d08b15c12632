<script setup lang="ts">
/** Takes out any table that is on the page just now, as it is seen. */
import { ref, watch } from 'vue'
import { counted } from '#core/show/counted'
import { seenTables, type SeenTable } from '../../composables/table/seenTables'
import { downloadSpreadsheet, downloadTable } from '../../composables/table/downloadTable'
import { useMessages } from '../../stores/messages'
import PlainDialog from '../shell/PlainDialog.vue'

const props = defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const messages = useMessages()
const tables = ref<readonly SeenTable[]>([])
watch(
  () => props.open,
  (isOpen) => {
    if (isOpen) tables.value = seenTables(document)
  },
  { immediate: true },
)

async function spreadsheet({ name, cells }: SeenTable) {
  try {
    await downloadSpreadsheet(name, cells)
  } catch {
    messages.say('The spreadsheet could not be made: the server did not hand over what writes it. Try again.')
  }
}
</script>

<template>
  <PlainDialog :open="open" title="Take out a table" @close="emit('close')">
    <div class="flex flex-col gap-3 p-5">
      <p class="text-sm text-mist">
        Tables on the page just now, as they are seen. Larger ones, of rig, patch, cues and the like, have an arrow of
        their own for this; the aims of palettes go out by their menu.
      </p>
      <p v-if="tables.length === 0" class="rounded-md border border-rule px-3 py-4 text-center text-mist">
        There is none just now: open the panel that has it, then come back.
      </p>
      <ul v-else class="max-h-80 overflow-y-auto rounded-md border border-rule" tabindex="0" aria-label="Tables">
        <li
          v-for="table in tables"
          :key="table.name"
          class="flex items-center gap-2 border-b border-rule px-3 py-1.5 text-sm last:border-b-0"
        >
          <span class="min-w-0 truncate">{{ table.name }}</span>
          <span class="shrink-0 text-xs text-mist">{{ counted(table.cells.length - 1, 'line') }}</span>
          <button
            type="button"
            class="chip ml-auto px-2 py-0.5"
            :aria-label="`${table.name} as CSV`"
            @click="downloadTable(table.name, table.cells)"
          >
            CSV
          </button>
          <button
            type="button"
            class="chip px-2 py-0.5"
            :aria-label="`${table.name} as XLSX`"
            @click="spreadsheet(table)"
          >
            XLSX
          </button>
        </li>
      </ul>
      <div class="flex justify-end">
        <button type="button" class="quiet-button" @click="emit('close')">Close</button>
      </div>
    </div>
  </PlainDialog>
</template>
