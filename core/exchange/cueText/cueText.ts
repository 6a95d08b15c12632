/**
 * Cues as plain text: USITT ASCII Text Representation for Lighting Console Data, version 3.0. One word at the
 * head of a line says what follows; inside a cue its name, times and the levels of channels. Levels have eight bits.
 */
import { asEntryNumber } from '../../show/stored'
import { Notes, type Note } from '../notes'

/** A cue as the text has it: seconds, levels from 0 to 255 by channel, which counts from 1. */
export interface TextCue {
  readonly number: number
  readonly name: string
  readonly rise: number | null
  readonly fall: number | null
  readonly levels: ReadonlyMap<number, number>
}

/** What of a channel goes where. */
export interface TextPatch {
  /** Counts from 1 through all universes. */
  readonly dimmer: number
  /** The most it is given, 0 to 1. */
  readonly most: number
}

export interface CueText {
  readonly cues: readonly TextCue[]
  /** The dimmers of each channel; null where the text has no patch: channels are dimmers then. */
  readonly patch: ReadonlyMap<number, readonly TextPatch[]> | null
  readonly notes: readonly Note[]
}

/** No text has more of either; channels of all universes that there can be would be some thirty millions. */
export const MOST = { cues: 10_000, channel: 63_999 * 512, lines: 2_000_000, seconds: 3600 } as const

type GrowingCue = { -readonly [K in keyof TextCue]: TextCue[K] } & { readonly levels: Map<number, number> }

/** Reads leniently: what cannot be told is said and left out. */
export function readCueText(text: string): CueText {
  const reader = new Reader()
  for (const line of linesOf(text)) if (!reader.take(line)) break
  return reader.read()
}

interface Line {
  readonly number: number
  readonly keyword: string
  readonly rest: string
}

/** What follows an exclamation mark is a comment; words in any case. */
function* linesOf(text: string): Generator<Line> {
  let number = 0
  for (const raw of text.split(/\r\n|\r|\n/)) {
    number += 1
    if (number > MOST.lines) return
    const line = raw.split('!', 1)[0]?.trim() ?? ''
    const [, keyword = '', rest = ''] = /^(\S+)\s*(.*)$/.exec(line) ?? []
    if (keyword) yield { number, keyword: keyword.toLowerCase(), rest }
  }
}

class Reader {
  readonly #notes = new Notes()
  readonly #cues = new Map<number, GrowingCue>()
  readonly #patch = new Map<number, TextPatch[]>()
  #hasPatch = false
  #cue: GrowingCue | null = null
  /** Whether what comes is of something that is no cue. */
  #isElsewhere = false

  /** Whether there may be more. */
  take({ number, keyword, rest }: Line): boolean {
    const where = `line ${number}`
    switch (keyword) {
      case 'enddata':
        return false
      case 'cue':
        this.#begin(where, rest)
        break
      case 'group':
      case 'sub':
        this.#elsewhere(keyword === 'group' ? 'groups' : 'submasters')
        break
      case 'patch':
        this.#takePatch(where, rest)
        break
      case 'ident':
        if (!/^3[:.]/.test(rest))
          this.#notes.look(where, `it says that it is of version ${rest || 'none'}; it is read as 3.0`)
        break
      default:
        if (this.#cue && !this.#isElsewhere) this.#takeInCue(this.#cue, where, keyword, rest)
    }
    return true
  }

  #elsewhere(what: string) {
    this.#isElsewhere = true
    this.#notes.lost(what, 'only cues come in')
  }

  #begin(where: string, rest: string) {
    this.#isElsewhere = false
    this.#cue = null
    const number = Number(/^\d+(?:\.\d+)?/.exec(rest)?.[0] ?? NaN)
    if (!(number > 0 && number <= 99_999)) return this.#notes.lost(where, `${rest || 'nothing'} is no number of a cue`)
    const known = this.#cues.get(asEntryNumber(number))
    if (known) this.#notes.look(`cue ${known.number}`, 'it stands twice; its levels are put together')
    else if (this.#cues.size >= MOST.cues) return this.#notes.lost('cues', `there are more than ${MOST.cues}`)
    this.#cue = known ?? { number: asEntryNumber(number), name: '', rise: null, fall: null, levels: new Map() }
    this.#cues.set(this.#cue.number, this.#cue)
  }

  #takeInCue(cue: GrowingCue, where: string, keyword: string, rest: string) {
    const about = `cue ${cue.number}`
    switch (keyword) {
      case 'text':
        cue.name = rest.slice(0, 120)
        return
      case 'up':
        cue.rise = this.#seconds(where, rest)
        return
      case 'down':
        cue.fall = this.#seconds(where, rest)
        return
      case 'chan':
        for (const [channel, level] of this.#pairs(where, rest)) cue.levels.set(channel, Math.round(level * 255))
        return
      case 'part':
        this.#notes.look(about, 'it is in parts; their levels come in as one cue')
        return
      case 'link':
      case 'followon':
        this.#notes.lost(about, keyword === 'link' ? 'that it leads to another cue' : 'when the next follows it')
        return
      default:
        // Other keywords, those of makers among them, are theirs.
        this.#notes.lost('words of other programs', `what stands behind ${keyword.slice(0, 20)}`)
    }
  }

