import { describe, expect, it } from 'vitest'
import { plover, tern } from '#demo/types'
import { roleName } from '#core/attributes/channelRole'
import { channelRows, rolesFor, typedInto, type ChannelRow } from './channelRows'

const rows = channelRows(tern.modes[0]?.channels ?? [])
function rowOf(name: string, part = 0): ChannelRow {
  const row = rows.find((one) => one.channel.name === name && one.part === part)
  if (!row) throw new Error(`no ${name} ${part}`)
  return row
}
const typed = (row: ChannelRow, column: string, text: string) => typedInto(row, column, text, rolesFor(tern))

describe('the channels of a mode as rows', () => {
  it('are one for each thing a channel does, in the order of channels and levels', () => {
    const strobe = rows.filter(({ channel }) => channel.name === 'Strobe')
    expect(strobe.map(({ part, does }) => `${part} ${does.first}–${does.last}`)).toEqual([
      '0 0–7',
      '1 8–15',
      '2 16–131',
      '3 132–193',
      '4 194–255',
    ])
    expect(new Set(rows.map(({ id }) => id)).size).toBe(rows.length)
  })

  it('take what is typed at the channel or at its function, wherever the column stands for', () => {
    const pulses = rowOf('Strobe', 3)
    expect(typed(pulses, 'name', 'Flicker')).toMatchObject({ name: 'Strobe', functions: { 3: { name: 'Flicker' } } })
    expect(typed(rowOf('Strobe'), 'name', 'Shutter')).toMatchObject({ name: 'Shutter' })
    expect(typed(pulses, 'levels', '140 – 150')).toMatchObject({ functions: { 3: { first: 140, last: 150 } } })
    expect(typed(pulses, 'levels', '7')).toMatchObject({ functions: { 3: { first: 7, last: 7 } } })
    expect(typed(pulses, 'to', '12,5')).toMatchObject({ functions: { 3: { to: 12.5 } } })
    expect(typed(pulses, 'does', 'random strobe')).toMatchObject({ functions: { 3: { does: 'strobeRandom' } } })
    expect(typed(rowOf('Zoom'), 'coarse', '9')).toMatchObject({ coarse: 9 })
  })

  it('take none, one or two finer bytes', () => {
    const zoom = rowOf('Zoom')
    expect(typed(zoom, 'fine', '')).toMatchObject({ fine: null, finest: null })
    expect(typed(zoom, 'fine', '10')).toMatchObject({ fine: 10, finest: null })
    expect(typed(zoom, 'fine', '10, 11')).toMatchObject({ fine: 10, finest: 11 })
    for (const text of ['10 11 12', 'x']) expect(typed(zoom, 'fine', text)).toMatch(/at most two channels/)
  })

  it('say what is wrong with what is typed', () => {
    expect(typed(rowOf('Zoom'), 'does', 'smell')).toMatch(/nothing of that name/)
    expect(typed(rowOf('Zoom'), 'levels', 'all')).toMatch(/two whole numbers/)
    expect(typeof typed(rowOf('Zoom'), 'from', 'wide')).toBe('string')
  })

  it('offer first what the type has, and everything else once', () => {
    const roles = rolesFor({ ...plover, has: [...plover.has, 'extra:beam:Fan_pace'] })
    expect(roles.slice(0, 4)).toEqual(['pan', 'tilt', 'intensity', 'strobe'])
    expect(new Set(roles).size).toBe(roles.length)
    expect(roles.map(roleName)).toContain('Fan pace')
  })
})
