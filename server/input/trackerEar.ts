/** Hears trackers on one network interface; that of this machine alone hears nobody else. */
import { createSocket, type Socket } from 'node:dgram'
import { LOOPBACK } from '#core/show/entities'
import { decodePsn, PSN_GROUP, PSN_PORT, type TrackerPlace } from '#core/tracking/wire/psn'

/** More trackers than this are no stage but a flood. */
const MOST_TRACKERS = 1024

export class TrackerEar {
  readonly #socket: Socket
  /** Where trackers are that moved or said where they are since it was asked last. */
  #heard = new Map<number, TrackerPlace>()
  #names = new Map<number, string>()
  #system = ''
  #trouble: string | null = null
  #isOpen = true

  constructor(private readonly from: string) {
    const socket = createSocket({ type: 'udp4', reuseAddr: true })
    this.#socket = socket
    const fail = (error: Error) => (this.#trouble = `Trackers cannot be heard on ${from}: ${error.message}.`)
    socket.on('error', (error) => {
      fail(error)
      this.close()
    })
    socket.on('message', (bytes, sender) => this.#hear(bytes, sender.address))
    socket.bind(PSN_PORT, () => {
      try {
        socket.addMembership(PSN_GROUP, from)
      } catch (error) {
        if (error instanceof Error) fail(error)
      }
    })
  }

  #hear(bytes: Uint8Array, sender: string): void {
    if (this.from === LOOPBACK && !sender.startsWith('127.')) return
    const packet = decodePsn(bytes)
    if (packet?.kind === 'names') {
      this.#system = packet.system.slice(0, 80)
      this.#names = new Map([...packet.names].slice(0, MOST_TRACKERS).map(([id, name]) => [id, name.slice(0, 80)]))
    }
    if (packet?.kind !== 'places') return
    for (const tracker of packet.trackers)
      if (this.#heard.has(tracker.id) || this.#heard.size < MOST_TRACKERS) this.#heard.set(tracker.id, tracker)
  }

  /** Where trackers are of which anything was heard since it was asked last. */
  takePlaces(): TrackerPlace[] {
    const places = [...this.#heard.values()]
    this.#heard = new Map()
    return places
  }

  /** What the system and its trackers are called, and why nothing can be heard. */
  tell() {
    return { system: this.#system, names: [...this.#names], trouble: this.#trouble }
  }

  close(): void {
    if (this.#isOpen) this.#socket.close()
    this.#isOpen = false
  }
}
