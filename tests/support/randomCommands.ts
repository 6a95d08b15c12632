/**
 * Commands of every kind with arguments made at random: by the command's own input schema, with ids
 * of things that are in the show. Most are done, some refused.
 */
import { venueSheet } from '#core/refocus/venueSheet'
import { attributeId, isNumberAttribute, numberAttributeId } from '#core/attributes/attribute'
import { channelRole, LISTED_ROLES } from '#core/attributes/channelRole'
import { attributesInUse } from '#core/show/attributesKnown'
import { z } from 'zod'
import { COMMANDS, type CommandName } from '#core/commands/registry'
import { plainCollections } from '#core/history/collections'
import { duplicatePalettes } from '#core/palettes/duplicates'
import { print, type CueValue, type FixtureType } from '#core/show/entities'
import type { Kind } from '#core/show/kinds'
import { modesOf } from '#core/show/modes'
import { partsOf } from '#core/show/colours'
import { LEADING } from '#core/attributes/catalogue'
import * as ids from '#core/show/ids'
import { colourPartId } from '#core/show/values'
import type { Show } from '#core/show/show'

/** Which things a field of ids speaks of: all ids are one schema, so their fields tell them apart. */
const KIND_OF: Readonly<Record<string, Kind>> = {
  fixture: 'fixture',
  fixtures: 'fixture',
  fixtureType: 'fixtureType',
  type: 'fixtureType',
  mode: 'fixtureMode',
  venue: 'venue',
  layer: 'layer',
  hang: 'hang',
  sightings: 'sighting',
  bindings: 'controlBinding',
  letGo: 'fixture',
  setPiece: 'setPiece',
  target: 'target',
  targets: 'target',
  group: 'group',
  groups: 'group',
  workingSet: 'workingSet',
  palette: 'palette',
  palettes: 'palette',
  keep: 'palette',
  others: 'palette',
  list: 'cueList',
  inCue: 'cue',
  cue: 'cue',
  cues: 'cue',
  after: 'cue',
  before: 'cue',
  parts: 'fixture',
  own: 'fixture',
  kind: 'fixtureType',
  person: 'person',
  from: 'venue',
  only: 'fixture',
  notes: 'cueNote',
  output: 'output',
}
/** Fields that speak of other things in some commands. */
const KIND_IN: Readonly<Partial<Record<CommandName, Readonly<Record<string, Kind>>>>> = {
  copyInCues: { from: 'cue', to: 'cue' },
  copyValues: { from: 'fixture', to: 'fixture' },
  replaceFixture: { from: 'fixture', to: 'fixture' },
  replacePaletteInCues: { from: 'palette', to: 'palette' },
  deletePalettes: { to: 'palette' },
  judgeSweepsAgain: { sweeps: 'acceptedSweep' },
  deleteHang: { to: 'hang' },
  deleteType: { to: 'fixtureType' },
  changeType: { id: 'fixtureMode' },
}
const NAMED_KIND: Readonly<Record<string, 'hang' | 'fixtureType' | 'setPiece'>> = {
  hang: 'hang',
  type: 'fixtureType',
  setPiece: 'setPiece',
}

export const COMMAND_NAMES: readonly CommandName[] = Object.keys(COMMANDS).filter((name): name is CommandName =>
  Object.hasOwn(COMMANDS, name),
)

