/** What touch-ups say of the rig, in words. */
import type { OffBy } from '#core/refocus/trueUpOffers'
import { numberOfFixture } from '#core/show/cells'
import { listInWords } from '#core/show/listInWords'
import type { Show } from '#core/show/show'

/** Below these a number is as drawn: metres, degrees. */
const LEAST = { metres: 0.005, degrees: 0.05 }
const SIDES: Readonly<Record<string, readonly [more: string, less: string]>> = {
  x: ['further to stage left', 'further to stage right'],
  y: ['further upstage', 'further downstage'],
  z: ['higher', 'lower'],
  along: ['further along its hang', 'back along its hang'],
  out: ['further out', 'further in'],
  drop: ['lower', 'higher'],
}
const cm = (metres: number) => `${Math.round(Math.abs(metres) * 100)} cm`

/** "Bar 2 seems to hang 11 cm lower, give or take 4" */
export function offInWords(show: Show, off: OffBy): string {
  const name =
    off.kind === 'hang' ? (show.all.hang.get(off.hang)?.name ?? '') : `Fixture ${numberOfFixture(show, off.fixture)}`
  const { moved, turned } = errorInWords(off.error, off.sure)
  const parts = [
    moved.length > 0 ? `hang ${listInWords(moved)}` : '',
    turned.length > 0 ? `be turned ${listInWords(turned)}` : '',
  ]
  return `${name} seems to ${parts.filter((part) => part).join(', and to ')}`
}

/** "11 cm lower", "0.8° in yaw"; with how sure that is, where it is said: one standard deviation. */
export function errorInWords(error: object, sure?: object): { moved: string[]; turned: string[] } {
  const deviations = new Map(Object.entries(sure ?? {}))
  const moved: string[] = []
  const turned: string[] = []
  for (const [key, by] of Object.entries(error)) {
    const [more, less] = SIDES[key] ?? []
    const give = 2 * (deviations.get(key) ?? 0)
    const within = (amount: string) => (sure ? `, give or take ${amount}` : '')
    if (more && less && Math.abs(by) >= LEAST.metres)
      moved.push(`${cm(by)} ${by > 0 ? more : less}${within(String(Math.max(1, Math.round(give * 100))))}`)
    if (!more && Math.abs(by) >= LEAST.degrees)
      turned.push(`${by.toFixed(1)}° in ${key}${within(Math.max(0.1, give).toFixed(1))}`)
  }
  return { moved, turned }
}
