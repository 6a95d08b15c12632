<script setup lang="ts">
/** Brings in what stands in tables made elsewhere, with a look at what comes before it comes. */
import { computed, ref, watch } from 'vue'
import { TABLE_COLUMNS, TABLE_KINDS, TABLE_WORDS } from '#core/exchange/tableKind'
import { counted } from '#core/show/counted'
import type { Show } from '#core/show/show'
import { showRecordOf } from '#core/show/show'
import { useTableImport } from '../../composables/exchange/useTableImport'
import { useCuesRoom } from '../../stores/cuesRoom'
import { useShow } from '../../stores/show'
import { useMessages } from '../../stores/messages'
import PlainDialog from '../shell/PlainDialog.vue'
import FileDrop from './FileDrop.vue'
import TableReport from './TableReport.vue'

const props = defineProps<{ open: boolean; show: Show }>()
const emit = defineEmits<{ close: [] }>()
const store = useShow()
const messages = useMessages()
const room = useCuesRoom()
const into = computed(() => room.list?.id ?? null)
const { tables, rows, trouble, addText, addFile, drop, reset } = useTableImport(
  () => props.show,
  () => into.value,
)
const pasted = ref('')
watch(
  () => props.open,
  () => {
    reset()
    pasted.value = ''
  },
)

const cueCount = computed(() => new Set(rows.value.cues.map(({ number }) => number)).size)
const words = computed(() =>
  TABLE_KINDS.map((kind) => ({ kind, count: kind === 'cues' ? cueCount.value : rows.value[kind].length }))
    .filter(({ count }) => count > 0)
    .map(({ kind, count }) => counted(count, TABLE_WORDS[kind]))
    .join(', '),
)
const whither = computed(() =>
  cueCount.value > 0 ? ` Cues go into ${room.list ? `the list ${room.list.list.name}` : 'a new list'}.` : '',
)

function readPasted() {
  addText('Pasted table', pasted.value)
  pasted.value = ''
}

async function importAll() {
  // What came in is there afterwards, and so no longer new.
  const said = `Imported ${words.value}.`
  if (!(await store.send('importTables', { ...rows.value, list: into.value }))) return
  messages.say(said)
  emit('close')
}
</script>

<template>
  <PlainDialog :open="open" :title="`Open tables into ${showRecordOf(show).name}`" wide @close="emit('close')">
    <div class="min-h-0 flex-1 overflow-y-auto p-5">
      <div class="grid grid-cols-2 gap-4">
        <FileDrop
          accept=".csv,.txt,text/csv,text/plain"
          multiple
          :is-reading="false"
          :trouble="trouble"
          @open="(file) => addFile(file)"
        >
          Drop CSV files here, in any order: each is known by its header row.
        </FileDrop>
        <form class="flex flex-col gap-2" @submit.prevent="readPasted">
          <label class="flex flex-1 flex-col"
            ><span class="mb-1 text-mist">or paste a table from a spreadsheet, with its header row</span>
            <textarea
              v-model="pasted"
              class="field min-h-24 flex-1 font-mono"
              spellcheck="false"
              placeholder="group&#9;fixtures&#10;Front wash&#9;1-6"
            />
          </label>
          <button type="submit" class="quiet-button py-1.5" :disabled="!pasted.trim()">Read it</button>
        </form>
      </div>
      <table v-if="tables.length === 0" class="mt-4 w-full text-sm">
        <caption class="mb-1 text-left text-mist">
          What can come, and its columns. Metres, degrees, seconds and per cent; those in grey may be missing.
        </caption>
        <tbody>
          <tr v-for="kind in TABLE_KINDS" :key="kind" class="border-t border-rule/60 align-baseline">
            <th scope="row" class="py-1 pr-4 text-left font-normal whitespace-nowrap text-mist">
              {{ TABLE_WORDS[kind] }}s
            </th>
            <td class="w-full py-1 font-mono">
              {{ TABLE_COLUMNS[kind].wanted.join(', ')
              }}<span class="text-haze">{{ TABLE_COLUMNS[kind].free.map((column) => `, ${column}`).join('') }}</span>
            </td>
          </tr>
        </tbody>
      </table>
      <TableReport v-for="(table, i) in tables" :key="i" :table="table" @drop="drop(i)" />
    </div>
    <footer class="flex items-center justify-end gap-3 border-t border-rule px-5 py-3">
      <p class="mr-auto text-mist" role="status">
        {{
          tables.length === 0
            ? 'Nothing read yet.'
            : words === ''
              ? 'Nothing new to import.'
              : `${words} will come in.${whither}`
        }}
      </p>
      <button type="button" class="quiet-button" @click="emit('close')">Cancel</button>
      <button type="button" class="main-button" :disabled="words === ''" @click="importAll">Import</button>
    </footer>
  </PlainDialog>
</template>
