/** A hang hung once more: what copying and mirroring share. */
import { placeId } from '../../show/compositeIds'
import { Draft } from '../../show/draft'
import type { EntityOf } from '../../show/kinds'
import { fixtureId, hangId, type HangId } from '../../show/ids'
import { showRecordOf, type Show } from '../../show/show'
import { done, refuse, type Outcome } from '../command'
import { belowFloor, nameInUse, numbersInUse } from './refusals'

type HangPlace = EntityOf['hangPlace']
type FixturePlace = EntityOf['fixturePlace']

interface Copy {
  readonly hang: HangId
  readonly name: string
  /** Number of the first fixture on the copy; null copies none. */
  readonly numberFrom: number | null
  /** What was done; `%s` stands for the first hang's name. */
  readonly label: string
  readonly newId: () => string
}

/** Where the copy and its fixtures are, from where the first are. */
interface Images {
  readonly ofHang: (place: HangPlace) => HangPlace
  readonly ofFixture: (place: FixturePlace, hang: HangPlace) => FixturePlace
}

/** Fixtures are copied in order of number, unpatched: two cannot listen to one address unnoticed. */
export function copiedHang(show: Show, copy: Copy, images: Images): Outcome {
  const { venue } = showRecordOf(show)
  const place = show.all.hangPlace.get(placeId(venue, copy.hang))
  const known = show.all.hang.get(copy.hang)
  if (!place || !known) return refuse('no place here', { kind: 'hang' }, 'hang')
  const image = images.ofHang(place)
  const fixtures = copy.numberFrom === null ? [] : fixturesOn(show, venue, copy.hang)
  const numbers = fixtures.map((_, i) => (copy.numberFrom ?? 0) + i)
  const refusal =
    nameInUse(show, 'hang', copy.name) ?? belowFloor(copy.name, image.origin) ?? numbersInUse(show, numbers)
  if (refusal) return refusal
  const id = hangId.parse(copy.newId())
  const draft = new Draft(show).put('hang', id, { name: copy.name, form: known.form })
  draft.put('hangPlace', placeId(venue, id), { ...image, hang: id })
  for (const [i, { fixture, on }] of fixtures.entries()) {
    const key = fixtureId.parse(copy.newId())
    const number = numbers[i] ?? 0
    draft.put('fixture', key, { ...fixture, number, universe: null, address: null })
    draft.put('fixturePlace', placeId(venue, key), { ...images.ofFixture(on, place), fixture: key, hang: id })
  }
  return done(draft, copy.label.replace('%s', known.name))
}

function fixturesOn(show: Show, venue: string, hang: HangId) {
  return [...show.all.fixturePlace.values()]
    .filter((on) => on.venue === venue && on.hang === hang)
    .flatMap((on) => {
      const fixture = show.all.fixture.get(on.fixture)
      return fixture ? [{ fixture, on }] : []
    })
    .sort((a, b) => a.fixture.number - b.fixture.number)
}
