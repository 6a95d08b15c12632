import { describe, expect, it } from 'vitest'
import { JournaledShow, PEOPLE, type Person } from '../../tests/support/journaledShow'
import { COMMAND_NAMES, RandomArguments, randomFrom } from '../../tests/support/randomCommands'
import { richDesk } from '../../tests/support/richShow'
import { seeds, Tally } from '../../tests/support/rounds'
import type { CommandName } from '../commands/registry'
import { applyChanges, registerParts } from '../show/changes'
import { nextRedo, nextUndo } from '../../tests/support/foldedJournal'
import type { ChangeGroup } from './history'
import { personId } from '../show/ids'
import { writtenSince } from './undo'
import { danglingReferences } from '../show/references'

const tally = new Tally('Undo of every command')
const START = richDesk().show
const STEPS = 120

/** Commands that take much out, asked for less often than others. */
const SWEEPING: ReadonlySet<CommandName> = new Set<CommandName>([
  'deleteCueList',
  'deleteFixtures',
  'deleteHang',
  'deleteType',
  'restoreShow',
])

/** Tries a command until one is done, or a few were refused. */
function work(at: JournaledShow, person: Person, random: () => number) {
  for (let tries = 0; tries < 6; tries++) {
    const args = new RandomArguments(at.show, [START, at.first], random)
    const name = args.pick(COMMAND_NAMES)
    if (!name || (SWEEPING.has(name) && random() < 0.8)) continue
    if (!at.attempt(person, name, args.forCommand(name))) continue
    tally.count('commands')
    tally.count(name)
    return
  }
}

/** Undoes or redoes, and where that is refused, insists or leaves the step. */
function takeBack(at: JournaledShow, person: Person, direction: 'undo' | 'redo', random: () => number) {
  const next = (direction === 'undo' ? nextUndo : nextRedo)(at.index, personId.parse(person))
  if (!next) return
  tally.count(direction)
  const step = at[direction](person)
  if (step?.kind === 'toggle') loseNothing(at, next)
  if (step?.kind !== 'refused') return
  tally.count('refused')
  const insisted = at[direction](person, random() < 0.8 ? 'anyway' : 'waive')
  tally.count(insisted?.kind === 'anyway' ? 'all the same' : 'left')
  // Whatever was chosen, the way goes on: this step is not asked for again as it is.
  expect(insisted?.kind).not.toBe('refused')
}

/** What somebody wrote later, and still stands, is what undo leaves. */
function loseNothing(at: JournaledShow, step: ChangeGroup) {
  for (const { register, after } of at.entries.at(-1)?.changes ?? []) {
    const { kind, field } = registerParts(register)
    const later = writtenSince(at.index, register, step)
    if (later && kind !== 'cueRun' && field !== 'onStage') expect([register, after]).toEqual([register, later.after])
  }
}

describe('three people who do everything there is, undo, redo and insist', () => {
  it('never meet a fault, lose nobody’s later work unsaid, and leave a show that is what its journal says', () => {
    for (const seed of seeds(25)) {
      const random = randomFrom(seed)
      const at = new JournaledShow(START)
      try {
        for (let i = 0; i < STEPS; i++) {
          const person = PEOPLE[Math.floor(random() * PEOPLE.length)] ?? 'anna'
          // Whoever was taken out and works on is in again first, as at a server.
          if (!at.show.all.person.has(person)) at.attempt(person, 'joinShow', { name: person })
          const what = random()
          if (what < 0.7) work(at, person, random)
          else takeBack(at, person, what < 0.9 ? 'undo' : 'redo', random)
        }
        expect(at.unsound.filter((one) => !one.includes('-none'))).toEqual([])
        expect(danglingReferences(at.show)).toEqual([])
        expect(at.entries.reduce((show, entry) => applyChanges(show, entry.changes), START)).toEqual(at.show)
      } catch (error) {
        throw new Error(`seed ${seed}`, { cause: error })
      }
    }
    expect(tally.of('refused')).toBeGreaterThan(0)
  })
})
