/**
 * Universes count from 1 everywhere in the product. On the wire some protocols count so too
 * (streaming ACN), others from 0 in a port address of net, sub-net and universe (Art-Net).
 */

/** A port address, which counts from 0, and its three parts as they go out: 7, 4 and 4 bits. */
export interface PortAddress {
  readonly port: number
  readonly net: number
  readonly subNet: number
  readonly universe: number
}

const HIGHEST_PORT = 32767

/** The port address of a universe that counts from 1; null above what the protocol can carry. */
export function portAddress(universe: number): PortAddress | null {
  const port = universe - 1
  if (port < 0 || port > HIGHEST_PORT) return null
  return { port, net: port >> 8, subNet: (port >> 4) & 15, universe: port & 15 }
}
