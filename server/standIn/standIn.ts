/** The stand-in rig of this server: at most one, for one show at a time. It ends with the server. */
import { fork, type ChildProcess } from 'node:child_process'
import { showFileHead } from '#core/exchange/showFile'
import { plainCollections } from '#core/history/collections'
import type { Show } from '#core/show/show'
import { rigAlone } from '#core/standIn/rigAlone'
import type { HowOff } from '#core/standIn/hiddenErrors'
import { STAGE_KINDS } from '#core/venue/stage'
import { log } from '../http/log'
import type { LiveShow } from '../shows/liveShow'
import { fromStandIn, type FromStandIn, type ToStandIn } from './messages'

/** Its page is at the first free port from here on. */
const FIRST_PORT = 4320
/** A show that goes on changing is told of so often, milliseconds. */
const TELL_AFTER = 200

/** A show as the stand-in is handed it. */
export function handedOver(show: Show) {
  const alone = rigAlone(show)
  return { ...showFileHead(alone, new Date().toISOString()), contents: plainCollections(alone) }
}

/** Starts the program; resolves to its address once its page answers, rejects with why it does not. */
export async function startProgram(
  script: string,
  begin: Omit<Extract<ToStandIn, { kind: 'begin' }>, 'kind' | 'port'>,
): Promise<{ child: ChildProcess; url: string }> {
  const child = fork(script, [], { execArgv: [], stdio: ['ignore', 'inherit', 'inherit', 'ipc'] })
  child.send({ kind: 'begin', port: FIRST_PORT, ...begin } satisfies ToStandIn)
  const told = await new Promise<FromStandIn>((resolve, reject) => {
    child.once('message', (message) => resolve(fromStandIn.parse(message)))
    child.once('error', reject)
    child.once('exit', () => reject(new Error('The stand-in rig ended before it began.')))
  })
  if (told.kind === 'ready') return { child, url: told.url }
  throw new Error(told.message)
}

interface Running {
  readonly live: LiveShow
  readonly child: ChildProcess
  readonly url: string
  readonly unsubscribe: () => void
}

export class StandIn {
  #running: Running | null = null
  #starting: Promise<void> | null = null

  constructor(private readonly script: string) {}

  /** Where the page of the stand-in of a show is, or that of another show; null where none runs. */
  get running(): Pick<Running, 'url' | 'live'> | null {
    return this.#running
  }

  /** Starts it for a show, hung as that is drawn but for what is off; ends the one of another. */
  async start(live: LiveShow, how: HowOff): Promise<void> {
    await this.#starting
    this.stop()
    this.#starting = this.#start(live, how)
    try {
      await this.#starting
    } finally {
      this.#starting = null
    }
  }

  async #start(live: LiveShow, how: HowOff): Promise<void> {
    let told = live.show
    const { child, url } = await startProgram(this.script, { document: handedOver(told), how })
    let waiting: NodeJS.Timeout | null = null
    const tellStage = () => {
      waiting ??= setTimeout(() => {
        waiting = null
        const { show } = live
        if (![...STAGE_KINDS, 'surveyed' as const, 'output' as const].some((kind) => show.all[kind] !== told.all[kind]))
          return
        told = show
        if (child.connected) child.send({ kind: 'stage', document: handedOver(show) } satisfies ToStandIn)
      }, TELL_AFTER)
    }
    const unsubscribe = live.subscribe({ entry: tellStage, reloaded: tellStage })
    // What changed while it was started.
    tellStage()
    const running = { live, child, url, unsubscribe }
    this.#running = running
    child.once('exit', (code) => {
      unsubscribe()
      if (this.#running !== running) return
      this.#running = null
      log.error({ code }, 'the stand-in rig ended by itself')
    })
  }

  stop(): void {
    const running = this.#running
    this.#running = null
    running?.unsubscribe()
    running?.child.kill()
  }
}
