import { ref } from 'vue'
import { describe, expect, it } from 'vitest'
import { useGridCells } from './useGridCells'

function table(answer: Promise<void> = Promise.resolve()) {
  const selected = ref<readonly string[]>([])
  const kept: [readonly string[], string, string][] = []
  const cells = useGridCells({
    rows: () => ['a', 'b', 'c', 'd'].map((id) => ({ id })),
    columns: () => [{ key: 'name', name: 'Name', width: 1, edit: 'text', text: ({ id }: { id: string }) => id }],
    selected: () => new Set(selected.value),
    select: (ids) => (selected.value = ids),
    keep: async (ids, column, text) => {
      await answer
      if (text === 'bad') return 'This will not do.'
      kept.push([ids, column, text])
      return null
    },
    show: () => undefined,
    focus: () => undefined,
  })
  const plain = { shiftKey: false, ctrlKey: false, metaKey: false }
  return { cells, selected, kept, plain }
}

describe('the cells of a table', () => {
  it('select a run in the order it was drawn, and single rows besides', () => {
    const { cells, selected, plain } = table()
    cells.press(plain, 2, 0)
    cells.press({ ...plain, shiftKey: true }, 0, 0)
    expect(selected.value).toEqual(['c', 'b', 'a'])
    cells.press({ ...plain, ctrlKey: true }, 3, 0)
    expect(selected.value).toEqual(['c', 'b', 'a', 'd'])
    cells.press({ ...plain, ctrlKey: true }, 1, 0)
    expect(selected.value).toEqual(['c', 'a', 'd'])
  })

  it('keep what is typed for every selected row', async () => {
    const { cells, kept, plain } = table()
    cells.press(plain, 0, 0)
    cells.press({ ...plain, shiftKey: true }, 1, 0)
    cells.begin('x')
    await cells.choose()
    expect(kept).toEqual([[['a', 'b'], 'name', 'x']])
    expect(cells.typed.value).toBeNull()
  })

  it('say why a text is refused, and put it back when the cell is left', async () => {
    const { cells, kept, plain } = table()
    cells.press(plain, 0, 0)
    cells.begin('bad')
    await cells.choose()
    expect([cells.typed.value, cells.trouble.value]).toEqual(['bad', 'This will not do.'])
    await cells.leave()
    expect([cells.typed.value, cells.trouble.value, kept]).toEqual([null, null, []])
  })

  it('let an answer that comes late be, once the next cell is being typed in', async () => {
    let answer = () => {}
    const { cells, plain } = table(new Promise((resolve) => (answer = resolve)))
    cells.press(plain, 0, 0)
    cells.begin('x')
    const first = cells.choose()
    cells.press(plain, 1, 0)
    cells.begin('5')
    answer()
    await first
    expect(cells.typed.value).toBe('5')
  })
})
