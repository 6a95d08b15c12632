/** The columns of the carry sheet: fixtures by hang, with gaps between hangs; filtered by what is typed. */
import { computed } from 'vue'
import { entryWorldOf } from '#core/groups/entryWorld'
import { parseEntry } from '#core/selection/entry'
import type { FixtureId } from '#core/show/ids'
import { byNumber, fixtureNumber } from '#core/show/cells'
import { hangsOf, rigOf, withCells } from '#core/show/rig'
import type { Show } from '#core/show/show'

export interface SheetColumn {
  readonly id: FixtureId
  /** As it is written over the column: of a cell what comes after its bar's number. */
  readonly number: string
  /** Pixels from the first column. */
  readonly x: number
}

export interface SheetHang {
  readonly name: string
  readonly x: number
  readonly width: number
}

const GAP = 14

export function useSheetColumns(show: () => Show, cell: () => number, entry: () => string) {
  const asked = computed(() => {
    if (entry().trim() === '') return null
    return parseEntry(
      entry(),
      entryWorldOf(show(), [], new Set(), () => true),
    )
  })
  /** Why what was typed is not understood; null when it is. */
  const trouble = computed(() => (asked.value && !asked.value.ok ? asked.value.message : null))
  const wanted = computed(() => (asked.value?.ok ? new Set<string>(asked.value.fixtures) : null))

  const laid = computed(() => {
    const columns: SheetColumn[] = []
    const hangs: SheetHang[] = []
    let x = 0
    const all = hangsOf(show())
      .map(({ hang, fixtures }) => ({
        name: hang.name,
        fixtures: fixtures
          .flatMap(({ id }) => withCells(show(), id).flatMap((one) => rigOf(show()).get(one) ?? []))
          .filter(({ id, cells }) => wanted.value?.has(id) ?? cells.length === 0)
          .sort((a, b) => byNumber(a.fixture, b.fixture)),
      }))
      .filter(({ fixtures }) => fixtures.length > 0)
      .sort((a, b) => (a.fixtures[0]?.fixture.number ?? 0) - (b.fixtures[0]?.fixture.number ?? 0))
    for (const { name, fixtures } of all) {
      const start = x
      for (const { id, fixture } of fixtures) {
        columns.push({ id, number: fixtureNumber(fixture), x })
        x += cell()
      }
      x = Math.max(x, start + name.length * 6.4) + GAP
      hangs.push({ name, x: start, width: x - start - GAP })
    }
    return { columns, hangs, width: x }
  })

  return { laid, trouble }
}
