import { readFile } from 'node:fs/promises'
import { beforeEach, describe, expect, it } from 'vitest'
import { COMMANDS } from '#core/commands/registry'
import { Desk } from '../../../tests/support/smallShow'
import { useTableImport } from './useTableImport'

const file = async (name: string) =>
  new File([await readFile(`tests/browser/rigs/quay-studio-${name}.csv`)], `${name}.csv`)
let desk: Desk
let rig: ReturnType<typeof useTableImport>
beforeEach(() => {
  desk = new Desk()
  rig = useTableImport(
    () => desk.show,
    () => null,
  )
})
const problems = () =>
  rig.tables.value.flatMap(({ reading }) =>
    reading.kind === 'unknown' ? [reading.message] : reading.problems.map(({ message }) => message),
  )

describe('tables of a rig that are read', () => {
  it('know each other: fixtures may hang on what comes with them, in whatever order', async () => {
    await rig.addFile(await file('rig'))
    expect(problems().length).toBeGreaterThan(0)
    expect(rig.rows.value.fixtures).toEqual([])
    await rig.addFile(await file('hangs'))
    await rig.addFile(await file('targets'))
    expect(problems()).toEqual([])
    const { hangs, fixtures, targets } = rig.rows.value
    expect([hangs.length, targets.length > 0]).toEqual([7, true])
    expect(fixtures.every(({ hang }) => hangs.some(({ name }) => name === hang))).toBe(true)
    const input = COMMANDS.importTables.input.safeParse({ hangs, fixtures, targets })
    expect(input.error?.issues ?? []).toEqual([])
  })

  it('are left out one by one, and what hung on them says so again', async () => {
    await rig.addFile(await file('hangs'))
    await rig.addFile(await file('rig'))
    const taken = rig.rows.value.fixtures.length
    rig.drop(0)
    expect(rig.tables.value.map(({ name }) => name)).toEqual(['rig.csv'])
    expect([taken > 0, rig.rows.value.fixtures.length]).toEqual([true, 0])
    rig.reset()
    expect([rig.tables.value, Object.values(rig.rows.value).flat()]).toEqual([[], []])
  })

  it('are taken by comma, semicolon or tab, with the mark some programs put before them', () => {
    for (const [i, separator] of [',', ';', '\t'].entries())
      rig.addText(`${i}`, `\uFEFFhang,x,y,z,length\nBar ${i},0,${i},6,9`.replaceAll(',', separator))
    expect(rig.rows.value.hangs.map(({ name, origin }) => [name, origin.y])).toEqual([
      ['Bar 0', 0],
      ['Bar 1', 1],
      ['Bar 2', 2],
    ])
  })

  it('that are no rig are told: too large, or with headings nobody knows', async () => {
    await rig.addFile(new File([new Uint8Array(4_000_001)], 'film.mov'))
    expect([rig.trouble.value, rig.tables.value]).toEqual([expect.stringContaining('film.mov is larger'), []])
    rig.addText('list', 'apples,pears\n1,2')
    expect(rig.trouble.value).toBeNull()
    expect(rig.tables.value[0]?.reading.kind).toBe('unknown')
  })
})
