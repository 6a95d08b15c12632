/** The network interfaces of this machine. */
import { networkInterfaces } from 'node:os'
import type { NetworkInterface } from '#core/output/sendingStatus'

const ofVersion4 = () =>
  Object.entries(networkInterfaces()).flatMap(([name, addresses = []]) =>
    addresses.flatMap((one) => (one.family === 'IPv4' ? { name, ...one } : [])),
  )

/** Those with an address of version 4, the one that reaches this machine only first. */
export function interfacesHere(): NetworkInterface[] {
  return ofVersion4()
    .map(({ name, address, internal }) => ({ name, address, isLoopback: internal }))
    .sort((a, b) => Number(b.isLoopback) - Number(a.isLoopback))
}

/** The address of everybody on the network that an interface's address is in; that of all networks where it is not here. */
export function broadcastFrom(address: string): string {
  const found = ofVersion4().find((one) => one.address === address)
  if (!found) return '255.255.255.255'
  const mask = found.netmask.split('.').map(Number)
  const parts = address.split('.').map(Number)
  return parts.map((part, i) => (part & (mask[i] ?? 255)) | (~(mask[i] ?? 255) & 255)).join('.')
}
