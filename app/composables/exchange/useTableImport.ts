/** Tables being read for an import, checked against the show and each other. */
import Papa from 'papaparse'
import { computed, ref, shallowRef } from 'vue'
import { readTables, rowsTogether, type TableReading } from '#core/exchange/tables'
import type { CueListId } from '#core/show/ids'
import type { Show } from '#core/show/show'

/** Larger files are no such tables. Bytes. */
const LARGEST = 4_000_000

interface Source {
  readonly name: string
  readonly cells: readonly string[][]
}

export interface ReadTable {
  readonly name: string
  readonly reading: TableReading
}

/** `list` is where cues would go; null for the first there is. */
export function useTableImport(show: () => Show, list: () => CueListId | null) {
  const sources = shallowRef<readonly Source[]>([])
  const trouble = ref<string | null>(null)

  function addText(name: string, text: string) {
    trouble.value = null
    const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { delimitersToGuess: [',', ';', '\t'] })
    sources.value = [...sources.value, { name, cells: parsed.data }]
  }

  async function addFile(file: File) {
    if (file.size > LARGEST)
      trouble.value = `${file.name} is larger than 4 MB; this is hardly a table of a show. It was not read.`
    else addText(file.name, await file.text())
  }

  function drop(index: number) {
    sources.value = sources.value.filter((_, i) => i !== index)
  }

  function reset() {
    sources.value = []
    trouble.value = null
  }

  const tables = computed<ReadTable[]>(() => {
    const cells = sources.value.map((source) => source.cells)
    const readings = readTables(show(), cells, list())
    return readings.map((reading, i) => ({ name: sources.value[i]?.name ?? '', reading }))
  })

  const rows = computed(() => rowsTogether(tables.value.map(({ reading }) => reading)))

  return { tables, rows, trouble, addText, addFile, drop, reset }
}
