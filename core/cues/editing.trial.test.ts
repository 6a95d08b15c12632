import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { RandomArguments, randomFrom } from '../../tests/support/randomCommands'
import { richDesk } from '../../tests/support/richShow'
import { rounds, Tally } from '../../tests/support/rounds'
import type { CommandName } from '../commands/registry'
import type { Desk } from '../../tests/support/smallShow'
import { WHERE } from './editing'
import type { CueId } from '../show/ids'
import type { Show } from '../show/show'

const tally = new Tally('Edits of cues')
const START = richDesk()

/** What every cue of every list holds, by `cue fixture attribute`, read off cue by cue; nothing where it has let go. */
function slowly(show: Show): Map<string, string> {
  const held = new Map<string, string>()
  for (const list of show.all.cueList.keys()) {
    const cues = [...show.all.cue].filter(([, cue]) => cue.list === list).sort(([, a], [, b]) => a.number - b.number)
    const carried = new Map<string, string>()
    for (const [id] of cues) {
      for (const stored of show.all.cueValue.values()) {
        if (stored.cue !== id) continue
        const key = `${stored.fixture} ${stored.attribute}`
        if (stored.value.kind === 'rest') carried.delete(key)
        else carried.set(key, JSON.stringify(stored.value))
      }
      for (const [key, value] of carried) held.set(`${id} ${key}`, value)
    }
  }
  return held
}

const EDITS = ['setNumberInCues', 'setPaletteInCues', 'setRestInCues', 'storeInCue'] as const
const SHAPING = ['blockInCues', 'unblockInCues', 'takeOutOfCues', 'insertCue', 'copyInCues', 'keepingOut'] as const

/** Cues before the first that is changed, of the same list; of other lists all. */
function untouchedBy(show: Show, cues: readonly CueId[]): Set<string> {
  const changed = cues.flatMap((id) => show.all.cue.get(id) ?? [])
  const isBefore = (list: string, number: number) => changed.every((cue) => cue.list !== list || number < cue.number)
  return new Set([...show.all.cue].filter(([, cue]) => isBefore(cue.list, cue.number)).map(([id]) => id))
}

function run(desk: Desk, name: CommandName, input: unknown): boolean {
  const outcome = desk.ask(name, input)
  if (outcome) tally.count(name)
  return outcome
}

describe('edits of cues, on lists with blocks, holds, links and values let go', () => {
  it('for one cue only leave every other as it was; any other leaves those before and other lists', () => {
    fc.assert(
      fc.property(fc.nat({ max: 1e9 }), fc.constantFrom(...WHERE), (seed, where) => {
        const random = randomFrom(seed)
        const desk = START.copy()
        const args = () => new RandomArguments(desk.show, [desk.show], random)
        for (let i = 0; i < 12; i++) {
          const shaping = args().pick(SHAPING) ?? 'insertCue'
          run(desk, shaping, args().forCommand(shaping))
          const name = args().pick(EDITS) ?? 'setRestInCues'
          const made = Object(args().forCommand(name))
          const [cue] = 'cues' in made ? made.cues : [made.cue]
          const input = { ...made, where, ...('cues' in made ? { cues: [cue] } : {}) }
          const before = slowly(desk.show)
          const earlier = untouchedBy(desk.show, [cue])
          if (!run(desk, name, input)) continue
          const after = slowly(desk.show)
          const isOther = (key: string) => {
            const [of = ''] = key.split(' ')
            return where === 'here only' ? of !== cue : where === 'here and on' && earlier.has(of)
          }
          const others = (held: Map<string, string>) => new Map([...held].filter(([key]) => isOther(key)))
          expect([name, input, others(after)]).toEqual([name, input, others(before)])
        }
      }),
      rounds(60),
    )
  })
})
