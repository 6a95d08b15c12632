/** Which Host and Origin headers are our own, and which requests come from this very machine. */

const LOOPBACK_NAMES = new Set(['127.0.0.1', 'localhost', '[::1]'])
/** What something in front of us adds to requests of others. */
const PASSED_ON = ['forwarded', 'via', 'x-forwarded-for', 'x-forwarded-host', 'x-real-ip']

const nameOf = (host: string) => host.replace(/:\d+$/, '').toLowerCase()

/** An address as it stands in a Host header. */
function inHost(address: string): string {
  const plain = address
    .replace(/^::ffff:/i, '')
    .replace(/%.*$/, '')
    .toLowerCase()
  return plain.includes(':') ? `[${plain}]` : plain
}

/**
 * Whether a Host header names a machine we do not serve as. Our own are the loopback names, the
 * address the request came in at, and the names that are `allowed`: a page elsewhere cannot have
 * a browser send any of these.
 */
export function isForeignHost(
  host: string | undefined,
  allowed: readonly string[],
  cameInAt: string | undefined,
): boolean {
  if (host === undefined) return true
  const name = nameOf(host)
  if (LOOPBACK_NAMES.has(name) || allowed.includes(name)) return false
  return cameInAt === undefined || name !== inHost(cameInAt)
}

/** Whether a write comes from elsewhere. Programs that are no browsers send neither header. */
export function isForeignOrigin(
  origin: string | undefined,
  host: string | undefined,
  site: string | undefined,
): boolean {
  if (origin !== undefined) return !URL.canParse(origin) || new URL(origin).host !== host
  return site !== undefined && site !== 'same-origin' && site !== 'none'
}

/** Whether a request comes from this very machine and was meant for it, and was not passed on for another. */
export function isFromThisMachine(
  remote: string | undefined,
  headers: Readonly<Record<string, string | string[] | undefined>>,
): boolean {
  const address = remote?.replace(/^::ffff:/i, '') ?? ''
  const isLoopback = address === '::1' || /^127\.\d+\.\d+\.\d+$/.test(address)
  const { host } = headers
  if (!isLoopback || typeof host !== 'string' || !LOOPBACK_NAMES.has(nameOf(host))) return false
  return PASSED_ON.every((name) => headers[name] === undefined)
}
