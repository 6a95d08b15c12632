/** Writes a fixture type in the open exchange format (DIN SPEC 15800, data version 1.2). */
import { attributeName, kindOf } from '../../attributes/attribute'
import { colourPart, isColourPart } from '../../attributes/colourPart'
import { LEADING } from '../../attributes/catalogue'
import type { Family } from '../../attributes/families'
import type { TypeWithModes } from '../../commands/shared/typeWithModes'
import { vec3, type Vec3 } from '../../geometry/vector'
import { lumenOfRow } from '../../light/optics'
import type { Channel, FixtureType } from '../../show/entities'
import { appended, numberText, parseXml, xmlText, type Element } from '../xml/xml'
import { colourText, colourTextOfHex } from './colourText'
import { SOURCE } from './readMixing'
import { FEATURE_OF, standardName } from './standardAttributes'
import { writeChannel, type PartNames } from './writeChannels'

/** The description of a type under an id that stays the same from version to version; `named` are the parts of its geometry. */
export function writeType(type: TypeWithModes, id: string, named = PARTS): string {
  const document = parseXml('<?xml version="1.0" encoding="UTF-8" standalone="no"?><GDTF DataVersion="1.2"/>')
  const root = document.documentElement
  if (!root) throw new RangeError('a document has a root')
  const element = appended(root, 'FixtureType', {
    Name: type.name,
    ShortName: type.name,
    LongName: type.name,
    Manufacturer: type.maker,
    Description: '',
    FixtureTypeID: id,
    RefFT: '',
  })
  writeAttributes(element, type)
  writeWheels(element, type)
  writePhysical(element, type)
  const models = appended(element, 'Models')
  appended(models, 'Model', { Name: MODEL, Length: 0.3, Width: 0.3, Height: 0.2, PrimitiveType: 'Cube' })
  writeGeometry(element, type, named)
  writeModes(element, type, named)
  for (const name of ['Revisions', 'FTPresets', 'Protocols']) appended(element, name)
  return xmlText(document)
}

function writeAttributes(element: Element, type: TypeWithModes): void {
  const definitions = appended(element, 'AttributeDefinitions')
  appended(definitions, 'ActivationGroups')
  const groups = appended(definitions, 'FeatureGroups')
  for (const feature of new Set([...Object.values(FEATURE_OF), 'Control.Control'])) {
    const [group = '', name = ''] = feature.split('.')
    appended(appended(groups, 'FeatureGroup', { Name: group, Pretty: group }), 'Feature', { Name: name })
  }
  const attributes = appended(definitions, 'Attributes')
  for (const [name, { pretty, family }] of namesDriven(type))
    appended(attributes, 'Attribute', {
      Name: name,
      Pretty: pretty,
      Feature: family ? FEATURE_OF[family] : 'Control.Control',
    })
}

/** The attributes a type drives, by their name in the standard, in the order they come. */
function namesDriven(type: TypeWithModes): ReadonlyMap<string, { pretty: string; family: Family | null }> {
  const names = new Map<string, { pretty: string; family: Family | null }>()
  const functions = type.modes.flatMap(({ channels }) => channels.flatMap((channel) => channel.functions))
  for (const one of functions) {
    if (one.does === 'other') continue
    const name = standardName(one.does, one.spins, type.mixing?.kind === 'flags')
    names.set(name, describe(one.does, name))
  }
  if (type.modes.some(({ channels }) => channels.some(({ dims }) => dims)))
    names.set('Dimmer', { pretty: 'Dimmer', family: 'intensity' })
  names.set('Shutter1', { pretty: 'Shutter', family: 'beam' })
  names.set('NoFeature', { pretty: 'No feature', family: null })
  return names
}

function describe(
  role: Exclude<Channel['functions'][number]['does'], 'other'>,
  name: string,
): { pretty: string; family: Family } {
  if (role === 'pan' || role === 'tilt') return { pretty: name, family: 'position' }
  if (isColourPart(role)) return { pretty: role.slice('part:'.length).replaceAll('_', ' '), family: 'colour' }
  return { pretty: attributeName(role), family: kindOf(role).family }
}

function writeWheels(element: Element, { wheels }: FixtureType): void {
  const all = appended(element, 'Wheels')
  for (const { name, slots } of wheels) {
    const wheel = appended(all, 'Wheel', { Name: name })
    for (const slot of slots) {
      const made = appended(wheel, 'Slot', {
        Name: slot.name,
        ...(slot.colour === null ? {} : { Color: colourTextOfHex(slot.colour) }),
        ...(slot.pattern === null || slot.pattern === 'open' ? {} : { MediaFileName: slot.pattern }),
      })
      for (let i = 0; i < (slot.facets ?? 0); i++)
        appended(made, 'Facet', { Color: '0.3127,0.329,100', Rotation: facet(i, slot.facets ?? 1) })
    }
  }
}

/** Facets all round, each its own way. */
function facet(i: number, count: number): string {
  const angle = (2 * Math.PI * i) / count
  const [c, s] = [numberText(Math.cos(angle)), numberText(Math.sin(angle))]
  return `{${c},${numberText(-Math.sin(angle))},0}{${s},${c},0}{0,0,1}`
}