/** A random number from 0 to 1, the same ones for the same seed (mulberry32). */
export function randomFrom(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** Normal deviates by Box and Muller. */
export function normalFrom(random: () => number): () => number {
  return () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
}

/** Makes arguments for commands on a show; `past` are states a show can be restored to. */
export class RandomArguments {
  #command: CommandName = 'goHome'

  constructor(
    private readonly show: Show,
    private readonly past: readonly Show[],
    private readonly random: () => number,
  ) {}

  pick<T>(from: readonly T[]): T | undefined {
    return from[Math.floor(this.random() * from.length)]
  }

  /** Arguments for a command. */
  forCommand(name: CommandName): unknown {
    this.#command = name
    switch (name) {
      case 'keepingOut':
        return this.#keepingOut()
      case 'restoreShow':
        return this.#restoreShow()
      case 'addType':
      case 'changeType':
        return this.#type(name)
      case 'acceptSweeps': {
        const zone = this.pick([...this.show.all.venue.values()].flatMap(({ keepClear }) => keepClear))?.name ?? 'none'
        return { sweeps: [{ cue: this.#id('cue'), fixture: this.#id('fixture'), zone }], reason: 'Meant so' }
      }
      case 'followAgain':
        return { values: this.#cueValues(({ mark }) => mark === 'held') }
      case 'mergePalettes': {
        const [keep, ...others] = this.pick(duplicatePalettes(this.show)) ?? ['none', 'none']
        return { keep, others }
      }
      case 'replacePaletteInCues': {
        const linked = [...this.show.all.cueValue.values()].flatMap(({ value }) =>
          value.kind === 'link' ? [value.palette] : [],
        )
        return { from: this.pick(linked) ?? 'none', to: this.#id('palette'), cues: null, fixtures: null }
      }
      case 'followOn': {
        const list = this.pick([...this.show.all.cueList])
        return { list: list?.[0] ?? 'none', after: list?.[1].onStage ?? 'none' }
      }
      default:
        return this.#perVenue(name) ?? this.#perFile(name) ?? this.of(COMMANDS[name].input, '')
    }
  }

  /** Of what each venue has for itself; null for commands about anything else. */
  #perVenue(name: CommandName): unknown {
    const touchUps = [...this.show.all.touchUp.values()].filter(() => this.random() < 0.5)
    const named = touchUps.map(({ venue, palette, fixture }) => ({ venue, palette, fixture }))
    if (name === 'setInVenues') return { cells: [this.#venueCell(), this.#venueCell()] }
    if (name === 'clearTouchUps' || name === 'makeTouchUpsGood') return { touchUps: named }
    if (name === 'moveTargetByTouchUps') return { touchUps: named.slice(0, 1) }
    return name === 'noteTouchUps' ? { touchUps: named, note: 'Too high' } : null
  }

  /** A type that is there, anew or changed: one made of random parts is hardly ever sound. */
  #type(name: 'addType' | 'changeType'): unknown {
    const [id, type] = this.pick([...this.show.all.fixtureType]) ?? ['none', null]
    const modes = modesOf(this.show, id).map((of) => ({
      name: `${of.mode.name} ${this.pick(['', 'A', 'B'])}`.trim(),
      channels: of.mode.channels,
      ...(name === 'changeType' ? { id: this.random() < 0.7 ? of.id : null } : {}),
    }))
    const named = { ...type, name: this.pick(['Heron', 'Knot', 'Ruff', 'Stint']), cells: this.#cells(type), modes }
    return name === 'changeType' ? { ...named, type: id } : named
  }

  /** Hangs and targets at random, and fixtures that are there hung elsewhere, or one that is new. */
  #takenRig(): unknown {
    const known = this.pick([...this.show.all.fixture].filter(([, { bar }]) => bar === null))
    if (!known) return { types: [], hangs: [], fixtures: [], targets: [], pieces: [], ...this.#takenFile() }
    const [id, { number, name, type, mode, universe, address, note }] = known
    const fixture = { number, name, type, universe, address, note }
    const place = {
      hang: this.#id('hang'),
      along: this.random() * 4,
      out: 0,
      drop: 0.1,
      yaw: 90 * this.random(),
      pitch: 0,
      roll: 0,
    }
    const called = { ...fixture, mode: this.show.all.fixtureMode.get(mode ?? '')?.name ?? null, ...place }
    const isNew = this.random() < 0.3
    const nth = Math.floor(this.random() * 5)
    const origin = { x: nth, y: 1 + nth, z: 5 }
    return {
      types: [],
      hangs:
        this.random() < 0.3
          ? [{ hang: `taken-${nth}`, name: `Taken ${nth}`, form: 'bar', origin, yaw: 10, rise: 0, length: 4 }]
          : [],
      fixtures: [
        isNew
          ? {
              ...called,
              fixture: `taken-${Math.floor(this.random() * 9)}`,
              number: 7000 + Math.floor(this.random() * 900),
            }
          : { ...called, fixture: id },
      ],
      targets:
        this.random() < 0.5
          ? [
              {
                target: this.random() < 0.5 ? this.#id('target') : `taken-${nth}`,
                name: `Taken ${nth}`,
                position: origin,
              },
            ]
          : [],
      pieces: [],
      groups: this.#takenGroups(),
      underlays: this.#underlays(),
      ...this.#takenFile(),
    }
  }

  #takenGroups() {
    if (this.random() < 0.7) return []
    const fixtures = new Set([this.#id('fixture'), this.#id('fixture')])
    return [{ name: this.pick(['Washes', 'Taken']), fixtures: [...fixtures] }]
  }

  /** Of files of other programs; null for commands about anything else. */
  #perFile(name: CommandName): unknown {
    if (name === 'takeRig') return this.#takenRig()
    if (name === 'changeUnderlay' || name === 'deleteUnderlay') return this.#underlay(name)
    if (name !== 'forgetFile') return null
    const kind = this.pick(['rigFile', 'typeFile'] as const) ?? 'rigFile'
    return { kind, id: this.pick([...this.show.all[kind].keys()]) ?? 'none' }
  }

  /** The file that is stored with shows that are tested, kept now and then. */
  #takenFile() {
    const kept = this.pick([...this.show.all.rigFile])
    if (!kept || this.random() < 0.5) return {}
    const [id, { name, digest, size, leftHanded, mirrored, turn, shift }] = kept
    const replaces = this.random() < 0.5 ? id : null
    const rig = this.random() < 0.5 ? { mirrored, turn: turn / 2, shift, replaces } : null
    const types = [...this.show.all.fixtureType.keys()].filter(() => this.random() < 0.3)
    const typeFiles = types.map((type) => ({ type, entry: 'tern.gdtf', part: 0 }))
    return { typeFiles, file: { name, digest, size, leftHanded, rig } }
  }

  #underlay(name: 'changeUnderlay' | 'deleteUnderlay'): unknown {
    const underlay = this.pick([...this.show.all.underlay.keys()]) ?? 'none'
    if (name === 'deleteUnderlay') return { underlay }
    const some = { turn: this.pick([0, 90]), x: this.random() * 10, visible: this.random() < 0.5, hidden: ['walls'] }
    return { underlay, ...some, ...(this.random() < 0.3 ? { name: this.pick(['Plan', 'plan ', 'Ground']) } : {}) }
  }

  /** A drawing of the file that is stored, under one of two names. */
  #underlays() {
    const kept = this.pick([...this.show.all.rigFile.values(), ...this.show.all.underlay.values()])
    if (!kept || this.random() < 0.6) return []
    const { digest, size } = kept
    const place = { scale: 1 + this.random(), mirrored: this.random() < 0.5, turn: 90, x: this.random(), y: -1 }
    return [{ name: this.pick(['Plan', 'Ground']), digest, size, form: 'lines', width: 12, height: 8.5, ...place }]
  }

  /** As they are, or others, or none. */
  #cells(type: FixtureType | null) {
    const own = type?.has.filter((attribute) => attribute !== 'position' && this.random() < 0.5) ?? []
    const some = { count: this.pick([2, 3, 9]), pitch: 0.1, has: own.length > 0 ? own : ['intensity'] }
    return this.pick([type?.cells ?? null, some, null])
  }

  /** Any cell of the venues' sheet, now and then absent, or played by another fixture. */
  #venueCell(): unknown {
    const { kind, id, what, unit } = this.pick(venueSheet(this.show)) ?? {
      kind: 'hang',
      id: 'none',
      what: 'trim',
      unit: 'm',
    }
    const words = [...this.show.all.hang.values()].map(({ name }) => name)
    const by = [...this.show.all.fixture.values()].map(({ number }) => `by ${number}`)
    const number = Math.round(this.random() * 600) / 100
    const value = this.random() < 0.15 ? null : unit === '' ? this.pick([...words, ...by]) : number
    return { kind, id, what, venue: this.pick([...this.show.all.venue.keys()]), value }
  }

  #cueValues(wanted: (stored: CueValue) => boolean) {
    const found = [...this.show.all.cueValue.values()].filter(wanted)
    return found.slice(0, 3).map(({ cue, fixture, attribute }) => ({ cue, fixture, attribute }))
  }

  #keepingOut(): unknown {
    const name = this.pick(['moveTarget', 'moveHang', 'moveSetPiece', 'updatePalettes', 'switchVenue'] as const)
    const some = (kind: 'fixture' | 'cue') => [...this.show.all[kind].keys()].filter(() => this.random() < 0.3)
    const keepOut = { fixtures: some('fixture'), cues: some('cue'), families: this.random() < 0.3 ? ['position'] : [] }
    return { name, input: this.forCommand(name ?? 'moveTarget'), keepOut }
  }

  #restoreShow(): unknown {
    const show = this.pick(this.past) ?? this.show
    return { name: 'An earlier state', contents: plainCollections(show) }
  }

  /** What some schemas of the show's own take; undefined for others. */
  #named(schema: unknown, field: string): unknown {
    if (schema === ids.fixtureId) return this.#id(field)
    if (schema === print.shape.lines) return this.pick(['', '0123456789ab01234567'])
    if (schema === channelRole) return this.pick(LISTED_ROLES)
    if (schema === colourPartId) return this.pick(this.#parts())
    // Where every type was deleted, none is in use.
    if (schema === attributeId) return this.pick(attributesInUse(this.show)) ?? LEADING.light
    if (schema === numberAttributeId) return this.#numberAttribute()
    // What cells may have of their own.
    if (schema instanceof z.ZodCustom && field === 'has') return this.#numberAttribute()
    return undefined
  }

  /** A value that a schema takes, as far as it can be told from the schema and the name of its field. */
  of(schema: unknown, field: string): unknown {
    const named = this.#named(schema, field)
    if (named !== undefined) return named
    if (schema instanceof z.ZodObject) return this.#object(schema)
    if (schema instanceof z.ZodArray) return this.#array(schema, field)
    if (schema instanceof z.ZodRecord)
      return { [String(this.of(schema.keyType, field))]: this.of(schema.valueType, field) }
    if (schema instanceof z.ZodNullable) return this.random() < 0.3 ? null : this.of(schema.unwrap(), field)
    if (schema instanceof z.ZodOptional) return this.random() < 0.5 ? undefined : this.of(schema.unwrap(), field)
    if (schema instanceof z.ZodDefault) return this.of(schema.unwrap(), field)
    if (schema instanceof z.ZodPipe) return this.of(schema.out, field)
    if (schema instanceof z.ZodUnion) return this.of(this.pick(schema.options), field)
    if (schema instanceof z.ZodEnum) return this.pick(schema.options)
    if (schema instanceof z.ZodLiteral) return [...schema.values][0]
    if (schema instanceof z.ZodBoolean) return this.random() < 0.5
    if (schema instanceof z.ZodIPv4) return this.pick(['127.0.0.1', '10.0.0.7'])
    if (schema instanceof z.ZodISODate) return this.pick(['2031-05-02', '2031-06-11'])
    if (schema instanceof z.ZodNumber) return this.#number(schema)
    if (schema instanceof z.ZodString) return this.#text(schema, field)
    throw new RangeError(`${this.#command} ${field}: no arguments are known for ${String(schema?.constructor.name)}`)
  }

  #numberAttribute() {
    return this.pick(attributesInUse(this.show).filter(isNumberAttribute)) ?? LEADING.light
  }

  /** What the types of the show mix of. */
  #parts() {
    return [...this.show.all.fixtureType.values()].flatMap(partsOf)
  }

  #id(field: string): string {
    const kind = KIND_IN[this.#command]?.[field] ?? KIND_OF[field]
    if (!kind) throw new RangeError(`${this.#command}: what ids stand in ${field} is not known`)
    return this.pick([...this.show.all[kind].keys()]) ?? `${kind}-none`
  }

  #object(schema: z.ZodObject): unknown {
    const entries = Object.entries(schema.shape).map(([field, of]) => [field, this.of(of, field)] as const)
    return Object.fromEntries(entries.filter(([, value]) => value !== undefined))
  }

  #array(schema: z.ZodArray, field: string): unknown[] {
    const length = this.pick([1, 1, 2, 3, 4]) ?? 1
    const items = Array.from({ length }, () => this.of(schema.element, field))
    return [...new Map(items.map((item) => [JSON.stringify(item), item])).values()]
  }

  #number(schema: z.ZodNumber): number {
    const low = Math.max(schema.minValue ?? -12, -12)
    const high = Math.min(schema.maxValue ?? 12, 12)
    const number = low + this.random() * (high - low)
    if (schema.isInt || high - low > 2) return Math.min(Math.floor(high), Math.max(Math.ceil(low), Math.round(number)))
    return Math.round(number * 1000) / 1000
  }

  #text(schema: z.ZodString, field: string): string {
    const named = NAMED_KIND[field]
    const names = named ? [...this.show.all[named].values()].map(({ name }) => name) : []
    const text = this.pick([...names, 'North', 'South', 'East', 'West', 'Lantern', 'Oar']) ?? 'North'
    return text.slice(0, schema.maxLength ?? 20)
  }
}
