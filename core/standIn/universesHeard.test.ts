import { expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { LOOPBACK, type Protocol } from '../show/entities'
import { universesHeard, waysIn } from './universesHeard'

const PLAIN = { addresses: [], from: LOOPBACK, priority: 100, sync: null, sourceName: 'Rhopander' }

/** Fixtures in universes 2 and 3. */
function patched(): Desk {
  const desk = new Desk()
  desk.do('patchFixtures', { fixtures: desk.fixtures('11,12'), universe: 2, address: 1, gap: 0, apart: 'never' })
  desk.do('patchFixtures', { fixtures: desk.fixtures('13'), universe: 3, address: 1, gap: 0, apart: 'never' })
  return desk
}
const levels = (value: number) => new Uint8Array([value])

it('takes universes back from the numbers outputs send them by, E1.31 before Art-Net, and by their own without outputs', () => {
  const desk = patched()
  const heard = (protocol: Protocol) =>
    new Map(
      protocol === 'E1.31'
        ? [
            [12, levels(1)],
            [3, levels(2)],
          ]
        : [
            [13, levels(3)],
            [3, levels(4)],
          ],
    )
  const seen = () => [...universesHeard(waysIn(desk.show), heard)].map(([universe, [level]]) => [universe, level])
  expect(seen()).toEqual([[3, 2]])
  desk.do('addOutput', { ...PLAIN, name: 'House', protocol: 'E1.31', first: 2, last: 2, sentAs: 12 })
  // Art-Net counts from 0 on the wire: what goes out as 12 is heard as 13.
  desk.do('addOutput', { ...PLAIN, name: 'Node', protocol: 'Art-Net', first: 2, last: 3, sentAs: 11 })
  expect(seen()).toEqual([
    [2, 1],
    [3, 3],
  ])
})
