/**
 * Takes what comes in over the network into the hand: linked to palettes that give the same, places tied
 * to the stage, the rest as it came; or all of it as it came.
 */
import { z } from 'zod'
import { attributeId } from '../../attributes/attribute'
import { LEADING } from '../../attributes/catalogue'
import { linkedOrTied } from '../../refocus/fromLevels'
import { counted } from '../../show/counted'
import { Draft } from '../../show/draft'
import { fixtureId } from '../../show/ids'
import { listInWords } from '../../show/listInWords'
import { rigOf } from '../../show/rig'
import { anglesValue, fitsAttribute, numberValue, partsValue, spinValue } from '../../show/values'
import { command, done, refuse } from '../command'
import { chosenValues, putIntoHand, takeChoice } from '../shared/takeValues'
import { fixturesInWords } from '../shared/wording'

const receivedValue = z.strictObject({
  fixture: fixtureId,
  attribute: attributeId,
  value: z.discriminatedUnion('kind', [anglesValue, numberValue, spinValue, partsValue]),
})

export const takeReceived = command({
  input: z.strictObject({ ...takeChoice, received: z.array(receivedValue).max(100_000) }),
  undoable: true,
  run(show, { received, ...choice }, { person }) {
    const able = chosenValues(received, choice).filter((one) => {
      const rigged = rigOf(show).get(one.fixture)
      // Where a cell points is its bar's.
      const isOwn = one.attribute !== LEADING.place || rigged?.bar === null
      return isOwn && rigged?.type.has.includes(one.attribute) && fitsAttribute(one)
    })
    const values =
      choice.as === 'link'
        ? able.map((one) => ({ ...one, value: linkedOrTied(show, one.fixture, one.attribute, one.value) }))
        : able
    const draft = new Draft(show)
    const fixtures = putIntoHand(show, draft, person, values, { ...choice, as: 'link' })
    if (fixtures.length === 0) return refuse('nothing received', { families: choice.families }, 'families')
    const links = values.filter(({ value }) => value.kind === 'link').length
    const linked = links === 0 ? '' : `, ${counted(links, 'link')} to palettes`
    const what = `${listInWords(choice.families)} of ${fixturesInWords(show, fixtures)}`
    return done(draft, `take ${what} as received${linked}`)
  },
})
