/** A socket that hears and speaks OSC. Bundles are taken apart; what is no OSC is counted. */
import { createSocket, type Socket } from 'node:dgram'
import { decode, encode, Message } from 'node-osc'
import { z } from 'zod'
import type { OscMessage } from '#core/control/message'

/** More messages a second than this are no hand on a control but a flood. */
const MOST_A_SECOND = 400

const argument = z.object({ value: z.unknown() })
const message = z.object({ oscType: z.literal('message'), address: z.string(), args: z.array(argument) })
const bundle = z.object({ oscType: z.literal('bundle'), elements: z.array(z.unknown()) })

/** The messages in a packet; null for what is no OSC. */
export function readOsc(bytes: Buffer): OscMessage[] | null {
  try {
    const decoded: unknown = decode(bytes)
    return messagesIn(decoded)
  } catch {
    return null
  }
}

function messagesIn(decoded: unknown): OscMessage[] {
  const one = message.safeParse(decoded)
  if (one.success) return [{ address: one.data.address, args: one.data.args.map(({ value }) => plainArgument(value)) }]
  return bundle.parse(decoded).elements.flatMap(messagesIn)
}

const plain = z.union([z.number(), z.string(), z.boolean(), z.null()])
/** Anything but numbers, texts and switches says nothing to anybody here. */
const plainArgument = (value: unknown) => plain.catch(null).parse(value)

/** A message as bytes; numbers always as floats, whatever they are. */
export function writeOsc({ address, args }: OscMessage): Buffer {
  const typed = args.map((value) => (typeof value === 'number' ? { type: 'float', value } : value))
  return encode(new Message(address, ...typed))
}

export interface OscHeard {
  messages(messages: readonly OscMessage[], from: string): void
  /** It is listened from now on. */
  listening(): void
  /** It cannot be listened there, or no more, and why. */
  failed(error: Error): void
}

export class OscSocket {
  readonly #socket: Socket
  #isOpen = true
  #second = 0
  #heardInSecond = 0
  /** What was left out since it was asked last: no OSC, or too much of it. */
  #leftOut = 0

  constructor(from: string, port: number, heard: OscHeard) {
    const socket = createSocket({ type: 'udp4' })
    this.#socket = socket
    socket.on('error', (error) => {
      this.close()
      heard.failed(error)
    })
    socket.on('message', (bytes, sender) => {
      const messages = this.#isTooMuch() ? null : readOsc(bytes)
      if (messages) heard.messages(messages, sender.address)
      else this.#leftOut += 1
    })
    socket.on('listening', () => heard.listening())
    socket.bind(port, from)
  }

  #isTooMuch(): boolean {
    const second = Math.floor(performance.now() / 1000)
    if (second !== this.#second) this.#heardInSecond = 0
    this.#second = second
    this.#heardInSecond += 1
    return this.#heardInSecond > MOST_A_SECOND
  }

  takeLeftOut(): number {
    const count = this.#leftOut
    this.#leftOut = 0
    return count
  }

  /** Speaks to somebody; what the network does not take is lost, as with any such packet. */
  send(message: OscMessage, to: string, port: number): void {
    if (this.#isOpen) this.#socket.send(writeOsc(message), port, to, () => undefined)
  }

  close(): void {
    if (this.#isOpen) this.#socket.close()
    this.#isOpen = false
  }
}
