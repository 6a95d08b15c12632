/**
 * A private PostgreSQL cluster in a folder of ours, on loopback only. Nothing here takes away a
 * cluster that is there: what cannot be opened is refused with what is missing and how to mend it.
 */
import type { ChildProcess } from 'node:child_process'
import {
  chownSync,
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  mkdtempSync,
  openSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join, resolve } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import pg from 'pg'
import { holdFolder } from '../folderHold'
import { freePort } from '../ports'
import {
  installedVersions,
  isRoot,
  newestPrograms,
  ownerCanEnter,
  ownerIds,
  programsOf,
  runProgram,
  spawnPostgres,
} from './programs'
import type { Programs } from './programs'
import { CLUSTER_OWNER, prepareServerRole, type Socket } from './serverRole'

/** A Unix socket's path may be at most 107 bytes, with its file name. */
const LONGEST_SOCKET_FOLDER = 90
/** How long a cluster may take to come up or to end, milliseconds. */
const LONGEST_WAIT = 60_000

const UNFINISHED = 'cluster.unfinished-'

export interface Cluster {
  /** The address of the database, for the server's role. */
  readonly address: string
  /** Resolves when the database ends, by itself or stopped, with its last words. */
  ended(): Promise<string>
  /** Starts it again where it has ended, at the same address; not once it was stopped. */
  restart(): Promise<void>
  stop(): Promise<void>
}

export interface ClusterSettings {
  /** PostgreSQL's own settings. */
  readonly settings: readonly string[]
  readonly mayCreateDatabases: boolean
}

const FOR_KEEPS: ClusterSettings = { settings: [], mayCreateDatabases: false }

/** For what may be lost when the machine fails: tests and pictures need not wait for the disk. */
const THROWAWAY: ClusterSettings = {
  settings: ['fsync=off', 'synchronous_commit=off', 'full_page_writes=off'],
  mayCreateDatabases: true,
}

/** The log of a week, a file a day, without statements and the values in them. */
const LOGGING = [
  'logging_collector=on',
  'log_directory=log',
  'log_filename=%a.log',
  'log_truncate_on_rotation=on',
  'log_rotation_age=1d',
  'log_rotation_size=0',
  'log_error_verbosity=terse',
  'log_min_error_statement=panic',
]

/** The first port a database tries to listen on, and how many it tries where others are quicker. */
const FIRST_PORT = 54310
const MOST_PORTS = 10
/** How PostgreSQL says that somebody else listens on its port. */
const PORT_TAKEN = 'could not create any TCP/IP sockets'

/** Who may come in, whatever the cluster was made with: by the socket its owner, over loopback by password anybody else. */
const WAYS_IN = `local all all trust
host all ${CLUSTER_OWNER} all reject
host all all 127.0.0.1/32 scram-sha-256
`

/**
 * Makes the cluster in `folder` if none is there and starts it. The folder must be held by this
 * process. Throws in words for a person where it cannot be opened; nothing is taken away then.
 */
export async function startCluster(
  folder: string,
  say: (line: string) => void,
  { settings, mayCreateDatabases }: ClusterSettings = FOR_KEEPS,
): Promise<Cluster> {
  const data = resolve(folder, 'cluster')
  mkdirSync(folder, { recursive: true, mode: 0o755 })
  // A start of an earlier release that was cut short left a password lying.
  rmSync(join(folder, 'password.init'), { force: true })
  const made = versionOf(data)
  const programs = made === null ? newestPrograms(say) : makersPrograms(data, made)
  if (made === null) await makeCluster(programs, data, say)
  await othersEnded(data)
  const sockets = socketFolder(data)
  const waysIn = writeWaysIn(data)
  const options = [
    ...[...LOGGING, ...settings, `hba_file=${waysIn}`, 'listen_addresses=127.0.0.1', 'unix_socket_permissions=0700'],
    `unix_socket_directories=${sockets}`,
  ]
  const start = (port: number) =>
    startedAlone(data, () => startedPostgres(programs, data, [...options, `port=${port}`]))
  const { port, postmaster } = await startedOnFreePort(start)
  const socket: Socket = { folder: sockets, port }
  let running = postmaster
  let isStopped = false
  let restarting: Promise<void> = Promise.resolve()
  const address = await prepareServerRole(socket, mayCreateDatabases).catch(async (error: unknown) => {
    await stopped(data, running)
    throw refusal(data, error)
  })
  return {
    address,
    ended: () => running.ended,
    restart: () => {
      restarting = othersEnded(data).then(async () => {
        if (!isStopped) running = await start(port)
      })
      return restarting
    },
    stop: async () => {
      isStopped = true
      // One that is just being started again would go on by itself.
      await restarting.catch(() => undefined)
      await stopped(data, running)
      if (sockets !== data) rmSync(sockets, { recursive: true, force: true })
    },
  }
}

