/** Values of cues taken into the hand: which, of whom, and as what. */
import { z } from 'zod'
import type { ValueMap } from '../../cues/playback'
import { setInHand } from '../../hand/setInHand'
import { resolveValue } from '../../palettes/resolve'
import type { Draft } from '../../show/draft'
import { familyOf } from '../../attributes/attribute'
import { FAMILIES, type Family } from '../../attributes/families'
import type { FixtureId, PersonId } from '../../show/ids'
import { rigOf } from '../../show/rig'
import type { Show } from '../../show/show'
import { fixtureChoice } from './fixtureChoice'
import type { FixtureValue } from '../../show/fixtureValue'

/** `fixtures` null takes all; `as` loose resolves links to what they come to. */
export const takeChoice = {
  families: z.array(z.enum(FAMILIES)).min(1, 'choose a family'),
  fixtures: fixtureChoice,
  as: z.enum(['link', 'loose']),
}

interface TakeChoice {
  readonly families: readonly Family[]
  readonly fixtures: readonly FixtureId[] | null
  readonly as: 'link' | 'loose'
}

/** Values one by one. */
export function eachOf(values: ValueMap): FixtureValue[] {
  return [...values].flatMap(([fixture, ofFixture]) =>
    [...ofFixture].map(([attribute, value]) => ({ fixture, attribute, value })),
  )
}

/** Those of the families and fixtures that are meant. */
export function chosenValues<V extends Pick<FixtureValue, 'fixture' | 'attribute'>>(
  values: readonly V[],
  { families, fixtures }: Pick<TakeChoice, 'families' | 'fixtures'>,
): V[] {
  const wanted = fixtures && new Set(fixtures)
  return values.filter(
    ({ fixture, attribute }) => families.includes(familyOf(attribute)) && (!wanted || wanted.has(fixture)),
  )
}

/** Puts them in hand; returns whose. */
export function putIntoHand(
  show: Show,
  draft: Draft,
  person: PersonId,
  values: readonly FixtureValue[],
  choice: TakeChoice,
): FixtureId[] {
  const taken = new Set<FixtureId>()
  for (const { fixture, attribute, value } of chosenValues(values, choice)) {
    const rigged = rigOf(show).get(fixture)
    const plain = choice.as === 'loose' && rigged ? resolveValue(show, rigged, attribute, value).value : value
    if (!plain) continue
    setInHand(draft, person, fixture, attribute, plain)
    taken.add(fixture)
  }
  return [...taken]
}
