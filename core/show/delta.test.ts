import { expect, it } from 'vitest'
import { JournaledShow } from '../../tests/support/journaledShow'
import { COMMAND_NAMES, RandomArguments, randomFrom } from '../../tests/support/randomCommands'
import { richDesk } from '../../tests/support/richShow'
import { deltaBetween, withDelta } from './delta'

const START = richDesk().show

it('what differs makes one show the other, whatever was done, and copies survive the way to another thread', () => {
  for (const seed of [1, 2, 3]) {
    const random = randomFrom(seed)
    const at = new JournaledShow(START)
    let copy = structuredClone(at.show)
    for (let i = 0; i < 60; i++) {
      const before = at.show
      const args = new RandomArguments(at.show, [START, at.first], random)
      const name = args.pick(COMMAND_NAMES)
      if (name) at.attempt('anna', name, args.forCommand(name))
      const delta = structuredClone(deltaBetween(before, at.show))
      copy = withDelta(copy, delta)
      expect(copy.all).toEqual(at.show.all)
      if (before === at.show) expect(delta).toEqual({})
    }
  }
})