function writePhysical(element: Element, { mixing }: FixtureType): void {
  const physical = appended(element, 'PhysicalDescriptions')
  const emitters = appended(physical, 'Emitters')
  const filters = appended(physical, 'Filters')
  if (!mixing) return
  if (mixing.kind === 'flags')
    appended(emitters, 'Emitter', { Name: SOURCE, Color: colourText({ ...mixing.source, luminance: 100 }) })
  for (const { name, x, y, flux } of mixing.parts)
    appended(mixing.kind === 'flags' ? filters : emitters, mixing.kind === 'flags' ? 'Filter' : 'Emitter', {
      Name: (colourPart(name) ?? name).replace('part:', '').replaceAll('_', ' '),
      Color: colourText({ x, y, luminance: flux }),
    })
}

const at = (x: number, y: number, z: number) =>
  `{1,0,0,${numberText(x)}}{0,1,0,${numberText(y)}}{0,0,1,${numberText(z)}}{0,0,0,1}`

const MODEL = 'Base'
const PARTS: PartNames = { base: 'Base', pan: 'Yoke', tilt: 'Head', beam: 'Beam', cell: (nth) => `Cell ${nth}` }
/** Names of parts that stand beside others' in one file. */
export const OWN_PARTS: PartNames = {
  base: 'Rhopander base',
  pan: 'Rhopander yoke',
  tilt: 'Rhopander head',
  beam: 'Rhopander beam',
  cell: (nth) => `Rhopander cell ${nth}`,
}
/** A fixture with cells has no beam of its own: what it does as a whole its body does. */
const partsOf = (type: FixtureType, named: PartNames): PartNames => ({
  ...named,
  beam: type.cells ? (turns(type) ? named.tilt : named.base) : named.beam,
})
const turns = ({ has }: FixtureType) => has.includes(LEADING.place)

function writeGeometry(element: Element, type: FixtureType, named: PartNames): void {
  const base = appended(appended(element, 'Geometries'), 'Geometry', {
    Name: named.base,
    Model: MODEL,
    Position: at(0, 0, 0),
  })
  const { across, normal, forward } = type.lens
  if (!turns(type)) return writeBeams(base, type, named, vec3(across, normal, -type.pivotDrop - forward))
  const yoke = appended(base, 'Axis', { Name: named.pan, Model: '', Position: at(0, 0, -type.pivotDrop) })
  const head = appended(yoke, 'Axis', { Name: named.tilt, Model: '', Position: at(0, 0, 0) })
  writeBeams(head, type, named, vec3(across, normal, -forward))
}

function writeBeams(parent: Element, type: FixtureType, named: PartNames, { x, y, z }: Vec3): void {
  const count = type.cells?.count ?? 1
  for (let i = 0; i < count; i++)
    appended(parent, 'Beam', {
      Name: type.cells ? named.cell(i + 1) : named.beam,
      Model: '',
      Position: at(x + (i - (count - 1) / 2) * (type.cells?.pitch ?? 0), y, z),
      ...lightOf(type),
    })
}

/** The light at its widest; lumen to a thousandth, which is finer than anybody measures. */
function lightOf({ optics, form, mixing }: FixtureType): Readonly<Record<string, string | number>> {
  const widest = optics.at(-1)
  if (!widest) throw new RangeError('a type has at least one row of optics')
  return {
    BeamAngle: widest.beam,
    FieldAngle: widest.field,
    LuminousFlux: Math.round(widest.candela * lumenOfRow(widest) * 1000) / 1000,
    BeamRadius: 0.05,
    BeamType: form === 'wash' ? 'Wash' : 'Spot',
    ColorTemperature: mixing?.kind === 'emitters' ? 6500 : 6000,
    ColorRenderingIndex: 90,
    LampType: 'LED',
    PowerConsumption: 0,
  }
}

function writeModes(element: Element, type: TypeWithModes, named: PartNames): void {
  const modes = appended(element, 'DMXModes')
  for (const { name, channels } of type.modes) {
    const mode = appended(modes, 'DMXMode', { Name: name, Description: '', Geometry: named.base })
    const all = appended(mode, 'DMXChannels')
    const relations = appended(mode, 'Relations')
    const dimmed = channels.some(({ dims }) => dims)
    const parts = partsOf(type, named)
    for (const channel of channels) {
      const node = writeChannel(all, type, channel, parts)
      if (channel.dims)
        appended(relations, 'Relation', {
          Name: `Dimmed ${channel.name}`,
          Master: `${parts.beam}_Dimmer`,
          Follower: node,
          Type: 'Multiply',
        })
    }
    if (dimmed) writeVirtualDimmer(all, parts.beam)
    appended(mode, 'FTMacros')
  }
}

/** A dimmer without a channel of its own, which others are multiplied by. */
function writeVirtualDimmer(channels: Element, geometry: string): void {
  const channel = appended(channels, 'DMXChannel', {
    DMXBreak: '1',
    Offset: '',
    InitialFunction: `${geometry}_Dimmer.Dimmer.Dimmer`,
    Highlight: '255/1',
    Geometry: geometry,
  })
  const logical = appended(channel, 'LogicalChannel', { Attribute: 'Dimmer', Snap: 'No', Master: 'Grand' })
  appended(logical, 'ChannelFunction', {
    Name: 'Dimmer',
    Attribute: 'Dimmer',
    DMXFrom: '0/1',
    Default: '0/1',
    PhysicalFrom: 0,
    PhysicalTo: 1,
  })
}
