/** The house of this server process, opened at the first use. */
import { House } from './house'

/** The build puts the thread beside the server; where that is, is known only once the server has been loaded. */
const outputThread = () => new URL('./outputThread.mjs', import.meta.url)

let opening: Promise<House> | null = null

export function useHouse(): Promise<House> {
  opening ??= House.open(useRuntimeConfig().databaseUrl, outputThread()).then(async (house) => {
    await house.loadDemoWhenEmpty()
    return house
  })
  return opening
}

export async function closeHouse(): Promise<void> {
  const house = await opening?.catch(() => null)
  opening = null
  await house?.close()
}
