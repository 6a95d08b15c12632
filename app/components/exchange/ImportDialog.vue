<script setup lang="ts">
/** Brings hangs, a rig and targets in from tables, with a look at what comes before it comes. */
import { Upload } from '@lucide/vue'
import { computed, ref, watch } from 'vue'
import type { Show } from '#core/show/show'
import { showRecordOf } from '#core/show/show'
import { useRigImport } from '../../composables/rig/useRigImport'
import { useShow } from '../../stores/show'
import { useMessages } from '../../stores/messages'
import PlainDialog from '../shell/PlainDialog.vue'
import ImportTable from './ImportTable.vue'

const props = defineProps<{ open: boolean; show: Show }>()
const emit = defineEmits<{ close: [] }>()
const store = useShow()
const messages = useMessages()
const rig = useRigImport(() => props.show)
const pasted = ref('')
const input = ref<HTMLInputElement | null>(null)
const isOver = ref(false)
watch(
  () => props.open,
  () => {
    rig.reset()
    pasted.value = ''
  },
)

const count = computed(() => {
  const { hangs, fixtures, targets } = rig.result.value
  return hangs.length + fixtures.length + targets.length
})
const words = computed(() => {
  const { hangs, fixtures, targets } = rig.result.value
  return `${hangs.length} hangs, ${fixtures.length} fixtures, ${targets.length} targets`
})

async function chosen() {
  await rig.addFiles([...(input.value?.files ?? [])])
  if (input.value) input.value.value = ''
}

async function dropped(event: DragEvent) {
  isOver.value = false
  await rig.addFiles([...(event.dataTransfer?.files ?? [])])
}

function readPasted() {
  rig.addText('Pasted table', pasted.value)
  pasted.value = ''
}

async function importAll() {
  // What came in is there afterwards, and so no longer new.
  const said = `Imported ${words.value}.`
  if (!(await store.send('importRig', rig.result.value))) return
  messages.say(said)
  emit('close')
}
</script>

<template>
  <PlainDialog :open="open" :title="`Import a rig into ${showRecordOf(show).name}`" wide @close="emit('close')">
    <div class="min-h-0 flex-1 overflow-y-auto p-5">
      <div class="grid grid-cols-2 gap-4">
        <div
          class="grid place-items-center gap-2 rounded-lg border border-dashed p-5 text-center"
          :class="isOver ? 'border-coral bg-plank-2' : 'border-rule-2'"
          @dragover.prevent="isOver = true"
          @dragleave="isOver = false"
          @drop.prevent="dropped"
        >
          <Upload :size="20" class="text-mist" aria-hidden="true" />
          <p class="text-mist">Drop CSV files here: hangs, a rig, targets, in any order.</p>
          <label class="quiet-button py-1.5">
            Choose files
            <input
              ref="input"
              type="file"
              class="sr-only"
              accept=".csv,.txt,text/csv,text/plain"
              multiple
              @change="chosen"
            />
          </label>
        </div>
        <form class="flex flex-col gap-2" @submit.prevent="readPasted">
          <label class="flex flex-1 flex-col"
            ><span class="mb-1 text-mist">or paste a table, with its header row</span>
            <textarea
              v-model="pasted"
              class="field min-h-24 flex-1"
              spellcheck="false"
              placeholder="hang,x,y,z,yaw,rise,length"
            />
          </label>
          <button type="submit" class="quiet-button py-1.5" :disabled="!pasted.trim()">Read it</button>
        </form>
      </div>
      <p class="mt-3 text-sm text-mist">
        A rig has the columns number, type, hang and along; out, drop, yaw, pitch, roll, universe, address, name and
        note may be there. Hangs have hang, x, y, z, length, and yaw and rise where they are not 0. Targets have target,
        x, y, z. Metres and degrees.
      </p>
      <p v-if="rig.trouble.value" class="mt-3 text-coral" role="alert">{{ rig.trouble.value }}</p>
      <ImportTable v-for="(table, i) in rig.tables.value" :key="i" :table="table" @drop="rig.drop(i)" />
    </div>
    <footer class="flex items-center justify-end gap-3 border-t border-rule px-5 py-3">
      <p class="mr-auto text-mist" role="status">
        {{
          rig.tables.value.length === 0
            ? 'Nothing read yet.'
            : count === 0
              ? 'Nothing new to import.'
              : `${words} will come in.`
        }}
      </p>
      <button type="button" class="quiet-button" @click="emit('close')">Cancel</button>
      <button type="button" class="main-button" :disabled="count === 0" @click="importAll">Import</button>
    </footer>
  </PlainDialog>
</template>