/** A cluster for tests and pictures, in which databases can be made. */
export async function throwawayCluster(folder: string, say: (line: string) => void): Promise<Cluster> {
  mkdirSync(folder, { recursive: true })
  const hold = await holdFolder(folder, `Tests or pictures are already being made with ${folder}. Wait for them.`)
  const cluster = await startCluster(folder, say, THROWAWAY)
  const stop = () => cluster.stop().finally(() => hold.release())
  return { ...cluster, stop }
}

/** The version of PostgreSQL that made the cluster; null where there is none yet. Throws for anything else that is there. */
function versionOf(data: string): string | null {
  if (!existsSync(data) || contentsOf(data).length === 0) return null
  const file = join(data, 'PG_VERSION')
  if (existsSync(file)) return readFileSync(file, 'utf8').trim()
  throw new Error(
    `${data} is no whole database: its file PG_VERSION is missing. Nothing was changed. If your shows are in it, bring the folder back from a copy; ` +
      'if the file alone was lost, write into it the number of the PostgreSQL that made it, such as 15. If it is not Rhopander’s, move it elsewhere. Then start again.',
  )
}

/** A cluster is opened only by the version that made it. */
function makersPrograms(data: string, version: string): Programs {
  const installed = installedVersions()
  if (installed.includes(version)) return programsOf(version)
  const newer = installed[0]
  throw new Error(
    `${data} was made by PostgreSQL ${version}, which is not installed here. Nothing was changed. ` +
      `Install it (on Debian: apt-get install postgresql-${version}) and start again.` +
      (newer
        ? ` To move to PostgreSQL ${newer}: start once with ${version}, make a back-up of every show, move the folder elsewhere, start without it and restore the back-ups.`
        : ''),
  )
}

function contentsOf(folder: string): string[] {
  try {
    return readdirSync(folder)
  } catch (cause) {
    throw new Error(
      `${folder} cannot be read by this user. Nothing was changed. Start as the user it belongs to, or hand it over with chown -R, and start again.`,
      { cause },
    )
  }
}

/**
 * Makes a cluster beside its place and moves it there when it is whole and on the disk, so that
 * power cut at any moment leaves either none or a whole one. What an earlier try left is begun anew.
 */
async function makeCluster(programs: Programs, data: string, say: (line: string) => void): Promise<void> {
  say('Making a private database.')
  for (const left of readdirSync(dirname(data)).filter((name) => name.startsWith(UNFINISHED)))
    rmSync(join(dirname(data), left), { recursive: true, force: true })
  // A name of its own: what a killed try started may still be at work for a moment.
  const unfinished = join(dirname(data), `${UNFINISHED}${process.pid}`)
  mkdirSync(unfinished, { mode: 0o700 })
  if (isRoot) {
    const { uid, gid } = ownerIds()
    chownSync(unfinished, uid, gid)
    if (!ownerCanEnter(unfinished))
      throw new Error(
        'The user “postgres” cannot enter this project’s folder. Move the project where other users may enter, for example below /srv, and start again.',
      )
  }
  const ways = ['--auth-local=trust', '--auth-host=scram-sha-256']
  await runProgram(programs, 'initdb', [
    '-D',
    unfinished,
    '-U',
    CLUSTER_OWNER,
    ...ways,
    '-E',
    'UTF8',
    '--locale=C.UTF-8',
  ])
  renameSync(unfinished, data)
  syncFolder(dirname(data))
}

function syncFolder(folder: string): void {
  const handle = openSync(folder, 'r')
  fsyncSync(handle)
  closeSync(handle)
}

function socketFolder(data: string): string {
  if (Buffer.byteLength(data) < LONGEST_SOCKET_FOLDER) return data
  const folder = mkdtempSync(join(tmpdir(), 'rhopander-'))
  if (isRoot) chownSync(folder, ownerIds().uid, ownerIds().gid)
  return folder
}

function writeWaysIn(data: string): string {
  const file = join(data, 'ways_in.conf')
  writeFileSync(file, WAYS_IN, { mode: 0o600 })
  if (isRoot) chownSync(file, ownerIds().uid, ownerIds().gid)
  return file
}

interface Postmaster {
  readonly process: ChildProcess
  readonly ended: Promise<string>
}

