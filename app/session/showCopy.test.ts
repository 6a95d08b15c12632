import { describe, expect, it } from 'vitest'
import { compactJson } from '../../tests/support/compactJson'
import { JournaledShow } from '../../tests/support/journaledShow'
import { COMMAND_NAMES, RandomArguments, randomFrom } from '../../tests/support/randomCommands'
import { richDesk } from '../../tests/support/richShow'
import { deltaBetween } from '#core/show/delta'
import { applyChanges } from '#core/show/changes'
import { runCommand } from '#core/commands/registry'
import { commandId, personId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { consequencesOf, ShowCopy } from './showCopy'

const START = new JournaledShow(richDesk().show).show

const bytesOf = (show: Show): ArrayBuffer =>
  new TextEncoder().encode(`{"id":${JSON.stringify(show.id)},"revision":0,"all":${compactJson(show)}}`).buffer

function copyOf(show: Show): ShowCopy {
  const copy = new ShowCopy()
  expect(copy.hold(bytesOf(show))).toBe(true)
  return copy
}

describe('a copy beside the page', () => {
  it('tells what a change carries along just as the page would, whatever was done before', () => {
    const random = randomFrom(18)
    const at = new JournaledShow(START)
    const copy = copyOf(START)
    let held = START
    let told = 0
    for (let i = 0; i < 250; i++) {
      const args = new RandomArguments(at.show, [START], random)
      const name = args.pick(COMMAND_NAMES)
      if (!name) continue
      const input = args.forCommand(name)
      const asked = { person: personId.parse('anna'), now: at.now }
      const outcome = runCommand(at.show, name, input, commandId.parse(`look${i}`), asked)
      if (outcome.ok && outcome.changes.length > 0) {
        const after = applyChanges(at.show, outcome.changes)
        const toSeen = structuredClone(deltaBetween(held, at.show))
        held = at.show
        const found = copy.consequences(toSeen, structuredClone(deltaBetween(at.show, after)), true)
        expect(found).toEqual(consequencesOf(at.show, after, true))
        told += found.effects.cues.length + found.effects.palettes.length
      }
      if (random() < 0.5) at.attempt('anna', name, input)
    }
    expect(told).toBeGreaterThan(10)
  })

  it('finds a snapshot that is none, and says so when nothing was handed over', () => {
    expect(new ShowCopy().hold(new TextEncoder().encode('{"id":"s"}').buffer)).toBe(false)
    expect(() => new ShowCopy().consequences({}, {}, false)).toThrow('no show was handed over')
  })
})
