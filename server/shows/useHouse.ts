/** The house of this server process, opened at the first use. */
import { House } from './house'

/** The build puts the thread beside the server; where that is, is known only once the server has been loaded. */
const outputThread = () => new URL('./outputThread.mjs', import.meta.url)

let opening: Promise<House> | null = null

/** The house, opened at the first use; where that fails, the next use tries again. */
export function useHouse(): Promise<House> {
  opening ??= openHouse().catch((error: unknown) => {
    opening = null
    throw error
  })
  return opening
}

async function openHouse(): Promise<House> {
  const house = await House.open(useRuntimeConfig().databaseUrl, outputThread())
  try {
    await house.loadDemoWhenEmpty()
    return house
  } catch (error) {
    await house.close()
    throw error
  }
}

export async function closeHouse(): Promise<void> {
  const house = await opening?.catch(() => null)
  opening = null
  await house?.close()
}
