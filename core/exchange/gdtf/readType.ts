/**
 * Reads a fixture type in the open exchange format (DIN SPEC 15800): what turns, shines and mixes,
 * how its modes listen, and what of it cannot be said here.
 */
import { inCatalogueOrder, isNumberAttribute, kindOf, type Attribute } from '../../attributes/attribute'
import { LEADING } from '../../attributes/catalogue'
import { isColourPart } from '../../attributes/colourPart'
import { typeWithModes, type TypeWithModes } from '../../commands/shared/typeWithModes'
import { distance } from '../../geometry/vector'
import { issueInWords } from '../../show/faults'
import type { Channel } from '../../show/entities'
import { attributeOf, childOf, childrenOf, NotReadable, numberOfAttribute, parseXml, type Element } from '../xml/xml'
import { channelFrom, type ChannelContext, type Definitions } from './modeChannels'
import { Notes, type Note } from '../notes'
import type { ReadFunction } from './readChannels'
import { readMixing } from './readMixing'
import { functionsOf, readModes, type ModeBreak, type ReadMode } from './readModes'
import { readWheels, type WheelUse } from './readWheels'
import { rolesOf, type StandardRole } from './standardAttributes'
import { readAxis, readOptics } from './typeAxes'
import { readRanges } from './typeRanges'

export const AXES = ['pan', 'tilt'] as const

/** What the standard leaves open: which way round the axes count. */
export interface TypeOptions {
  readonly leftHanded: readonly (typeof AXES)[number][]
}
export const NATURAL: TypeOptions = { leftHanded: [] }

export interface ReadFixtureType {
  readonly type: TypeWithModes
  /** The addresses each mode takes, by its name. */
  readonly breaks: ReadonlyMap<string, readonly ModeBreak[]>
}

export interface TypeReading {
  /** One, or one for each number of cells, where modes make different ones of it. */
  readonly types: readonly ReadFixtureType[]
  /** The id the file gives the type, the same from version to version. */
  readonly id: string
  readonly notes: readonly Note[]
}

/** Reads the description of a type; throws NotReadable with the reason. */
export function readType(xml: string, options: TypeOptions = NATURAL): TypeReading {
  const root = parseXml(xml).documentElement
  const type = childOf(root, 'FixtureType')
  if (root?.localName !== 'GDTF' || !type) throw new NotReadable('it is no description of a fixture type')
  const notes = new Notes()
  const modes = readModes(type, notes).map((mode) => counted(mode, options))
  if (modes.length === 0) throw new NotReadable('it has no mode, so nobody knows what its channels do')
  const counts = [...new Set(modes.map(({ cells }) => cells.length))].sort((a, b) => a - b)
  const types = counts.map((count) => {
    const ofCount = modes.filter(({ cells }) => cells.length === count)
    const ending = count > 0 && counts.length > 1 ? `, ${count} cells` : ''
    const named = `${attributeOf(type, 'Name') || attributeOf(type, 'LongName') || 'Unnamed type'}${ending}`
    return {
      type: assembled(type, named, ofCount, notes),
      breaks: new Map(ofCount.map(({ name, breaks }) => [name, breaks])),
    }
  })
  if (counts.length > 1) notes.look('cells', 'some modes drive its cells, others do not: it comes in as several types')
  return { types, id: attributeOf(type, 'FixtureTypeID'), notes: notes.all }
}

function counted(mode: ReadMode, { leftHanded }: TypeOptions): ReadMode {
  const { pan, tilt } = mode.geometry
  const turned = (which: 'pan' | 'tilt', sense: typeof pan) =>
    leftHanded.includes(which) ? ({ ...sense, sign: sense.sign === 1 ? -1 : 1 } as const) : sense
  return { ...mode, geometry: { ...mode.geometry, pan: turned('pan', pan), tilt: turned('tilt', tilt) } }
}

function assembled(element: Element, name: string, modes: readonly ReadMode[], notes: Notes): TypeWithModes {
  const [first] = modes
  if (!first) throw new NotReadable('it has no mode')
  const all = functionsOf(modes)
  const { geometry, beam } = first
  sayOfGeometry(first, notes)
  const roleOf = rolesOf(new Set(all.map(({ attribute }) => attribute)))
  const kelvin = numberOfAttribute(beam?.element ?? null, 'ColorTemperature', 6000)
  const { mixing, names } = readMixing(element, all, kelvin, notes)
  const shared = { definitions: definitionsOf(element), partNames: names, roleOf, notes }
  const contexts = modes.map((mode): ChannelContext => ({ ...shared, geometry: mode.geometry, cellOf: cellsBy(mode) }))
  const channels = modes.map((mode, i) => mode.channels.map((one) => channelFrom(one, contexts[i] ?? fail())))
  const made = modes.map((mode, i) => ({
    name: mode.name,
    channels: tidied(channels[i] ?? [], channels.flat(), notes),
  }))
  const has = attributesOf(made.flatMap((mode) => mode.channels))
  const optics = readOptics(beam, all, notes)
  const draft: TypeWithModes = {
    maker: attributeOf(element, 'Manufacturer') || 'Unknown maker',
    name,
    form: formOf(attributeOf(beam?.element ?? null, 'BeamType'), has, optics),
    pan: readAxis('pan', all, geometry.pan, notes),
    tilt: readAxis('tilt', all, geometry.tilt, notes),
    pivotDrop: rounded(geometry.pivotDrop),
    lens: {
      across: rounded(geometry.lens.across),
      normal: rounded(geometry.lens.normal),
      forward: rounded(geometry.lens.forward),
    },
    optics,
    wheels: readWheels(element, wheelUses(all, roleOf), notes),
    has,
    ranges: [],
    mixing,
    cells: cellsOf(
      first,
      made.flatMap((mode) => mode.channels),
    ),
    modes: made,
  }
  return checked({ ...draft, ranges: readRanges(draft, modes, contexts) })
}

