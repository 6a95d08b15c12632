/** Which value of a cue a command is about. */
import { z } from 'zod'
import { ATTRIBUTES } from '../../show/families'
import { cueId, fixtureId } from '../../show/ids'

export const cueValueKey = { cue: cueId, fixture: fixtureId, attribute: z.enum(ATTRIBUTES) }
