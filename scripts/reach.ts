/** Where people on other machines reach this one. */
import { X509Certificate } from 'node:crypto'
import { hostname, networkInterfaces } from 'node:os'

export interface Reach {
  /** Names besides its addresses by which this machine may be called. */
  readonly names: readonly string[]
  /** Addresses of the application, the one to tell people first; none where it listens to this machine alone. */
  readonly addresses: readonly string[]
}

const ALL_ADDRESSES = new Set(['0.0.0.0', '::'])
const isLoopback = (host: string) => host === 'localhost' || host === '::1' || host.startsWith('127.')

/** An address as it stands in a URL. */
export const inUrl = (host: string) => (host.includes(':') ? `[${host}]` : host)

/** The DNS names a certificate is for, without those for many at once. */
function namesOf(certificate: string): string[] {
  const names = new X509Certificate(certificate).subjectAltName ?? ''
  return [...names.matchAll(/DNS:([\w.-]+)/g)].flatMap(([, name]) => name ?? [])
}

export function machineNames(): string[] {
  const name = hostname().toLowerCase()
  return name.includes('.') ? [name] : [name, `${name}.local`]
}

/** The addresses of this machine that others can have, IPv4 first. */
export function machineAddresses(): string[] {
  const all = Object.values(networkInterfaces()).flatMap((each) => each ?? [])
  const outside = all.filter(({ internal, address }) => !internal && !address.startsWith('fe80'))
  return ['IPv4', 'IPv6'].flatMap((family) =>
    outside.filter((one) => one.family === family).map(({ address }) => address),
  )
}

/** `certificate` is the one it serves with over HTTPS, where it does: what it names is told first. */
export function reachOf(host: string, port: number, certificate: string | null): Reach {
  const certified = certificate === null ? [] : namesOf(certificate)
  const names = [...new Set([...certified, ...machineNames()])].map((name) => name.toLowerCase())
  if (isLoopback(host)) return { names, addresses: [] }
  const own = machineAddresses().filter((address) => host !== '0.0.0.0' || !address.includes(':'))
  // A machine on no network for now may be on one later, by its name.
  const everywhere = own.length > 0 ? own : machineNames()
  const listening = ALL_ADDRESSES.has(host) ? everywhere : [host]
  const told = certified.filter((name) => !machineNames().includes(name) && name !== 'localhost')
  const scheme = certificate === null ? 'http' : 'https'
  return { names, addresses: [...told, ...listening].map((address) => `${scheme}://${inUrl(address)}:${port}`) }
}
