/** What is off of a stand-in rig, in words, hang by hang. */
import { group } from 'd3-array'
import { listInWords } from '#core/show/listInWords'
import { numberOfFixture } from '#core/show/cells'
import { rigOf } from '#core/show/rig'
import type { FixtureId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import type { HiddenErrors } from '#core/standIn/hiddenErrors'
import { errorInWords } from '../refocus/trueUpWords'

export interface HangRevealed {
  readonly name: string
  readonly words: string
  readonly heads: readonly {
    readonly number: string
    /** Along, out and down in centimetres; yaw, pitch and roll in degrees. */
    readonly figures: readonly string[]
    readonly mistake: string | null
  }[]
}

const said = (error: object) => {
  const { moved, turned } = errorInWords(error)
  const all = [...moved, ...turned]
  return all.length > 0 ? listInWords(all) : 'as drawn'
}

/** Everything that is off, in order of hangs as their heads are numbered. */
export function revealed(show: Show, errors: HiddenErrors): HangRevealed[] {
  const heads = [...errors.heads].flatMap(([id, error]) => {
    const rigged = rigOf(show).get(id)
    return rigged ? [{ id, hang: rigged.place.hang, error }] : []
  })
  return [...group(heads, ({ hang }) => hang)].map(([hang, own]) => ({
    name: show.all.hang.get(hang)?.name ?? '',
    words: said(errors.hangs.get(hang) ?? {}),
    heads: own.map(({ id, error }) => {
      const { along, out, drop, yaw, pitch, roll } = error
      const figures = [
        ...[along, out, drop].map((by) => signed(by * 100, 0)),
        ...[yaw, pitch, roll].map((by) => signed(by, 1)),
      ]
      return { number: numberOfFixture(show, id), figures, mistake: mistakeOf(show, errors, id) }
    }),
  }))
}

function signed(number: number, digits: number): string {
  const text = Math.abs(number).toFixed(digits)
  if (Number(text) === 0) return '0'
  return `${number < 0 ? '−' : '+'}${text}`
}

function mistakeOf(show: Show, errors: HiddenErrors, id: FixtureId): string | null {
  if (errors.turnedRound === id) return 'hung the other way round'
  if (errors.panInverted === id) return 'pans the other way'
  const tilt = errors.heads.get(id)?.tiltZero ?? 0
  if (tilt !== 0) return `tilts ${signed(tilt, 1)}° from what it is asked`
  if (errors.misaddressed?.fixture === id)
    return `listens at the address of ${numberOfFixture(show, errors.misaddressed.as)}`
  return null
}
