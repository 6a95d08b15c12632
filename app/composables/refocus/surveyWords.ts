/** What sightings tell, in words. */
import type { HANG_UNKNOWNS } from '#core/geometry/rigErrors'
import { listInWords } from '#core/show/listInWords'
import { numberOfFixture } from '#core/show/cells'
import { counted } from '#core/show/counted'
import type { Show } from '#core/show/show'
import type { HangTruth, HeadTruth } from '#core/survey/hangTruth'
import type { ProposedSighting } from '#core/survey/nextSighting'
import type { Suspicion } from '#core/survey/suspicions'
import { errorInWords } from './trueUpWords'

/** "34 cm", "0.4 cm"; from a metre on "2.2 m" */
export function centimetres(metres: number): string {
  const cm = metres * 100
  if (cm >= 99.5) return `${metres.toFixed(1)} m`
  return `${cm < 1 ? cm.toFixed(1) : Math.round(cm)} cm`
}

const UNTOLD: Readonly<Record<(typeof HANG_UNKNOWNS)[number], string>> = {
  x: 'where it hangs across the stage',
  y: 'how far upstage it hangs',
  z: 'how high it hangs',
  yaw: 'how it is turned',
}

/** What is told of a hang, and what is left as it is drawn. */
export function hangInWords({ estimate, untold, heads }: HangTruth): string {
  const seen = heads.reduce((sum, { sightings }) => sum + sightings.filter(({ sighting }) => sighting.counts).length, 0)
  if (seen === 0) return 'Nothing is told yet: note a light on a surveyed target.'
  const { moved, turned } = errorInWords(estimate.error, estimate.sure)
  const told = [...moved, ...turned]
  const says = told.length > 0 ? `It hangs ${listInWords(told)}.` : 'It hangs as it is drawn.'
  if (untold.length === 0) return says
  return `${says} Not told by ${counted(seen, 'sighting')}, and left as drawn: ${listInWords(untold.map((key) => UNTOLD[key]))}.`
}

/** What is told of a head besides its hang. */
export function headInWords({ estimate, sightings }: HeadTruth): string {
  if (sightings.length === 0) return 'not seen yet'
  const { tiltZero, ...hung } = estimate.error
  const { moved, turned } = errorInWords(hung)
  const tilt = Math.abs(tiltZero) >= 0.05 ? [`its tilt stands ${tiltZero.toFixed(1)}° off`] : []
  const told = [...moved, ...turned, ...tilt]
  return told.length > 0 ? `on its hang ${listInWords(told)}` : 'as drawn on its hang'
}

/** What is suspected of a head, and what to do. */
export function suspicionInWords(
  show: Show,
  { fixture, rigged }: Pick<HeadTruth, 'fixture' | 'rigged'>,
  suspicion: Suspicion,
): string {
  const number = numberOfFixture(show, rigged.id)
  const off = `Its lights are up to ${centimetres(suspicion.before)} off, more than a rig is`
  const known = [...show.all.fixtureCorrection.values()].find((one) => one.fixture === fixture)
  switch (suspicion.kind) {
    case 'isTurnedRound':
      return `${off}. ${number} seems to hang ${known?.isTurnedRound ? 'as drawn after all' : 'the other way round'}, turned by 180°.`
    case 'isPanInverted':
      return `${off}. The pan of ${number} seems to run ${known?.isPanInverted ? 'as it should after all' : 'the other way'}.`
    case 'isTiltInverted':
      return `${off}. The tilt of ${number} seems to run ${known?.isTiltInverted ? 'as it should after all' : 'the other way'}.`
    case 'address': {
      const neighbours = suspicion.neighbours.map((id) => numberOfFixture(show, id))
      const where =
        neighbours.length > 0
          ? `, perhaps where ${listInWords(neighbours)} ${neighbours.length > 1 ? 'do' : 'does'}`
          : ''
      return `${off}, and no way of hanging explains it. ${number} may listen at another’s address${where}: turn it and see which head moves.`
    }
  }
}

/** "Cross left with 14: its aims are sure within 9 cm, with it within 3." */
export function proposalInWords(show: Show, next: ProposedSighting): string {
  const name = show.all.target.get(next.target)?.name ?? ''
  const before = centimetres(next.before)
  return `${numberOfFixture(show, next.fixture)} on ${name} tells most: its aims are sure within ${before} now, within ${centimetres(next.after)} with it, and the others of its hang gain as well.`
}