function fail(): never {
  throw new RangeError('every mode has a context')
}

const rounded = (metres: number) => Math.round(metres * 1e6) / 1e6 + 0

function checked(draft: TypeWithModes): TypeWithModes {
  const made = typeWithModes.safeParse(draft)
  if (made.success) return made.data
  const [issue] = made.error.issues
  throw new NotReadable(issue ? `${issue.path.join('.')} ${issueInWords(issue)}` : 'it is no type')
}

function sayOfGeometry({ geometry }: ReadMode, notes: Notes): void {
  if (geometry.axesMiss > 0.0005)
    notes.look('axes', `pan and tilt miss each other by ${Math.round(geometry.axesMiss * 1000)} mm; here they cross`)
  if (!geometry.isUpright) notes.look('axes', 'its pan axis does not stand upright in its middle; here it does')
}

function definitionsOf(type: Element): Definitions {
  const attributes = childrenOf(childOf(childOf(type, 'AttributeDefinitions'), 'Attributes'), 'Attribute')
  return new Map(
    attributes.map((one) => [
      attributeOf(one, 'Name'),
      { pretty: attributeOf(one, 'Pretty'), feature: attributeOf(one, 'Feature') },
    ]),
  )
}

function cellsBy({ cells }: ReadMode): (part: string) => number | undefined {
  const places = new Map(cells.map(({ name }, i) => [name, i + 1]))
  return (part) => places.get(part)
}

function wheelUses(functions: readonly ReadFunction[], roleOf: (standard: string) => StandardRole | null): WheelUse[] {
  return functions.flatMap((by) => {
    const role = roleOf(by.attribute)?.role
    if (role === undefined || role === 'pan' || role === 'tilt' || role === 'other' || isColourPart(role)) return []
    return kindOf(role).wheel ? [{ role, by }] : []
  })
}

type ChannelFunction = Channel['functions'][number]

/**
 * A shutter that never strobes does nothing that can be programmed, and stays as it rests. What cells
 * do each for themselves their fixture does not do on top: a dimmer of the whole stays at full.
 */
function tidied(channels: readonly Channel[], all: readonly Channel[], notes: Notes): Channel[] {
  const strobes = all.some(({ functions }) => functions.some(({ does, to }) => does === 'strobe' && to > 0))
  const ofCells = new Set(
    all.filter(({ cell }) => cell !== undefined).flatMap(({ functions }) => functions.map(({ does }) => does)),
  )
  return channels.map((channel) => {
    const isDoubled =
      channel.cell === undefined && channel.functions.some(({ does }) => does !== 'other' && ofCells.has(does))
    if (isDoubled) notes.look(channel.name, 'is driven for the whole and for each cell; here the cells alone do it')
    const plain = ({ does, ...one }: ChannelFunction): ChannelFunction =>
      (does === 'strobe' && !strobes) || (isDoubled && does !== 'other')
        ? { ...one, does: 'other', spins: false, when: null }
        : { does, ...one }
    const functions = channel.functions.map(plain)
    return isDoubled ? { ...channel, functions, rest: functions[0]?.to ?? 1 } : { ...channel, functions }
  })
}

function attributesOf(channels: readonly Channel[]): Attribute[] {
  const roles = new Set(channels.flatMap(({ functions }) => functions.map(({ does }) => does)))
  const has = new Set<Attribute>()
  for (const role of roles) {
    if (role === 'other') continue
    if (role === 'pan' || role === 'tilt') has.add(LEADING.place)
    else if (isColourPart(role)) has.add(LEADING.colour)
    else has.add(role)
  }
  if (has.has(LEADING.glass)) has.add(LEADING.colour)
  if (channels.some(({ dims }) => dims)) has.add(LEADING.light)
  return [...has].sort(inCatalogueOrder)
}

/** What never opens wider, full beam angle in degrees, is drawn as a beam. */
const NARROW = 15

function formOf(beamType: string, has: readonly Attribute[], optics: TypeWithModes['optics']): TypeWithModes['form'] {
  if (!has.includes(LEADING.place)) return 'lamp'
  if (/^(Wash|Fresnel|PC|Glow)$/.test(beamType)) return 'wash'
  return optics.every(({ beam }) => beam <= NARROW) ? 'beam' : 'profile'
}

/** A pitch that is not told, metres. */
const USUAL_PITCH = 0.1

function cellsOf({ cells }: ReadMode, channels: readonly Channel[]): TypeWithModes['cells'] {
  const [first, last] = [cells[0], cells.at(-1)]
  if (!first || !last || cells.length < 2) return null
  const pitch = distance(first.frame.origin, last.frame.origin) / (cells.length - 1)
  const has = attributesOf(channels.filter(({ cell }) => cell !== undefined)).filter(
    (one) => isNumberAttribute(one) || one === LEADING.colour,
  )
  return { count: cells.length, pitch: pitch > 0 ? Math.min(10, rounded(pitch)) : USUAL_PITCH, has }
}
