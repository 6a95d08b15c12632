/** The registry of shows of this server process, opened at the first use. */
import { ShowRegistry } from './showRegistry'
import { warmUp } from './warmUp'

/** The build puts threads beside the server; where that is, is known only once the server has been loaded. */
const threads = () => ({
  outputThread: new URL('./outputThread.mjs', import.meta.url),
  inputThread: new URL('./inputThread.mjs', import.meta.url),
})

let opening: Promise<ShowRegistry> | null = null

/** The registry of shows, opened at the first use; throws where that fails, and the next use tries again. */
export function useShowRegistry(): Promise<ShowRegistry> {
  opening ??= openHouse().catch((error: unknown) => {
    opening = null
    throw error
  })
  return opening
}

async function openHouse(): Promise<ShowRegistry> {
  const registry = await ShowRegistry.open(useRuntimeConfig().databaseUrl, threads())
  try {
    await registry.loadDemoWhenEmpty()
    void warmUp(registry)
    return registry
  } catch (error) {
    await registry.close()
    throw error
  }
}

export async function closeShowRegistry(): Promise<void> {
  const registry = await opening?.catch(() => null)
  opening = null
  await registry?.close()
}
