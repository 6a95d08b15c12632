/** The house of this server process, opened at the first use. */
import { House } from './house'

let opening: Promise<House> | null = null

export function useHouse(): Promise<House> {
  opening ??= House.open(useRuntimeConfig().databaseUrl).then(async (house) => {
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
