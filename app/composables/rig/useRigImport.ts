/** Tables being read for an import: hangs, a rig and targets, checked against the show and each other. */
import Papa from 'papaparse'
import { computed, ref, shallowRef } from 'vue'
import type { FixtureRow } from '#core/commands/shared/fixtureRows'
import type { HangRow, TargetRow } from '#core/commands/rig/importRig'
import { knownNames } from '#core/exchange/fixtureCells'
import { readRigTable, type TableReading } from '#core/exchange/rigTable'
import type { Show } from '#core/show/show'

/** Larger files are no rig. Bytes. */
const LARGEST = 4_000_000

interface Source {
  readonly name: string
  readonly cells: readonly string[][]
}

export interface ReadTable {
  readonly name: string
  readonly reading: TableReading
}

export function useRigImport(show: () => Show) {
  const sources = shallowRef<readonly Source[]>([])
  const trouble = ref<string | null>(null)

  function addText(name: string, text: string) {
    trouble.value = null
    const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { delimitersToGuess: [',', ';', '\t'] })
    sources.value = [...sources.value, { name, cells: parsed.data }]
  }

  async function addFiles(files: readonly File[]) {
    for (const file of files) {
      if (file.size > LARGEST)
        trouble.value = `${file.name} is larger than 4 MB; this is hardly a rig. It was not read.`
      else addText(file.name, await file.text())
    }
  }

  function drop(index: number) {
    sources.value = sources.value.filter((_, i) => i !== index)
  }

  function reset() {
    sources.value = []
    trouble.value = null
  }

  /** Hangs first: a rig may hang on what comes with it. */
  const tables = computed<ReadTable[]>(() => {
    const known = knownNames(show())
    const read = sources.value.map(({ name, cells }) => ({ name, cells, reading: readRigTable(cells, known) }))
    const newHangs = read.flatMap(({ reading }) =>
      reading.kind === 'hangs' ? reading.rows.map((row) => row.name) : [],
    )
    if (newHangs.length === 0) return read
    const withHangs = { ...known, hangs: [...known.hangs, ...newHangs] }
    return read.map(({ name, cells, reading }) => ({
      name,
      reading: reading.kind === 'fixtures' ? readRigTable(cells, withHangs) : reading,
    }))
  })

  const result = computed(() => {
    const hangs: HangRow[] = []
    const fixtures: FixtureRow[] = []
    const targets: TargetRow[] = []
    for (const { reading } of tables.value) {
      if (reading.kind === 'hangs') hangs.push(...reading.rows)
      if (reading.kind === 'fixtures') fixtures.push(...reading.rows)
      if (reading.kind === 'targets') targets.push(...reading.rows)
    }
    return { hangs, fixtures, targets }
  })

  return { tables, result, trouble, addText, addFiles, drop, reset }
}
