/** A way onto the network from one interface, begun again when it breaks. */
import { createSocket, type Socket } from 'node:dgram'
import type { Parcel } from './packets'

/** How long to wait before a broken line is begun again, milliseconds. */
const TRY_AGAIN = 1000
/** Packets that may wait for a line to open. */
const MOST_EARLY = 1000
/** Routers on the way that multicast may pass. */
const HOPS = 8

export class Line {
  #socket: Socket | null = null
  #isOpen = false
  /** Handed over before it was open. */
  #early: (() => void)[] = []
  /** Packets the network has not taken yet. */
  #onTheWay = 0
  #again: ReturnType<typeof setTimeout> | undefined
  #isClosed = false
  /** Why nothing can be sent just now, in a sentence. */
  trouble: string | null = null

  /** `from` is the address of the interface. */
  constructor(private readonly from: string) {
    this.#begin()
  }

  #begin(): void {
    // Addresses are numbers already: nothing is looked up, and packets go out as they are handed over.
    const socket = createSocket({ type: 'udp4', lookup: (address, _, found) => found(null, address, 4) })
    this.#socket = socket
    socket.on('error', (error) => this.#fail(socket, error))
    socket.bind({ address: this.from, port: 0 }, () => {
      try {
        socket.setBroadcast(true)
        socket.setMulticastTTL(HOPS)
        socket.setMulticastInterface(this.from)
        this.#isOpen = true
        this.trouble = null
        for (const send of this.#early.splice(0)) send()
      } catch (error) {
        this.#fail(socket, error)
      }
    })
  }

  #fail(socket: Socket, error: unknown): void {
    this.trouble = inWords(error, this.from)
    if (this.#socket !== socket) return
    this.#socket = null
    this.#isOpen = false
    socket.close()
    if (!this.#isClosed) this.#again = setTimeout(() => this.#begin(), TRY_AGAIN)
  }

  /** Sends a packet to each of its addresses; `done` hears of each whether the network took it. */
  send({ bytes, port, addresses }: Parcel, done: (trouble: string | null) => void): void {
    for (const address of addresses) {
      if (this.#isOpen) this.#hand(bytes, port, address, done)
      else if (this.trouble === null && this.#early.length < MOST_EARLY)
        this.#early.push(() => this.#hand(bytes, port, address, done))
      else done(this.trouble)
    }
  }

  #hand(bytes: Uint8Array, port: number, address: string, done: (trouble: string | null) => void): void {
    const socket = this.#socket
    if (!socket) return done(this.trouble)
    this.#onTheWay += 1
    socket.send(bytes, port, address, (error) => {
      this.#onTheWay -= 1
      if (error && isInterfaceGone(error)) this.#fail(socket, error)
      done(error ? inWords(error, this.from, address) : null)
      if (this.#isClosed) this.#closeWhenSent()
    })
  }

  /** Closes when what was handed over has been sent. */
  close(): void {
    this.#isClosed = true
    clearTimeout(this.#again)
    this.#closeWhenSent()
  }

  #closeWhenSent(): void {
    if (this.#onTheWay > 0 || (!this.#isOpen && this.#early.length > 0)) return
    this.#socket?.close()
    this.#socket = null
    this.#isOpen = false
  }
}

const codeOf = (error: unknown) => (error instanceof Error ? String(Reflect.get(error, 'code')) : '')
const isInterfaceGone = (error: Error) => ['EADDRNOTAVAIL', 'ENODEV', 'EBADF', 'ENETDOWN'].includes(codeOf(error))

/** What keeps packets from going out, with what to do. */
function inWords(error: unknown, from: string, to?: string): string {
  switch (codeOf(error)) {
    case 'EADDRNOTAVAIL':
    case 'ENODEV':
      return `This machine has no network interface with the address ${from} just now: plug it in, or choose another.`
    case 'ENETDOWN':
      return `The network interface ${from} is down: is its cable in?`
    case 'ENETUNREACH':
    case 'EHOSTUNREACH':
    case 'EINVAL':
      return to === undefined
        ? `Nothing can be sent from ${from}.`
        : `No way leads from ${from} to ${to}: choose the interface that ${to} can be reached from.`
    case 'EACCES':
    case 'EPERM':
      return `This machine does not allow sending from ${from}${to === undefined ? '' : ` to ${to}`}.`
    default:
      return `Sending from ${from} fails: ${error instanceof Error ? error.message : String(error)}.`
  }
}
