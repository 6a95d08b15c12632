/** Which value of a cue a command is about. */
import { attributeId } from '../../attributes/attribute'
import { cueId, fixtureId } from '../../show/ids'

export const cueValueKey = { cue: cueId, fixture: fixtureId, attribute: attributeId }
