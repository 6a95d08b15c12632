/** Hears levels on one network interface, by both protocols; that of this machine alone hears nobody else. */
import { createSocket, type RemoteInfo, type Socket } from 'node:dgram'
import { ART_NET_PORT, decodeArtNet } from '#core/output/wire/artNet'
import { decodeE131, E131_PORT, multicastOf } from '#core/output/wire/e131'
import { Sources, type LevelsHeard } from '#core/output/sources'
import { LOOPBACK, PROTOCOLS, type Protocol } from '#core/show/entities'

/** The system lets one listener join so many groups; universes beyond come by address only. */
const MOST_GROUPS = 20
/** Room for what arrives while the thread is busy, bytes. */
const BUFFER = 1 << 20

const PORT: Readonly<Record<Protocol, number>> = { 'E1.31': E131_PORT, 'Art-Net': ART_NET_PORT }

export class Ear {
  readonly sources = new Sources()
  readonly #sockets = new Map<Protocol, Socket>()
  readonly #troubles = new Map<Protocol, string>()
  /** What came and is no packet, since it was asked last. */
  #foreign = 0

  /** `universes` are joined by multicast. */
  constructor(
    private readonly from: string,
    universes: readonly number[],
  ) {
    for (const protocol of PROTOCOLS) this.#open(protocol, protocol === 'E1.31' ? universes : [])
  }

  #open(protocol: Protocol, universes: readonly number[]): void {
    const socket = createSocket({ type: 'udp4', reuseAddr: true })
    this.#sockets.set(protocol, socket)
    const fail = (error: Error) =>
      this.#troubles.set(protocol, `${protocol} cannot be heard on ${this.from}: ${error.message}.`)
    socket.on('error', (error) => {
      fail(error)
      this.#sockets.delete(protocol)
      socket.close()
    })
    socket.on('message', (bytes, sender) => this.#hear(protocol, bytes, sender))
    socket.bind(PORT[protocol], () => {
      try {
        socket.setRecvBufferSize(BUFFER)
        for (const universe of universes.slice(0, MOST_GROUPS)) socket.addMembership(multicastOf(universe), this.from)
      } catch (error) {
        if (error instanceof Error) fail(error)
      }
    })
    if (universes.length > MOST_GROUPS)
      this.#troubles.set(
        protocol,
        `By multicast the first ${MOST_GROUPS} universes are heard, others where they are sent to this machine.`,
      )
  }

  #hear(protocol: Protocol, bytes: Uint8Array, sender: RemoteInfo): void {
    if (this.from === LOOPBACK && !sender.address.startsWith('127.')) return
    const heard = protocol === 'E1.31' ? e131Heard(bytes) : artNetHeard(bytes, sender)
    if (heard) this.sources.hear(heard, performance.now())
    else if (heard === null) this.#foreign += 1
  }

  /** What was heard since it was asked last. */
  tell() {
    this.sources.forget(performance.now())
    const { sources, leftOut } = this.sources.tell()
    const told = { sources, leftOut: leftOut + this.#foreign, trouble: [...this.#troubles.values()].join(' ') || null }
    this.#foreign = 0
    return told
  }

  close(): void {
    for (const socket of this.#sockets.values()) socket.close()
    this.#sockets.clear()
  }
}

/** Levels in a packet; undefined for packets of something else, null for what is no packet. */
function e131Heard(bytes: Uint8Array): LevelsHeard | null | undefined {
  const packet = decodeE131(bytes)
  if (packet?.kind !== 'levels') return packet && undefined
  // Other start codes are no levels; a preview is not meant for the stage.
  if (packet.startCode !== 0 || packet.isPreview) return undefined
  const { universe, priority, sequence, isTerminated, levels, source } = packet
  const id = Buffer.from(source.cid).toString('hex')
  return { protocol: 'E1.31', universe, priority, sequence, isTerminated, levels, source: id, name: source.name }
}

function artNetHeard(bytes: Uint8Array, { address }: RemoteInfo): LevelsHeard | null | undefined {
  const packet = decodeArtNet(bytes)
  if (packet?.kind !== 'levels') return packet && undefined
  const { port, sequence, levels } = packet
  return { protocol: 'Art-Net', universe: port + 1, sequence, levels, source: address, name: address }
}
