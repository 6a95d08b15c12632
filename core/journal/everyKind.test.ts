import { expect, it } from 'vitest'
import { JournaledShow } from '../../tests/support/journaledShow'
import { COMMAND_NAMES, RandomArguments, randomFrom } from '../../tests/support/randomCommands'
import { richDesk } from '../../tests/support/richShow'
import { touchedBy } from '../show/changes'
import { declarationOf, KINDS, type Kind } from '../show/kinds'
import type { Show } from '../show/show'

const START = richDesk().show

/** All that is work: not what runs, nor where lists stand, which undo puts right as it is then. */
function workIn({ all }: Show): object {
  const lists = [...all.cueList].map(([id, list]) => [id, { ...list, onStage: null, pausedAt: null }])
  const kinds = KINDS.filter((kind) => declarationOf(kind).concerns !== 'moment' && kind !== 'cueList')
  return {
    lists: new Map(lists.map(([id, list]) => [id, list])),
    ...Object.fromEntries(kinds.map((kind) => [kind, all[kind]])),
  }
}

it('a step that is undone is as if it had not been, and redone as it was, whatever it changed', () => {
  const kinds = new Set<Kind>()
  for (const seed of [1, 2, 3, 4, 5, 6]) {
    const random = randomFrom(seed)
    const at = new JournaledShow(START)
    for (let i = 0; i < 60; i++) {
      const args = new RandomArguments(at.show, [START], random)
      const name = args.pick(COMMAND_NAMES)
      if (!name) continue
      const before = at.show
      const steps = at.entries.length
      if (!at.attempt('anna', name, args.forCommand(name)) || at.entries.at(-1)?.undoable !== true) continue
      const done = at.show
      const changes = at.entries[steps]?.changes ?? []
      if (at.undo('anna')?.kind !== 'toggle') continue
      expect([seed, name, workIn(at.show)]).toEqual([seed, name, workIn(before)])
      at.redo('anna')
      expect([seed, name, workIn(at.show)]).toEqual([seed, name, workIn(done)])
      for (const kind of touchedBy(changes).keys()) kinds.add(kind)
    }
  }
  expect(kinds.size).toBeGreaterThan(18)
})