  /** "5", "2.5", "1:30"; what comes behind it, its delay, is let go. */
  #seconds(where: string, rest: string): number | null {
    const [first = '', delay] = rest.split(/\s+/)
    const found = /^(?:(\d+):)?(\d+(?:\.\d+)?)$/.exec(first)
    const seconds = found ? Number(found[1] ?? 0) * 60 + Number(found[2]) : NaN
    if (delay !== undefined && Number(delay) > 0) this.#notes.lost(where, 'a delay of one of its times')
    if (seconds <= MOST.seconds) return seconds
    this.#notes.lost(where, `${first || 'nothing'} is no time`)
    return null
  }

  /** "1@50 2@HFF 3@FL", with commas or blanks between: channels with levels from 0 to 1. */
  *#pairs(where: string, rest: string): Generator<[channel: number, level: number]> {
    for (const [, first = '', second = ''] of rest.matchAll(/([^\s,@/]+)\s*[@/]\s*([^\s,@/]+)/g)) {
      const [channel, level] = [Number(first), levelOf(second)]
      if (Number.isInteger(channel) && channel > 0 && channel <= MOST.channel && level !== null) yield [channel, level]
      else this.#notes.lost(where, `${first}@${second} is no channel with a level`)
    }
  }

  /** "Patch 1 5<12@100": on a page, the channel, its dimmer and the most that is given. */
  #takePatch(where: string, rest: string) {
    this.#hasPatch = true
    for (const [, first = '', second = '', third] of rest.matchAll(/(\d+)\s*<\s*(\d+)(?:\s*[@/]\s*([^\s,@/]+))?/g)) {
      const [channel, dimmer] = [Number(first), Number(second)]
      const most = third === undefined ? 1 : levelOf(third)
      if (dimmer < 1 || dimmer > MOST.channel || most === null) {
        this.#notes.lost(where, `${first}<${second} is no patch`)
        continue
      }
      this.#patch.set(channel, [...(this.#patch.get(channel) ?? []), { dimmer, most }])
    }
  }

  read(): CueText {
    return {
      cues: [...this.#cues.values()].sort((a, b) => a.number - b.number),
      patch: this.#hasPatch ? this.#patch : null,
      notes: this.#notes.all,
    }
  }
}

/** "50" of 100, "HFF" of 255, "FL" for full; 0 to 1, null where it is none. */
function levelOf(text: string): number | null {
  if (/^(fl|ff|full)$/i.test(text)) return 1
  const hex = /^h([0-9a-f]{1,2})$/i.exec(text)
  if (hex) return parseInt(hex[1] ?? '', 16) / 255
  const percent = Number(text)
  return text !== '' && percent >= 0 && percent <= 100 ? percent / 100 : null
}

/** Channels in one line. */
const IN_A_LINE = 8

/** Cues as text; `of` names the show, `lost` what does not go with them, as comments at its head. */
export function writeCueText(cues: readonly TextCue[], of: string, lost: readonly string[]): string {
  const channels = [...new Set(cues.flatMap(({ levels }) => [...levels.keys()]))].sort((a, b) => a - b)
  const lines = [
    'Ident 3:0',
    'Manufacturer Rhopander',
    'Console Rhopander',
    `! ${plain(of)}`,
    ...lost.map((words) => `! ${plain(words)}`),
    'Clear All',
    ...inLines(channels.map((channel) => `${channel}<${channel}@100`)).map((some) => `Patch 1 ${some}`),
    ...cues.flatMap(({ number, name, rise, fall, levels }) => [
      `Cue ${number}`,
      ...(name ? [`Text ${plain(name)}`] : []),
      `Up ${rise ?? 0}`,
      `Down ${fall ?? 0}`,
      ...inLines([...levels].map(([channel, level]) => `${channel}@H${hexOf(level)}`)).map((some) => `Chan ${some}`),
    ]),
    'EndData',
  ]
  return `${lines.join('\r\n')}\r\n`
}

/** Words that stay on their line; what the format knows is plain ASCII. */
function plain(words: string): string {
  return words
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .replace(/[‘’]/g, "'")
    .replace(/[“”]/g, '"')
    .replace(/[–—]/g, '-')
    .replace(/[^\x20-\x7e]/g, '?')
    .replace(/!/g, '.')
}

const hexOf = (level: number) => level.toString(16).toUpperCase().padStart(2, '0')

function inLines(words: readonly string[]): string[] {
  return Array.from({ length: Math.ceil(words.length / IN_A_LINE) }, (_, i) =>
    words.slice(i * IN_A_LINE, (i + 1) * IN_A_LINE).join(' '),
  )
}
