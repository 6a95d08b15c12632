<script setup lang="ts">
/** Palette sheets: taken out as a table or a document, and read back with a report before they come in. */
import Papa from 'papaparse'
import { computed, ref, shallowRef, watch } from 'vue'
import { AIM_COLUMNS, aimsOfPalettes, withoutFormula } from '#core/exchange/aimsTable'
import { PALETTE_COLUMNS, paletteRows, readPaletteCells, type PaletteReading } from '#core/exchange/paletteCells'
import { knownPalettes, paletteDocument, PALETTES_VERSION, portablePalettes } from '#core/exchange/paletteSheet'
import { LEADING } from '#core/attributes/catalogue'
import { palettesInOrder } from '#core/palettes/resolve'
import { issueInWords } from '#core/show/faults'
import type { PaletteId } from '#core/show/ids'
import { showRecordOf, type Show } from '#core/show/show'
import { saveFile } from '../../composables/table/saveFile'
import { useMessages } from '../../stores/messages'
import { useShow } from '../../stores/show'
import RadioChips from '../fields/RadioChips.vue'
import PlainDialog from '../shell/PlainDialog.vue'

const props = defineProps<{ open: boolean; show: Show }>()
const emit = defineEmits<{ close: [] }>()
const store = useShow()
const messages = useMessages()

/** Larger files are no palette sheet. Bytes. */
const LARGEST = 20_000_000
const TAKEN = ['replace', 'leave out', 'renumber'] as const
const taken = ref<(typeof TAKEN)[number]>('replace')
const reading = shallowRef<(PaletteReading & { name: string }) | null>(null)
watch(
  () => props.open,
  () => (reading.value = null),
)

const save = (name: string, type: string, text: string) => saveFile(name, new Blob([text], { type }))
const fileName = computed(
  () =>
    `${showRecordOf(props.show)
      .name.toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')}-palettes`,
)
function saveTable() {
  const rows = paletteRows(portablePalettes(props.show)).map((row) =>
    row.map((cell) => (typeof cell === 'string' ? withoutFormula(cell) : cell)),
  )
  save(`${fileName.value}.csv`, 'text/csv', Papa.unparse([[...PALETTE_COLUMNS], ...rows]))
}
function saveDocument() {
  const document = { format: 'rhopander palettes', version: PALETTES_VERSION, palettes: portablePalettes(props.show) }
  save(`${fileName.value}.json`, 'application/json', JSON.stringify(document, null, 1))
}

/** Palettes that place something, and those of them whose aims are taken out. */
const placing = computed(() => {
  const places = new Set(
    [...props.show.all.paletteValue.values()].flatMap((one) => (one.attribute === LEADING.place ? [one.palette] : [])),
  )
  return palettesInOrder(props.show).filter(({ id }) => places.has(id))
})
const aimed = ref<ReadonlySet<PaletteId>>(new Set())
const isAllAimed = computed(() => placing.value.length > 0 && placing.value.every(({ id }) => aimed.value.has(id)))
function switchAimed(ids: readonly PaletteId[], isWanted: boolean) {
  const next = new Set(aimed.value)
  for (const id of ids)
    if (isWanted) next.add(id)
    else next.delete(id)
  aimed.value = next
}
function saveAims() {
  const lines = aimsOfPalettes(
    props.show,
    placing.value.flatMap(({ id }) => (aimed.value.has(id) ? [id] : [])),
  )
  const rows = lines.map((line) => AIM_COLUMNS.map(({ key }) => withoutFormula(String(line[key]))))
  save(`${fileName.value}-aims.csv`, 'text/csv', Papa.unparse([AIM_COLUMNS.map(({ header }) => header), ...rows]))
}

async function chosen(event: Event) {
  const input = event.target
  const file = input instanceof HTMLInputElement ? input.files?.[0] : undefined
  if (!file) return
  reading.value =
    file.size > LARGEST
      ? { name: file.name, palettes: [], faults: [], trouble: 'It is larger than 20 MB; it was not read.' }
      : { name: file.name, ...read(await file.text()) }
  if (input instanceof HTMLInputElement) input.value = ''
}

function read(text: string): PaletteReading {
  const plain = text.replace(/^\uFEFF/, '').replace(/\r\n?/g, '\n')
  if (!plain.trimStart().startsWith('{')) return readPaletteCells(Papa.parse<string[]>(plain).data)
  const nothing = { palettes: [], faults: [] }
  try {
    const document = paletteDocument.safeParse(JSON.parse(plain))
    if (document.success) return { palettes: document.data.palettes, faults: [], trouble: null }
    const [issue] = document.error.issues
    return {
      ...nothing,
      trouble: `This is no palette document: ${issue?.path.join(' ') ?? ''} ${issue ? issueInWords(issue) : ''}.`,
    }
  } catch {
    return { ...nothing, trouble: 'This document is damaged: it is not readable as JSON.' }
  }
}

