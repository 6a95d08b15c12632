/** A small show for tests: a bar with four profiles, a washer on a boom, a dory with its bow, a shore line. */
import { runCommand, type CommandInput, type CommandName } from '#core/commands/registry'
import type { Outcome } from '#core/commands/command'
import { handOf, stagePicture, type StageFixture } from '#core/cues/onStage'
import { colourOfHex } from '#core/colour/colour'
import { vec3 } from '#core/geometry/vector'
import { applyChanges } from '#core/show/changes'
import type { Attribute } from '#core/attributes/attribute'
import { asFixtureId, commandId, personId, type FixtureId, type PersonId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import type { Value } from '#core/show/values'
import { ShowBuilder } from '#demo/builder'
import { choose, type Choices } from '#demo/choices'
import { harbourHall, SET_PIECES } from '#demo/stage'
import { OSTREL_TYPES } from '#demo/types'

const place = {
  out: 0,
  drop: 0,
  yaw: 0,
  pitch: 0,
  roll: 0,
  universe: null,
  address: null,
  note: '',
  name: '',
  mode: null,
}

/** A second for everything, by angle, when called. */
export const PLAIN_TIMES = { rise: 1, fall: 1, move: null, delay: 0, follow: 'wait', travel: 'angle' } as const

function buildSmallShow(): Show {
  const builder = new ShowBuilder('small', 'anna')
  builder.run('beginShow', { name: 'Small', venue: harbourHall, types: [...OSTREL_TYPES] })
  builder.run('joinShow', { name: 'Anna' })
  builder.run('importTables', {
    hangs: [
      { name: 'Bar', form: 'bar', origin: vec3(0, 0, 7), yaw: 0, rise: 0, length: 8 },
      { name: 'Boom', form: 'boom', origin: vec3(6, 2, 2), yaw: 90, rise: 90, length: 3 },
    ],
    fixtures: [
      ...[-3, -1, 1, 3].map((along, i) => ({ ...place, number: 11 + i, type: 'Tern 700', hang: 'Bar', along })),
      { ...place, number: 41, type: 'Dunlin 400', hang: 'Boom', along: 0.5 },
    ],
    targets: [],
  })
  const dory = SET_PIECES.find((piece) => piece.name === 'Dory')
  if (!dory) throw new Error('the dory is gone')
  builder.run('addSetPiece', { ...dory, position: vec3(-2, 3, 0), yaw: 90 })
  const onDory = choose(builder.show).setPiece('Dory')
  builder.run('addTarget', { name: 'Bow', form: { kind: 'point' }, setPiece: onDory, position: vec3(1.5, 0, 0.8) })
  builder.run('addTarget', { name: 'Mark', form: { kind: 'point' }, setPiece: null, position: vec3(0, 2, 0) })
  builder.run('addTarget', {
    name: 'Shore',
    form: { kind: 'line', to: vec3(6, 0, 0), stations: 4 },
    setPiece: null,
    position: vec3(-3, 1, 0),
  })
  return builder.show
}

const SMALL = buildSmallShow()

/** Someone at work on a show of their own. */
export class Desk {
  show: Show
  readonly person: PersonId
  /** What the clock says, milliseconds. */
  now = 0
  #commands = 0

  constructor(show: Show = SMALL, person = 'anna') {
    this.show = show
    this.person = personId.parse(person)
  }

  get choose(): Choices {
    return choose(this.show)
  }

  fixtures(entry: string): FixtureId[] {
    return this.choose.fixtures(entry)
  }

  fixture(number: number): FixtureId {
    const [id] = this.fixtures(String(number))
    if (!id) throw new Error(`no fixture ${number}`)
    return id
  }

  attempt<N extends CommandName>(name: N, input: CommandInput<N>): Outcome {
    this.#commands += 1
    return runCommand(this.show, name, input, commandId.parse(`${this.person}${this.#commands}`), {
      person: this.person,
      now: this.now,
    })
  }

  /** Runs a command on any arguments; whether it was done. */
  ask(name: CommandName, input: unknown): boolean {
    this.#commands += 1
    const id = commandId.parse(`${this.person}${this.#commands}`)
    const outcome = runCommand(this.show, name, input, id, { person: this.person, now: this.now })
    if (outcome.ok) this.show = applyChanges(this.show, outcome.changes)
    return outcome.ok && outcome.changes.length > 0
  }

  /** Every fixture of the show, wherever it hangs. */
  everyFixture(): FixtureId[] {
    return [...this.show.all.fixture.keys()].map(asFixtureId)
  }

  /** The same person at the same show, from here on apart. */
  copy(): Desk {
    const copy = new Desk(this.show, this.person)
    copy.now = this.now
    copy.#commands = this.#commands
    return copy
  }

  /** Runs a command that must be done; returns its label. */
  do<N extends CommandName>(name: N, input: CommandInput<N>): string {
    const outcome = this.attempt(name, input)
    if (!outcome.ok) throw new Error(`${name}: ${outcome.refusal.message}`)
    this.show = applyChanges(this.show, outcome.changes)
    return outcome.label
  }

  /** Runs a command that must be refused; returns its message. */
  refused<N extends CommandName>(name: N, input: CommandInput<N>): string {
    const outcome = this.attempt(name, input)
    if (outcome.ok) throw new Error(`${name} was not refused: ${outcome.label}`)
    return outcome.refusal.message
  }

  aim(entry: string, target: string, offset = vec3(0, 0, 0)): string {
    return this.do('aimAtTarget', {
      fixtures: this.fixtures(entry),
      target: this.choose.target(target),
      offset,
      along: null,
    })
  }

  level(entry: string, attribute: 'intensity' | 'zoom' | 'edge', number: number): string {
    return this.do('setValue', { fixtures: this.fixtures(entry), attribute, value: { kind: 'number', number } })
  }

  /** Asks for a look, as "#rrggbb". */
  look(entry: string, hex: string): string {
    const colour = colourOfHex(hex)
    if (!colour) throw new Error(`${hex} is no colour`)
    return this.do('setColour', { fixtures: this.fixtures(entry), colour: { kind: 'colour', ...colour } })
  }

  record(number: number, name: string, shelf: CommandInput<'recordPalette'>['shelf'] = 'position'): string {
    return this.do('recordPalette', { number, name, shelf, colour: 'brass' })
  }

  recall(entry: string, palette: number): string {
    return this.do('recallPalette', { palette: this.choose.palette(palette), fixtures: this.fixtures(entry) })
  }

  cue(number: number, name = ''): string {
    return this.do('recordCue', {
      list: this.choose.list(1),
      number,
      name,
      ...PLAIN_TIMES,
    })
  }

  go(number: number | null): string {
    return this.do('goToCue', { list: this.choose.list(1), cue: number === null ? null : this.choose.cue(1, number) })
  }

  /** What is in hand for a fixture by number. */
  held(number: number, attribute: Attribute): Value | undefined {
    return handOf(this.show, this.person).get(this.fixture(number))?.get(attribute)
  }

  /** What the stage shows of a fixture by number. */
  seen(number: number): StageFixture {
    const [id] = this.fixtures(String(number))
    const picture = id && stagePicture(this.show, this.person).get(id)
    if (!picture) throw new Error(`fixture ${number} is not on stage`)
    return picture
  }
}
