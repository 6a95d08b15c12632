import { describe, expect, it } from 'vitest'
import { vec3 } from '../../geometry/vector'
import { rigOf } from '../../show/rig'
import { Desk } from '../../../tests/support/smallShow'
import type { FixtureRow } from '../shared/fixtureRows'

const hang = { name: 'Bridge', form: 'bridge', origin: vec3(0, -3, 7), yaw: 0, rise: 0, length: 8 } as const
const row: FixtureRow = {
  number: 1,
  name: '',
  type: 'plover 250',
  mode: null,
  hang: ' BRIDGE ',
  along: 2,
  out: 0.1,
  drop: 0.2,
  yaw: 0,
  pitch: 0,
  roll: 0,
  universe: 1,
  address: 1,
  note: '',
}
const rows = (fixtures: FixtureRow[]) => ({
  hangs: [hang],
  fixtures,
  targets: [{ name: 'Door', position: vec3(1, 1, 1) }],
})

describe('importTables', () => {
  it('hangs fixtures on what comes with them, whatever the case of names', () => {
    const desk = new Desk()
    expect(desk.do('importTables', rows([row]))).toBe('import 1 hang, 1 fixture, 1 target')
    const [id] = desk.fixtures('1')
    const rigged = id && rigOf(desk.show).get(id)
    expect(rigged?.mount.pivot).toEqual(vec3(2, -2.9, 7 - 0.2 - 0.29))
    desk.aim('1', 'Door')
    expect(desk.seen(1).position.state).toBe('reached')
  })

  it.each([
    [{ number: 11 }, 'Number 11 is taken.'],
    [{ hang: 'Nowhere' }, 'Fixture 1: there is no hang called Nowhere.'],
    [{ type: 'Gull' }, 'Fixture 1: there is no fixture type called Gull.'],
  ])('refuses %o and brings nothing of the rest', (wrong, message) => {
    const desk = new Desk()
    expect(desk.refused('importTables', rows([{ ...row, ...wrong }]))).toBe(message)
    expect([...desk.show.all.hang.values()].map((h) => h.name)).not.toContain('Bridge')
  })

  it('refuses hangs and targets that are there already', () => {
    const desk = new Desk()
    expect(desk.refused('importTables', { hangs: [{ ...hang, name: 'bar' }], fixtures: [], targets: [] })).toContain(
      'two hangs called bar',
    )
    expect(
      desk.refused('importTables', { hangs: [], fixtures: [], targets: [{ name: 'Mark', position: vec3(0, 0, 0) }] }),
    ).toContain('two targets')
  })
})
