/** The fixtures a command is for. */
import { z } from 'zod'
import { fixtureId } from '../../show/ids'

export const fixtures = z.array(fixtureId).min(1)
/** Null for all there are. */
export const fixtureChoice = fixtures.nullable()
