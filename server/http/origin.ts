/** Which Host and Origin headers are our own. */

const LOOPBACK = new Set(['127.0.0.1', 'localhost', '[::1]'])

/** Whether a Host header names a machine we do not serve as. `allowed` adds names to the loopback ones. */
export function isForeignHost(host: string | undefined, allowed: readonly string[]): boolean {
  if (host === undefined) return true
  const name = host.replace(/:\d+$/, '').toLowerCase()
  return !LOOPBACK.has(name) && !allowed.includes(name)
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
