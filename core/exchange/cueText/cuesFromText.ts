/** Levels of cue text turned into cues of a show: degrees, aims and links instead of channels. */
import equal from 'fast-deep-equal'
import type { CommandInput } from '../../commands/registry'
import { familyOf, type Attribute } from '../../attributes/attribute'
import { LEADING } from '../../attributes/catalogue'
import type { Family } from '../../attributes/families'
import { patchedIn } from '../../output/patched'
import { receivedValues, type ReceivedValues } from '../../output/received'
import { footprintOf, UNIVERSE_SIZE } from '../../patch/span'
import { linkedOrTied } from '../../refocus/fromLevels'
import type { FixtureId } from '../../show/ids'
import { rigOf } from '../../show/rig'
import type { Show } from '../../show/show'
import { fitsAttribute, type PlainValue } from '../../show/values'
import { Notes, type Note } from '../notes'
import type { CueText, TextCue } from './cueText'

export interface CueTextOptions {
  readonly families: readonly Family[]
  /** Whether palettes that match are linked and other places tied to the stage. */
  readonly isTied: boolean
}

type TakenCue = CommandInput<'takeCues'>['cues'][number]

export interface CuesFromText {
  readonly cues: readonly TakenCue[]
  /** Of all values that come in. */
  readonly values: { readonly links: number; readonly aims: number; readonly loose: number }
  readonly fixtures: number
  readonly notes: readonly Note[]
}

/** Cue after cue; yields how many are done. A value that is as in the cue before is carried on, and not set again. */
export function* cuesFromText(show: Show, text: CueText, options: CueTextOptions): Generator<number, CuesFromText> {
  const meant = fixturesMeant(show, text)
  const given = new Given(show, options)
  const cues: TakenCue[] = []
  let before: ReceivedValues = new Map()
  for (const cue of text.cues) {
    const now = receivedValues(show, levelsOf(show, text, cue))
    const { number, name, rise, fall } = cue
    cues.push({
      number,
      name,
      rise: rise ?? 0,
      fall: fall ?? rise ?? 0,
      values: given.setIn(now, before, meant.fixtures),
    })
    before = now
    yield cues.length
  }
  const values = cues.flatMap((cue) => cue.values.map(({ value }) => value.kind))
  const count = (kind: string) => values.filter((one) => one === kind).length
  const [links, aims] = [count('link'), count('aim')]
  return {
    cues,
    values: { links, aims, loose: values.length - links - aims },
    fixtures: meant.fixtures.size,
    notes: [...text.notes, ...meant.notes],
  }
}

/** Where a channel of the text goes: a universe of the show, its place in it from 0, and the most that is given. */
interface Goal {
  readonly universe: number
  readonly place: number
  readonly most: number
}

function goalsOf({ patch }: CueText, channel: number): Goal[] {
  const dimmers = patch ? (patch.get(channel) ?? []) : [{ dimmer: channel, most: 1 }]
  return dimmers.map(({ dimmer, most }) => ({
    universe: Math.floor((dimmer - 1) / UNIVERSE_SIZE) + 1,
    place: (dimmer - 1) % UNIVERSE_SIZE,
    most,
  }))
}

/** Channels a cue does not say are at 0. */
function levelsOf(show: Show, text: CueText, { levels }: TextCue): Map<number, Uint8Array> {
  const universes = new Map(
    [...patchedIn(show).values()].map(({ universe }) => [universe, new Uint8Array(UNIVERSE_SIZE)]),
  )
  for (const [channel, level] of levels)
    for (const { universe, place, most } of goalsOf(text, channel)) {
      const to = universes.get(universe)
      if (to) to[place] = Math.max(to[place] ?? 0, Math.round(level * most))
    }
  return universes
}

/** The fixtures any cue says something of, and what is said of channels that nothing listens to. */
function fixturesMeant(show: Show, text: CueText) {
  const owners = ownersOf(show)
  const fixtures = new Set<FixtureId>()
  const unknown: number[] = []
  for (const channel of new Set(text.cues.flatMap(({ levels }) => [...levels.keys()]))) {
    const found = goalsOf(text, channel).flatMap(({ universe, place }) => owners.get(`${universe}.${place}`) ?? [])
    for (const fixture of found) fixtures.add(fixture)
    if (found.length === 0) unknown.push(channel)
  }
  const notes = new Notes()
  if (unknown.length > 0)
    notes.lost(
      unknown.length === 1 ? `channel ${unknown[0] ?? ''}` : `${unknown.length} channels`,
      `nothing is patched there: ${unknown.slice(0, 6).join(', ')}${unknown.length > 6 ? ' …' : ''}`,
    )
  return { fixtures, notes: notes.all }
}

/** Who listens to a place of a universe, from 0; a cell listens with its bar. */
function ownersOf(show: Show): ReadonlyMap<string, readonly FixtureId[]> {
  const owners = new Map<string, FixtureId[]>()
  for (const { rigged, universe, address } of patchedIn(show).values())
    for (let i = 0; i < footprintOf(show, (rigged.bar ?? rigged).id); i++) {
      const key = `${universe}.${address - 1 + i}`
      owners.set(key, [...(owners.get(key) ?? []), rigged.id])
    }
  return owners
}

/** Puts values as the show would have them; the same is worked out once. */
class Given {
  readonly #show: Show
  readonly #options: CueTextOptions
  readonly #known = new Map<string, TakenCue['values'][number]['value']>()

  constructor(show: Show, options: CueTextOptions) {
    this.#show = show
    this.#options = options
  }

  /** What changes from one cue to the next. */
  setIn(now: ReceivedValues, before: ReceivedValues, fixtures: ReadonlySet<FixtureId>): TakenCue['values'] {
    return [...fixtures].flatMap((fixture) =>
      [...(now.get(fixture) ?? [])]
        .filter(([attribute, value]) => this.#isWanted(fixture, attribute, value))
        .filter(([attribute, value]) => !equal(before.get(fixture)?.get(attribute), value))
        .map(([attribute, value]) => ({ fixture, attribute, value: this.#given(fixture, attribute, value) })),
    )
  }

  #isWanted(fixture: FixtureId, attribute: Attribute, value: PlainValue): boolean {
    const rigged = rigOf(this.#show).get(fixture)
    // Where a cell points is its bar's.
    const isOwn = attribute !== LEADING.place || rigged?.bar === null
    return isOwn && this.#options.families.includes(familyOf(attribute)) && fitsAttribute({ attribute, value })
  }

  #given(fixture: FixtureId, attribute: Attribute, value: PlainValue) {
    if (!this.#options.isTied) return value
    const key = `${fixture} ${attribute} ${JSON.stringify(value)}`
    const given = this.#known.get(key) ?? linkedOrTied(this.#show, fixture, attribute, value)
    this.#known.set(key, given)
    return given
  }
}
