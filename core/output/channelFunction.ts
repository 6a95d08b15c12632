/** Between what a fixture does and the levels of its channels: which function counts, and its part of the levels. */
import type { NumberAttribute } from '../attributes/attribute'
import type { ColourPart } from '../attributes/colourPart'
import type { ChannelRole } from '../attributes/channelRole'
import type { Channel } from '../show/entities'
import { numberOf, type Amount } from '../show/values'

type ChannelFunction = Channel['functions'][number]

/** What a fixture does now: angles of its axes in degrees, amounts of its attributes, and what those rest at. */
export interface ChannelSource {
  amountOf(role: Exclude<ChannelRole, 'other'>): Amount
  restOf(role: NumberAttribute | ColourPart): number
}

/** How many levels a channel has: 256 for each byte. */
export function levelsOf({ fine, finest }: Pick<Channel, 'fine' | 'finest'>): number {
  return 256 ** (1 + Number(fine !== null) + Number(fine !== null && finest !== null))
}

/** How far an amount lies outside what a function can say; infinite for an angle where it spins and the other way round. */
function missBy({ from, to, spins }: ChannelFunction, amount: Amount): number {
  if (spins !== (amount.kind === 'spin')) return Infinity
  const number = numberOf(amount)
  return Math.max(0, Math.min(from, to) - number, number - Math.max(from, to))
}

/**
 * The function that says most of what the fixture does: the last one whose attribute is away from
 * rest, since what comes later on a channel is done on top of what comes before, a slot that shakes,
 * a wheel that spins; else the first that says what its attribute rests at; else the first of all.
 * Of several for one attribute it is the one that comes nearest.
 */
export function functionThatCounts({ functions }: Pick<Channel, 'functions'>, source: ChannelSource): ChannelFunction {
  const [first] = functions
  if (!first) throw new RangeError('a channel has at least one function')
  if (functions.length === 1) return first
  let resting: ChannelFunction | null = null
  let active: ChannelFunction | null = null
  const nearest = new Map<ChannelRole, number>()
  for (const one of functions) {
    if (one.does === 'other' || !holds(one, source)) continue
    const amount = source.amountOf(one.does)
    const miss = missBy(one, amount)
    if (miss >= (nearest.get(one.does) ?? Infinity)) continue
    nearest.set(one.does, miss)
    if (isAtRest(one.does, amount, source)) resting ??= one
    else active = one
  }
  return active ?? resting ?? first
}

function holds({ when }: ChannelFunction, { amountOf }: ChannelSource): boolean {
  if (when === null) return true
  const amount = amountOf(when.attribute)
  return amount.kind === 'number' && amount.number === when.number
}

function isAtRest(role: Exclude<ChannelRole, 'other'>, amount: Amount, { restOf }: ChannelSource): boolean {
  return role !== 'pan' && role !== 'tilt' && amount.kind === 'number' && amount.number === restOf(role)
}

const BENT: Readonly<Record<Channel['curve'], (t: number) => number>> = {
  even: (t) => t,
  'slow at first': (t) => t ** 2,
  'fast at first': Math.sqrt,
  'slow at both ends': (t) => t * t * (3 - 2 * t),
}

/** How far a number lies between the two ends of a function, 0 to 1. */
function partOf({ from, to }: ChannelFunction, number: number): number {
  return from === to ? 0 : Math.min(1, Math.max(0, (number - from) / (to - from)))
}

/** The levels of a channel that a function takes, first and last. */
function reachOf({ first, last }: ChannelFunction, levels: number): readonly [low: number, high: number] {
  const finer = levels / 256
  return [first * finer, last * finer + finer - 1]
}

/** The level, from 0, that says a number by a function; `dimmed` is how much of it is left, 1 for all. */
export function levelFor(channel: Channel, by: ChannelFunction, number: number, dimmed = 1): number {
  const [low, high] = reachOf(by, levelsOf(channel))
  return Math.round(low + BENT[channel.curve](partOf(by, number) * dimmed) * (high - low))
}

/** The level of a channel for what its fixture does. `rest` is what counts where nothing drives it. */
export function channelLevel(channel: Channel, source: ChannelSource, rest: number, dimmed: number): number {
  const by = functionThatCounts(channel, source)
  if (by.does === 'other') return levelFor(channel, by, rest)
  return levelFor(channel, by, numberOf(source.amountOf(by.does)), channel.dims ? dimmed : 1)
}

/** What a level of a channel means: its function, and the amount, to the level's own step; null for a level no function takes. */
export function meaningOf(channel: Channel, level: number): { by: ChannelFunction; amount: Amount } | null {
  const levels = levelsOf(channel)
  const by = channel.functions.find((one) => {
    const [low, high] = reachOf(one, levels)
    return level >= low && level <= high
  })
  if (!by) return null
  const [low, high] = reachOf(by, levels)
  const number =
    by.from + (by.to - by.from) * straightened(channel.curve, low === high ? 0 : (level - low) / (high - low))
  return { by, amount: by.spins ? { kind: 'spin', rpm: number } : { kind: 'number', number } }
}

/** The part of the way at which a curve comes to `bent`, found by halving: every curve rises. */
function straightened(curve: Channel['curve'], bent: number): number {
  if (bent <= 0 || bent >= 1) return Math.min(1, Math.max(0, bent))
  let [low, high] = [0, 1]
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2
    if (BENT[curve](middle) < bent) low = middle
    else high = middle
  }
  return (low + high) / 2
}