async function startedPostgres(programs: Programs, data: string, options: readonly string[]): Promise<Postmaster> {
  const child = spawnPostgres(programs, ['-D', data, ...options.flatMap((option) => ['-c', option])])
  let words = ''
  let isOver = false
  child.stderr?.on('data', (chunk: Buffer) => (words = (words + chunk.toString()).slice(-2000)))
  const ended = new Promise<string>((resolve) => {
    child.once('error', (error) => resolve(error.message))
    child.once('close', () => resolve(words.trim()))
  })
  void ended.then(() => (isOver = true))
  const until = Date.now() + LONGEST_WAIT
  while (!isOver && Date.now() < until) {
    if (isReady(data)) return { process: child, ended }
    await pause(20)
  }
  const last = await stopped(data, { process: child, ended })
  throw new Error(`The database in ${data} did not start: ${lastWords(data, last)}. Mend this and start again.`)
}

/**
 * Starts where nobody else is. One whose starter was killed a moment ago may write its lock file only
 * now, while it is on its way out: it is waited for, and the start is tried once more.
 */
async function startedAlone(data: string, start: () => Promise<Postmaster>): Promise<Postmaster> {
  try {
    return await start()
  } catch (error) {
    if (!(error instanceof Error && error.message.includes('lock file'))) throw error
    await othersEnded(data)
    return start()
  }
}

/** Starts on the first free port. One that somebody else takes just before the start does is passed over. */
async function startedOnFreePort(
  start: (port: number) => Promise<Postmaster>,
): Promise<{ readonly port: number; readonly postmaster: Postmaster }> {
  for (let tried = 1, first = FIRST_PORT; ; tried++) {
    const port = await freePort(first)
    try {
      return { port, postmaster: await start(port) }
    } catch (error) {
      if (!(error instanceof Error && error.message.includes(PORT_TAKEN)) || tried === MOST_PORTS) throw error
      first = port + 1
    }
  }
}

/** Whether a postmaster runs and has written that it takes connections. */
function isReady(data: string): boolean {
  const lines = postmasterLines(data)
  return lines[7]?.trim() === 'ready' && isPostmasterOf(data, Number(lines[0]))
}

/** What the postmaster of a cluster writes of itself: its process first, its state eighth; empty where none runs. */
function postmasterLines(data: string): string[] {
  try {
    return readFileSync(join(data, 'postmaster.pid'), 'utf8').split('\n')
  } catch {
    return []
  }
}

/** A postmaster whose starter was killed is just ending; one that does not end was started by somebody else. */
async function othersEnded(data: string): Promise<void> {
  const until = Date.now() + LONGEST_WAIT
  for (;;) {
    const postmaster = Number(postmasterLines(data)[0])
    if (!isPostmasterOf(data, postmaster)) return
    if (Date.now() > until)
      throw new Error(
        `The database in ${data} is running already (process ${postmaster}) and was not started from here. Stop it with “kill -INT ${postmaster}” and start again.`,
      )
    await pause(50)
  }
}

/** The number in a file may be another process’s by now. */
function isPostmasterOf(data: string, process: number): boolean {
  try {
    return readFileSync(`/proc/${process}/cmdline`, 'utf8').split('\0').includes(data)
  } catch {
    return false
  }
}

/** Stops a postmaster in good order, or at once where that takes too long, and waits for its end; its last words. */
async function stopped(data: string, { process: child, ended }: Postmaster): Promise<string> {
  const postmaster = Number(postmasterLines(data)[0])
  child.stdin?.end()
  const force = setTimeout(() => isPostmasterOf(data, postmaster) && process.kill(postmaster, 'SIGQUIT'), LONGEST_WAIT)
  const last = await ended
  clearTimeout(force)
  return last
}

/** What went wrong in PostgreSQL’s own words: those it said, or the newest it wrote into its log. */
function lastWords(data: string, said: string): string {
  const lines = [...newestLog(data).split('\n'), ...said.split('\n')]
  return (lines.findLast((one) => /FATAL|PANIC/.test(one)) ?? said).replace(/^.*?(FATAL|PANIC):\s*/, '')
}

function newestLog(data: string): string {
  const folder = join(data, 'log')
  if (!existsSync(folder)) return ''
  const files = readdirSync(folder).map((name) => join(folder, name))
  const newest = files.sort((a, b) => statSync(b).mtimeMs - statSync(a).mtimeMs)[0]
  return newest ? readFileSync(newest, 'utf8') : ''
}

/** Names the database as somebody else’s where our role is not in it. */
function refusal(data: string, error: unknown): unknown {
  const isForeign = error instanceof pg.DatabaseError && error.code === '28000'
  return isForeign
    ? new Error(
        `${data} holds a database that is not Rhopander’s. Nothing in it was changed. Move it elsewhere and start again.`,
      )
    : error
}
