/** Values of cues taken into the hand: which, of whom, and as what. */
import { z } from 'zod'
import { putInHand } from '../hand/put'
import { resolveValue } from '../palettes/resolve'
import type { Draft } from '../show/draft'
import { ATTRIBUTES, FAMILIES, familyOf, type Family } from '../show/families'
import { asFixtureId, fixtureId, type FixtureId, type PersonId } from '../show/ids'
import { rigOf } from '../show/rig'
import type { Show } from '../show/show'
import type { Value } from '../show/values'

/** `fixtures` null takes all; `as` loose resolves links to what they come to. */
export const takeChoice = {
  families: z.array(z.enum(FAMILIES)).min(1, 'choose a family'),
  fixtures: z.array(fixtureId).min(1).nullable(),
  as: z.enum(['link', 'loose']),
}

interface TakeChoice {
  readonly families: readonly Family[]
  readonly fixtures: readonly FixtureId[] | null
  readonly as: 'link' | 'loose'
}

/** A value by `fixture attribute`. */
export interface KeyedValue {
  readonly key: string
  readonly value: Value
}

/** The values a choice lets through, by fixture. */
export function chosenValues(values: readonly KeyedValue[], { families, fixtures }: TakeChoice) {
  const wanted = fixtures && new Set<string>(fixtures)
  return values.flatMap(({ key, value }) => {
    const [fixture = '', name] = key.split(' ')
    const attribute = ATTRIBUTES.find((known) => known === name)
    if (!attribute || !families.includes(familyOf(attribute))) return []
    return wanted && !wanted.has(fixture) ? [] : [{ fixture: asFixtureId(fixture), attribute, value }]
  })
}

/** Puts them in hand; returns whose. */
export function putTaken(
  show: Show,
  draft: Draft,
  person: PersonId,
  values: readonly KeyedValue[],
  choice: TakeChoice,
): FixtureId[] {
  const taken = new Set<FixtureId>()
  for (const { fixture, attribute, value } of chosenValues(values, choice)) {
    const rigged = rigOf(show).get(fixture)
    const plain = choice.as === 'loose' && rigged ? resolveValue(show, rigged, attribute, value).value : value
    if (!plain) continue
    putInHand(draft, person, fixture, attribute, plain)
    taken.add(fixture)
  }
  return [...taken]
}
