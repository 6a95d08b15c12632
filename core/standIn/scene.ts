/** What the stand-in's page is told: the rig as it is drawn, what is off of it, and what it does as it does it. */
import { z } from 'zod'
import { attributeId, type Attribute } from '../attributes/attribute'
import type { ReceivedValues } from '../output/received'
import { fixtureId, showId, type FixtureId } from '../show/ids'
import { anglesValue, numberValue, partsValue, spinValue, type PlainValue } from '../show/values'
import { howOff } from './hiddenErrors'

/** `document` is the show as it is drawn, as a back-up holds it. */
export const standInScene = z.strictObject({ show: showId, document: z.unknown(), how: howOff })
export type StandInScene = z.infer<typeof standInScene>

const done = z.discriminatedUnion('kind', [anglesValue, numberValue, spinValue, partsValue])
/** What fixtures do that do otherwise than they were told last, all of them at first; and which heads turn. */
export const standInMoves = z.strictObject({
  moves: z.array(z.tuple([fixtureId, z.array(z.tuple([attributeId, done]))])),
  turning: z.array(fixtureId),
})

/** Moves as they are told. */
export function movesToTell(values: ReceivedValues): [FixtureId, [Attribute, PlainValue][]][] {
  return [...values].map(([fixture, all]) => [fixture, [...all]])
}

/** What fixtures do, with news of it. */
export function withMoves(values: ReceivedValues, { moves }: z.infer<typeof standInMoves>): ReceivedValues {
  return new Map([...values, ...moves.map(([fixture, all]) => [fixture, new Map(all)] as const)])
}
