/** An output's packets, and where they go. */
import { createHash } from 'node:crypto'
import { ART_NET_PORT, encodeArtNetLevels, encodeArtNetSynchronisation } from '#core/output/wire/artNet'
import { E131_PORT, encodeDiscovery, encodeLevels, encodeSynchronisation, multicastOf } from '#core/output/wire/e131'
import { DISCOVERY_UNIVERSE } from '#core/output/wire/e131'
import type { Output } from '#core/show/entities'
import { broadcastFrom } from './interfaces'

/** A packet on its way. */
export interface Parcel {
  readonly bytes: Uint8Array
  readonly port: number
  readonly addresses: readonly string[]
}

/** What is sent of a universe; `universe` by its number as it goes out. */
export interface UniverseSent {
  readonly universe: number
  readonly sequence: number
  readonly levels: Uint8Array
}

/** How one protocol puts levels into packets. */
export interface Packets {
  levels(sent: UniverseSent): Parcel
  /** The number after a packet's. */
  after(sequence: number): number
  /** Tells receivers to show what they have; null where nothing is to wait. */
  synchronisation(sequence: number): Parcel | null
  /** Tells that a universe will be sent no more; null where the protocol has no word for it. */
  goodbye(sent: UniverseSent): Parcel | null
  /** Tells which universes are sent. */
  discovery(universes: readonly number[]): Parcel[]
}

/** The id an output is known by to receivers, for ever: 16 bytes, made of what it is. */
export function sourceIdOf(installation: string, output: string): Uint8Array {
  const bytes = createHash('sha256').update(`${installation} ${output}`).digest().subarray(0, 16)
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x80
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80
  return bytes
}

export function packetsOf(output: Output, cid: Uint8Array): Packets {
  return output.protocol === 'E1.31' ? e131Packets(output, cid) : artNetPackets(output)
}

function e131Packets({ addresses, priority, sync, sourceName }: Output, cid: Uint8Array): Packets {
  const source = { cid, name: sourceName }
  const parcel = (bytes: Uint8Array, universe: number): Parcel => ({
    bytes,
    port: E131_PORT,
    addresses: addresses.length > 0 ? addresses : [multicastOf(universe)],
  })
  const levels = (sent: UniverseSent, isTerminated: boolean) =>
    parcel(encodeLevels({ ...sent, source, priority, sync: sync ?? 0, isPreview: false, isTerminated }), sent.universe)
  return {
    levels: (sent) => levels(sent, false),
    after: (sequence) => (sequence + 1) & 255,
    synchronisation: (sequence) =>
      sync === null ? null : parcel(encodeSynchronisation({ cid, universe: sync, sequence }), sync),
    goodbye: (sent) => levels(sent, true),
    discovery: (universes) => encodeDiscovery(source, universes).map((bytes) => parcel(bytes, DISCOVERY_UNIVERSE)),
  }
}

function artNetPackets({ addresses, from, sync }: Output): Packets {
  const to = addresses.length > 0 ? addresses : [broadcastFrom(from)]
  const parcel = (bytes: Uint8Array): Parcel => ({ bytes, port: ART_NET_PORT, addresses: to })
  return {
    levels: ({ universe, sequence, levels }) => parcel(encodeArtNetLevels({ port: universe, sequence, levels })),
    // 0 would say that no order is kept.
    after: (sequence) => (sequence % 255) + 1,
    synchronisation: () => (sync === null ? null : parcel(encodeArtNetSynchronisation())),
    goodbye: () => null,
    discovery: () => [],
  }
}
