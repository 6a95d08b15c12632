/** Debian's packages. */
import { spawnSync } from 'node:child_process'

/** Installs Debian packages without recommends; throws when that fails. */
export function installPackages(names: readonly string[]): void {
  const environment = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
  const apt = (args: string[]) =>
    spawnSync('apt-get', args, { stdio: ['ignore', 'ignore', 2], env: environment }).status === 0
  const install = ['install', '-y', '--no-install-recommends', ...names]
  if (apt(['-q', ...install]) || (apt(['-q', 'update']) && apt(['-q', ...install]))) return
  throw new Error(`Could not install ${names.join(', ')} from Debian’s packages. Check the network and start again.`)
}