const found = computed(() => (reading.value ? knownPalettes(props.show, reading.value.palettes) : null))
const faults = computed(() => [...(reading.value?.faults ?? []), ...(found.value?.faults ?? [])])
/** A palette of which no line could be read stays out. */
const input = computed(() => ({
  palettes: (found.value?.palettes ?? []).filter(({ values }) => values.length > 0),
  taken: taken.value,
}))
const count = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`
const outcome = computed(() => (input.value.palettes.length ? store.attempt('importPalettes', input.value) : null))
const words = computed(() => {
  if (!reading.value) return 'Nothing read yet.'
  if (reading.value.trouble) return reading.value.trouble
  if (!outcome.value) return 'It holds no palette.'
  if (!outcome.value.ok) return outcome.value.refusal.message
  const values = input.value.palettes.reduce((sum, palette) => sum + palette.values.length, 0)
  const there = input.value.palettes.filter(({ palette }) => numbers.value.has(palette.number)).length
  return `${count(input.value.palettes.length, 'palette', 'palettes')} with ${count(values, 'value', 'values')}; ${there} under a number that is taken here.`
})
const numbers = computed(() => new Set([...props.show.all.palette.values()].map(({ number }) => number)))

async function bringIn() {
  const label = outcome.value?.ok ? outcome.value.label : ''
  if (!(await store.send('importPalettes', input.value))) return
  const out = faults.value.length ? ` ${count(faults.value.length, 'line was', 'lines were')} left out.` : ''
  messages.say(`Done: ${label}.${out}`)
  emit('close')
}
</script>

<template>
  <PlainDialog :open="open" title="Palette sheets" wide @close="emit('close')">
    <div class="flex min-h-0 flex-1 flex-col gap-4 overflow-y-auto p-5">
      <section aria-labelledby="sheet-out">
        <h3 id="sheet-out" class="font-semibold">Take out</h3>
        <p class="mb-2 text-sm text-mist">
          All {{ show.all.palette.size }} palettes, one line a value: fixtures by number, targets and types by name.
        </p>
        <div class="flex gap-2">
          <button type="button" class="quiet-button py-1.5" @click="saveTable">As a table (CSV)</button>
          <button type="button" class="quiet-button py-1.5" @click="saveDocument">As a document (JSON)</button>
        </div>
      </section>
      <section v-if="placing.length" aria-labelledby="sheet-aims">
        <h3 id="sheet-aims" class="font-semibold">Take out aims</h3>
        <p class="mb-2 text-sm text-mist">
          Where palettes take each fixture in the venue in play: degrees, percent and levels of 8, 16 and 24 bit.
        </p>
        <ul
          class="grid max-h-36 grid-cols-3 gap-x-4 overflow-y-auto rounded-md border border-rule px-3 py-2 text-sm"
          tabindex="0"
        >
          <li v-for="{ id, palette } in placing" :key="id">
            <label class="flex items-center gap-2">
              <input
                type="checkbox"
                class="accent-kelp"
                :checked="aimed.has(id)"
                @change="switchAimed([id], !aimed.has(id))"
              />
              <span class="w-8 text-right font-mono text-haze">{{ palette.number }}</span>
              <span class="truncate">{{ palette.name }}</span>
            </label>
          </li>
        </ul>
        <div class="mt-2 flex gap-2">
          <button
            type="button"
            class="quiet-button py-1.5"
            @click="
              switchAimed(
                placing.map(({ id }) => id),
                !isAllAimed,
              )
            "
          >
            {{ isAllAimed ? 'None of them' : 'All of them' }}
          </button>
          <button type="button" class="quiet-button py-1.5" :disabled="aimed.size === 0" @click="saveAims">
            Their aims (CSV)
          </button>
        </div>
      </section>
      <section aria-labelledby="sheet-in">
        <h3 id="sheet-in" class="font-semibold">Bring in</h3>
        <div class="mt-1 flex items-center gap-3">
          <label class="quiet-button py-1.5">
            Choose a sheet
            <input type="file" class="sr-only" accept=".csv,.json,text/csv,application/json" @change="chosen" />
          </label>
          <span class="text-mist">{{ reading?.name }}</span>
        </div>
        <p class="mt-2" :class="reading?.trouble || outcome?.ok === false ? 'text-coral' : 'text-mist'" role="status">
          {{ words }}
        </p>
        <template v-if="outcome">
          <p class="mt-2 text-sm text-mist">Palettes whose number is taken</p>
          <RadioChips v-model="taken" class="mt-1 w-80" label="Palettes whose number is taken" :options="TAKEN" />
        </template>
        <template v-if="faults.length">
          <p class="mt-3 text-sm text-coral">{{ count(faults.length, 'line is', 'lines are') }} left out:</p>
          <ul class="mt-1 max-h-40 overflow-y-auto text-sm" tabindex="0">
            <li v-for="(fault, i) in faults" :key="i" class="text-mist">
              palette <span class="font-mono">{{ fault.palette }}</span>: {{ fault.what }}
            </li>
          </ul>
        </template>
      </section>
    </div>
    <footer class="flex justify-end gap-3 border-t border-rule px-5 py-3">
      <button type="button" class="quiet-button py-1.5" @click="emit('close')">Close</button>
      <button type="button" class="main-button py-1.5" :disabled="!outcome?.ok" @click="bringIn">Bring them in</button>
    </footer>
  </PlainDialog>
</template>
