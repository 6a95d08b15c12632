/** What a message from a control asks for. */
import { z } from 'zod'
import { listsInOrder } from '../cues/tracking'
import { vec3, type Vec3 } from '../geometry/vector'
import type { ControlBinding } from '../show/entities'
import {
  asCueId,
  asOutputId,
  asPaletteId,
  type CueId,
  type CueListId,
  type OutputId,
  type PaletteId,
} from '../show/ids'
import type { Show } from '../show/show'
import { addressPart, type OscMessage } from './message'

export type Deed =
  | { readonly does: 'go' | 'back' | 'pause'; readonly list: CueListId }
  | { readonly does: 'cue'; readonly list: CueListId; readonly cue: CueId }
  | { readonly does: 'list master'; readonly list: CueListId; readonly level: number }
  | { readonly does: 'grand master'; readonly outputs: readonly OutputId[]; readonly level: number }
  | { readonly does: 'recall'; readonly palette: PaletteId }
  /** Metres in the stage frame. */
  | { readonly does: 'nudge'; readonly by: Vec3 }
  | { readonly does: 'level'; readonly level: number }
  | { readonly does: 'select'; readonly entry: string }
  | { readonly does: 'clear' }

/** A deed; null for what asks for nothing, such as a button that is let go; or why it is not understood. */
export type Read = Deed | null | { readonly trouble: string }

/** What comes with a message where it is a number; true and false count as 1 and 0. */
function numberIn({ args }: OscMessage, at: number): number | null {
  const given = args[at]
  if (typeof given === 'boolean') return given ? 1 : 0
  return typeof given === 'number' && Number.isFinite(given) ? given : null
}
/** A button says 1 as it is pressed and 0 as it is let go, or nothing at all. */
const isLetGo = (message: OscMessage) => numberIn(message, 0) === 0
const levelIn = (message: OscMessage): number | null => {
  const number = numberIn(message, 0)
  return number === null ? null : Math.min(1, Math.max(0, number))
}
const noLevel = { trouble: 'A number from 0 to 1 has to come with it.' }

/** Reads a message: by what was learnt for its address, else by the addresses everybody has. */
export function readMessage(show: Show, message: OscMessage): Read {
  const learnt = [...show.all.controlBinding.values()].find(({ address }) => address === message.address)
  if (learnt) return bound(learnt, message)
  const [, room, which, what, ...rest] = message.address.split('/')
  if (room === undefined || rest.length > 0) return unknown(message)
  const known =
    what !== undefined && which !== undefined
      ? named(show, message, room, which, what)
      : plain(show, message, room, which)
  return known === undefined ? unknown(message) : known
}

function unknown({ address }: OscMessage): Read {
  return { trouble: `Nothing is known of ${address}. Learn it, or use one of the addresses of the list.` }
}

/** What a control with an address of its own does. */
function bound({ does, list, output, palette, axis, metres }: ControlBinding, message: OscMessage): Read {
  if (does === 'list master' || does === 'grand master') {
    const level = levelIn(message)
    if (level === null) return noLevel
    if (list !== null) return { does: 'list master', list, level }
    return output === null ? null : { does: 'grand master', outputs: [output], level }
  }
  if (does === 'nudge') return axis && nudge(axis, (numberIn(message, 0) ?? 1) * metres)
  if (isLetGo(message)) return null
  if (does === 'recall') return palette && { does, palette }
  return list && { does, list }
}

const axisOf = z.enum(['x', 'y', 'z'])
function nudge(axis: z.infer<typeof axisOf>, metres: number): Read {
  return metres === 0 ? null : { does: 'nudge', by: { ...vec3(0, 0, 0), [axis]: metres } }
}

/** Addresses of three parts: of a list, a palette or an output. Undefined where there is none such. */
function named(show: Show, message: OscMessage, room: string, which: string, what: string): Read | undefined {
  if (room === 'list') return ofList(show, message, Number(which), what)
  if (room === 'palette' && what === 'recall') return recall(show, message, Number(which))
  if (room !== 'output' || what !== 'master') return undefined
  const outputs = [...show.all.output]
    .filter(([, { name }]) => addressPart(name) === which)
    .map(([id]) => asOutputId(id))
  if (outputs.length === 0) return { trouble: `There is no output ${which}.` }
  const level = levelIn(message)
  return level === null ? noLevel : { does: 'grand master', outputs, level }
}

function ofList(show: Show, message: OscMessage, number: number, what: string): Read | undefined {
  const found = listsInOrder(show).find(({ list }) => list.number === number)
  if (!found) return { trouble: `There is no cue list ${number}.` }
  const { id: list, cues } = found
  if (what === 'master') {
    const level = levelIn(message)
    return level === null ? noLevel : { does: 'list master', list, level }
  }
  if (what === 'cue') {
    // Numbers travel in single precision.
    const wanted = Math.round(Number(message.args[0]) * 1000) / 1000
    const cue = cues.find(({ cue: { number: of } }) => of === wanted)
    return cue
      ? { does: 'cue', list, cue: asCueId(cue.id) }
      : { trouble: `${found.list.name} has no cue ${message.args[0] ?? ''}.` }
  }
  if (what !== 'go' && what !== 'back' && what !== 'pause') return undefined
  return isLetGo(message) ? null : { does: what, list }
}

function recall(show: Show, message: OscMessage, number: number): Read {
  if (isLetGo(message)) return null
  const found = [...show.all.palette].find(([, palette]) => palette.number === number)
  return found ? { does: 'recall', palette: asPaletteId(found[0]) } : { trouble: `There is no palette ${number}.` }
}

/** Addresses of one part, and those of nudges. Undefined where there is none such. */
function plain(show: Show, message: OscMessage, room: string, which: string | undefined): Read | undefined {
  if (room === 'nudge') return nudgeBy(message, which)
  if (which !== undefined) return undefined
  if (room === 'select') {
    const [entry] = message.args
    return { does: 'select', entry: entry === undefined || entry === null ? '' : String(entry) }
  }
  if (room === 'clear') return isLetGo(message) ? null : { does: 'clear' }
  if (room !== 'level' && room !== 'master') return undefined
  const level = levelIn(message)
  if (level === null) return noLevel
  if (room === 'level') return { does: 'level', level }
  return { does: 'grand master', outputs: [...show.all.output.keys()].map(asOutputId), level }
}

function nudgeBy(message: OscMessage, which: string | undefined): Read | undefined {
  const axis = axisOf.safeParse(which)
  const [x, y, z] = [0, 1, 2].map((at) => numberIn(message, at))
  if (axis.success)
    return x === null || x === undefined ? { trouble: 'How many metres has to come with it.' } : nudge(axis.data, x)
  if (which !== undefined) return undefined
  if (typeof x !== 'number' || typeof y !== 'number')
    return { trouble: 'How many metres along x, y and z has to come with it.' }
  return { does: 'nudge', by: vec3(x, y, z ?? 0) }
}

/** Two deeds one after the other as one; null where they are two. Faders that run count by where they are, nudges add up. */
export function joined(first: Deed, second: Deed): Deed | null {
  if (first.does === 'nudge' && second.does === 'nudge') {
    const [a, b] = [first.by, second.by]
    return { does: 'nudge', by: vec3(a.x + b.x, a.y + b.y, a.z + b.z) }
  }
  if (first.does === 'level' && second.does === 'level') return second
  if (first.does === 'list master' && second.does === 'list master') return first.list === second.list ? second : null
  if (first.does !== 'grand master' || second.does !== 'grand master') return null
  return first.outputs.join() === second.outputs.join() ? second : null
}
