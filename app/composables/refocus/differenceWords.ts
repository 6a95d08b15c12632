/** What two venues do to a palette, in words and numbers. */
import {
  lossesOf,
  LOSS_WORDS,
  LOSSES,
  turnOf,
  type FixtureDifference,
  type PaletteDifference,
} from '#core/refocus/difference'
import type { LightThere } from '#core/refocus/lightThere'
import { numbersInWords } from '#core/selection/written'
import type { Show } from '#core/show/show'

/** "44 absent there; 31, 32 set in the way" */
export function lossesInWords(show: Show, { fixtures }: Pick<PaletteDifference, 'fixtures'>): string {
  return LOSSES.flatMap((loss) => {
    const those = fixtures.filter((one) => lossesOf(one).includes(loss)).map(({ fixture }) => fixture)
    return those.length > 0 ? [`${numbersInWords(show, those)} ${LOSS_WORDS[loss]}`] : []
  }).join('; ')
}

/** The most any head turns, degrees. */
export function mostTurned({ fixtures }: Pick<PaletteDifference, 'fixtures'>): number {
  return Math.max(0, ...fixtures.flatMap((one) => turnOf(one) ?? []))
}

type Measure = 'throwMetres' | 'poolMetres' | 'lux'

/** A measure here and there, as the mean of those that have it in both; null where none has. */
export function measured({ fixtures }: PaletteDifference, measure: Measure): readonly [number, number] | null {
  const both = fixtures.flatMap(({ here, there }: FixtureDifference) => pairOf(here, there, measure))
  if (both.length === 0) return null
  const mean = (side: 0 | 1) => both.reduce((sum, pair) => sum + pair[side], 0) / both.length
  return [mean(0), mean(1)]
}

function pairOf(here: LightThere | null, there: LightThere | null, measure: Measure): (readonly [number, number])[] {
  const [one, other] = [here?.[measure] ?? null, there?.[measure] ?? null]
  return one !== null && other !== null ? [[one, other]] : []
}
