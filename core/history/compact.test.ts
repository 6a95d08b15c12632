import { expect, it } from 'vitest'
import { compactJson } from '../../tests/support/compactJson'
import { richDesk } from '../../tests/support/richShow'
import { KINDS } from '../show/kinds'
import { checkColumns, ColumnWriter, compactCollections, compactKind, expanded } from './compact'

it('a show in columns is the same show, and less than it is as records', () => {
  const { show } = richDesk()
  const written = compactJson(show)
  const { columns } = compactCollections.parse(JSON.parse(written))
  for (const kind of KINDS) {
    const compact = columns[kind]
    if (!compact) throw new Error(`${kind} is not there`)
    checkColumns(kind, compact)
    expect(expanded(kind, compact)).toEqual(show.all[kind])
  }
  const records = JSON.stringify(KINDS.map((kind) => [kind, [...show.all[kind]]]))
  expect(written.length).toBeLessThan(records.length)
})

it('is written right again after every change, whatever came and went before', () => {
  const desk = richDesk()
  const writer = new ColumnWriter('target')
  for (let i = 0; i < 1500; i++) {
    desk.do('addTarget', { name: `T${i}`, form: { kind: 'point' }, setPiece: null, position: { x: i / 2, y: 0, z: 0 } })
    if (i % 100 > 0) continue
    const targets = new Map([...desk.show.all.target].slice(i % 700))
    const written = compactKind.parse(JSON.parse([...writer.pieces(targets)].join('')))
    expect(expanded('target', written)).toEqual(targets)
    expect(written.values.length).toBeLessThan(5 * targets.size + 3000)
  }
})

it('columns that are not what a kind wants are refused', () => {
  const columns = { name: [0], visible: [1], locked: [1] }
  const layer = { count: 1, values: ['Back', true], ids: [0], columns }
  expect(() => checkColumns('layer', layer)).not.toThrow()
  const wrong = [
    { ...layer, columns: { ...columns, visible: [0] } },
    { ...layer, columns: { ...columns, visible: [9] } },
    { ...layer, columns: { ...columns, visible: [] } },
    { ...layer, columns: { ...columns, more: [0] } },
    { ...layer, columns: { name: [0], visible: [1] } },
    { ...layer, ids: [1] },
    { ...layer, ids: [] },
  ]
  for (const one of wrong) expect(() => checkColumns('layer', one)).toThrow()
  expect(compactCollections.safeParse({ columns: { layer: { ...layer, ids: [-1] } } }).success).toBe(false)
})
