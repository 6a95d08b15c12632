/** The modes of a type as they are written, with the parts they drive and the head they turn. */
import { attributeOf, childOf, childrenOf, type Element } from '../xml/xml'
import { partsBelow, type Part } from './geometryTree'
import { headGeometry, type HeadGeometry } from './headGeometry'
import type { Notes } from '../notes'
import { readChannels, type ReadChannel, type ReadFunction } from './readChannels'

export interface ReadMode {
  readonly name: string
  readonly parts: readonly Part[]
  readonly channels: readonly ReadChannel[]
  readonly geometry: HeadGeometry
  /** The source of light that stands for them all. */
  readonly beam: Part | null
  /** The parts that shine each by themselves, in their order; none for a fixture that shines as one. */
  readonly cells: readonly Part[]
  /** The addresses it takes, by their number: where each one's channels begin here, from 1, and how many they are. */
  readonly breaks: readonly ModeBreak[]
}

export interface ModeBreak {
  readonly number: number
  readonly first: number
  readonly channels: number
}

export function readModes(type: Element, notes: Notes): ReadMode[] {
  const geometries = childOf(type, 'Geometries')
  return childrenOf(childOf(type, 'DMXModes'), 'DMXMode').map((mode) => {
    const parts = partsBelow(geometries, attributeOf(mode, 'Geometry'))
    const read = readChannels(mode, parts, notes)
    const driven = (attribute: string) => {
      const by = read.find(({ functions }) => functions.some((one) => one.attribute === attribute))
      return parts.find(({ name }) => name === by?.part) ?? null
    }
    const breaks = breaksOf(read)
    const cells = cellsOf(parts, read)
    const isOfCell = (part: Part) => cells.some((cell) => cell === part || isBelow(part, cell))
    const beams = parts.filter(({ tag }) => tag === 'Beam')
    const own = beams.filter((part) => !isOfCell(part)).slice(0, 1)
    return {
      name: attributeOf(mode, 'Name').slice(0, 120) || 'Mode',
      parts,
      channels: oneAfterTheOther(read, breaks),
      geometry: headGeometry(driven('Pan'), driven('Tilt'), own.length > 0 ? own : cells),
      beam: own[0] ?? beams[0] ?? null,
      cells,
      breaks,
    }
  })
}

export function functionsOf(modes: readonly ReadMode[]): ReadFunction[] {
  return modes.flatMap(({ channels }) => channels.flatMap(({ functions }) => functions))
}

/** Shining parts that have channels of their own: two or more that are driven alike are cells. */
function cellsOf(parts: readonly Part[], channels: readonly ReadChannel[]): Part[] {
  const shines = (part: Part) => part.tag === 'Beam' || parts.some((one) => one.tag === 'Beam' && isBelow(one, part))
  const alike = new Map<string, Part[]>()
  for (const part of parts) {
    const driven = channels.filter((one) => one.part === part.name).map(({ functions: [first] }) => first?.attribute)
    if (driven.length === 0 || part.tag === 'Axis' || !shines(part)) continue
    const key = driven.join(' ')
    alike.set(key, [...(alike.get(key) ?? []), part])
  }
  const groups = [...alike.values()].filter(({ length }) => length > 1)
  return groups.sort((a, b) => b.length - a.length)[0] ?? []
}

function isBelow(part: Part, above: Part): boolean {
  for (let one = part.above; one; one = one.above) if (one === above) return true
  return false
}

function lastPlace({ coarse, fine, finest }: ReadChannel): number {
  return Math.max(coarse, fine ?? 0, finest ?? 0)
}

/** A fixture has one address here: what has its own there follows what comes before it. */
function breaksOf(channels: readonly ReadChannel[]): ModeBreak[] {
  const sizes = new Map<number, number>()
  for (const channel of channels) sizes.set(channel.break, Math.max(sizes.get(channel.break) ?? 0, lastPlace(channel)))
  let first = 1
  return [...sizes]
    .sort(([a], [b]) => a - b)
    .map(([number, size]) => {
      const found = { number, first, channels: size }
      first += size
      return found
    })
}

function oneAfterTheOther(channels: readonly ReadChannel[], breaks: readonly ModeBreak[]): ReadChannel[] {
  const starts = new Map(breaks.map(({ number, first }) => [number, first - 1]))
  return channels.map((channel) => {
    const by = starts.get(channel.break) ?? 0
    const on = (place: number | null) => (place === null ? null : place + by)
    return { ...channel, coarse: channel.coarse + by, fine: on(channel.fine), finest: on(channel.finest) }
  })
}
