/**
 * PostgreSQL's programs: which versions are here, installing one, and running them. PostgreSQL
 * refuses to run as root, so as root its programs run as its own user.
 */
import { execFile, spawn, spawnSync, type ChildProcess } from 'node:child_process'
import { existsSync, mkdirSync, readdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { installPackages } from '../packages'

const run = promisify(execFile)
export const isRoot = process.getuid?.() === 0
/** Where Debian puts each version. */
const PACKAGED = '/usr/lib/postgresql'
/** The version a new cluster is made with where none is installed. */
const USUAL = '15'

export interface Programs {
  readonly version: string
  readonly folder: string
}

/** The versions that are installed, newest first. */
export function installedVersions(): string[] {
  if (!existsSync(PACKAGED)) return []
  return readdirSync(PACKAGED)
    .filter((version) => existsSync(join(PACKAGED, version, 'bin', 'initdb')))
    .sort((a, b) => Number(b) - Number(a))
}

/** The programs a new cluster is made with; installs them where there are none and we may. */
export function newestPrograms(say: (line: string) => void): Programs {
  const version = installedVersions()[0]
  if (version) return programsOf(version)
  install(say)
  return programsOf(USUAL)
}

/** The programs of one version, which must be installed. */
export function programsOf(version: string): Programs {
  return { version, folder: join(PACKAGED, version, 'bin') }
}

function install(say: (line: string) => void): void {
  if (!isRoot)
    throw new Error(
      `PostgreSQL is not installed. Ask for it to be installed (on Debian: apt-get install postgresql-${USUAL}) and start again.`,
    )
  say('Installing PostgreSQL from Debian’s packages.')
  mkdirSync('/etc/postgresql-common', { recursive: true })
  if (!existsSync('/etc/postgresql-common/createcluster.conf'))
    writeFileSync('/etc/postgresql-common/createcluster.conf', 'create_main_cluster = false\n')
  installPackages([`postgresql-${USUAL}`])
  if (!installedVersions().includes(USUAL)) throw new Error('PostgreSQL was installed but its programs were not found.')
}

/** The command that runs a program as the owner of our clusters. */
function asOwner(command: string, args: readonly string[]): [string, string[]] {
  return isRoot ? ['runuser', ['-u', 'postgres', '--', command, ...args]] : [command, [...args]]
}

/** Runs one of the programs to its end; throws with what it said last when it fails. */
export async function runProgram(programs: Programs, program: string, args: readonly string[]): Promise<void> {
  try {
    await run(...asOwner(join(programs.folder, program), args), { cwd: '/' })
  } catch (cause) {
    const said = String(Reflect.get(Object(cause), 'stderr'))
      .trim()
      .split('\n')
    const fault = said.find((line) => /error|fatal/i.test(line)) ?? said.at(-1)
    throw new Error(`PostgreSQL’s ${program} failed: ${fault}`, { cause })
  }
}

/**
 * Runs what stands beside postgres while it runs: it stops postgres as soon as its standard input
 * ends, which it does when this process ends in whatever way, and asks again until it has: one that is
 * just starting may not hear it. Postgres hears no Ctrl C itself. Nothing of it outlives postgres: the
 * watcher is killed while it listens, and waited for, with the pause it may be in, once it asks.
 */
const KEEPER = `exec 3<&0
"$0" "$@" </dev/null & server=$!
(read -r line <&3; trap '' TERM; while kill -INT "$server" 2>/dev/null; do sleep 0.1 3<&- 2>/dev/null; done) & watcher=$!
wait "$server"; status=$?
kill "$watcher" 2>/dev/null
wait "$watcher" 2>/dev/null
exit "$status"`

/** Starts postgres so that it ends with this process; ending its standard input stops it in good order. */
export function spawnPostgres(programs: Programs, args: readonly string[]): ChildProcess {
  const [command, full] = asOwner('sh', ['-c', KEEPER, join(programs.folder, 'postgres'), ...args])
  return spawn(command, full, { cwd: '/', detached: true, stdio: ['pipe', 'ignore', 'pipe'] })
}

/** The numbers of PostgreSQL's own user, for what must be his. */
export function ownerIds(): { uid: number; gid: number } {
  const id = (flag: string) => Number(spawnSync('id', [flag, 'postgres'], { encoding: 'utf8' }).stdout)
  return { uid: id('-u'), gid: id('-g') }
}

/** Whether PostgreSQL's own user can enter a folder; only asked as root. */
export function ownerCanEnter(folder: string): boolean {
  return spawnSync('runuser', ['-u', 'postgres', '--', 'test', '-x', folder], { cwd: '/' }).status === 0
}
