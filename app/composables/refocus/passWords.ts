/** A pass in words. */
import { mean } from 'd3-array'
import type { StageFixture } from '#core/cues/onStage'
import { offsetInWords } from '#core/geometry/lengthInWords'
import type { PassProgress, PassState } from '#core/refocus/pass'
import type { Touch } from '#core/refocus/touchUpBy'
import { cuesUsing } from '#core/palettes/use'
import { counted } from '#core/show/counted'
import type { PaletteId } from '#core/show/ids'
import type { Show } from '#core/show/show'

/** The ink each state is written in. */
export const STATE_INK: Readonly<Record<PassState, string>> = {
  'to do': 'text-haze',
  'right as solved': 'text-kelp',
  'touched up': 'text-shoal',
  'needs another look': 'text-brass',
  'cannot be done here': 'text-coral',
}

export const ORDER_NAMES = [
  { key: 'by cue', name: 'by cue' },
  { key: 'by walk', name: 'by walk' },
  { key: 'by hand', name: 'by hand' },
] as const

/** "7 of 18, about 25 minutes left" */
export function progressInWords({ done, all, minutesLeft }: PassProgress): string {
  const left = minutesLeft === null ? '' : `, about ${minutesLeft === 1 ? 'a minute' : `${minutesLeft} minutes`} left`
  return done === all && all > 0 ? `all ${all} done` : `${done} of ${all}${left}`
}

/** "0.10 m upstage, 0.12 m to stage left", "pan 1.0°, tilt -0.5°"; empty for what is not touched up. */
export function touchInWords(touch: Touch | null): string {
  if (!touch) return ''
  const { offset, pan, tilt } = touch
  const turned = pan === 0 && tilt === 0 ? '' : `pan ${pan.toFixed(1)}°, tilt ${tilt.toFixed(1)}°`
  return [offsetInWords(offset), turned].filter((part) => part).join(', ')
}

/** What lies ahead as one faces so many degrees clockwise from upstage. */
export function facingInWords(degrees: number): string {
  const sides = ['upstage', 'stage left', 'downstage', 'stage right'] as const
  return sides[Math.round((((degrees % 360) + 360) % 360) / 90) % 4] ?? 'upstage'
}

/** "8 beams at Gallery rail, 3.1 m up; pool 1.2 m": where the light of a palette falls. */
export function lightInPlaceWords(show: Show, light: readonly StageFixture[]): string {
  const targets = new Set(
    light.flatMap(({ positionValue }) => (positionValue?.kind === 'aim' ? (positionValue.target ?? []) : [])),
  )
  const [target] = targets
  const at = targets.size === 1 && target ? ` at ${show.all.target.get(target)?.name ?? ''}` : ''
  const heights = light.flatMap(({ position }) => position.point?.z ?? [])
  const height = mean(heights) ?? 0
  const pool = mean(light.flatMap(({ zoom }) => zoom.pool ?? []))
  const up = height >= 0.05 ? `, ${height.toFixed(1)} m up` : ''
  return `${counted(light.length, 'beam')}${at}${up}${pool === undefined ? '' : `; pool ${pool.toFixed(1)} m`}`
}

/** "In 9 cues, first in 11" */
export function cuesInWords(show: Show, palette: PaletteId): string {
  const numbers = cuesUsing(show, palette).flatMap((cue) => show.all.cue.get(cue)?.number ?? [])
  if (numbers.length === 0) return 'In no cue'
  return numbers.length === 1 ? `In cue ${numbers[0]}` : `In ${numbers.length} cues, first in ${Math.min(...numbers)}`
}
