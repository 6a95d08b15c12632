/** Gives fixtures their addresses by a rule, in the order given, stepping over what others take. */
import { placeId } from '../../show/compositeIds'
import { z } from 'zod'
import { autoPatch } from '../../patch/autoPatch'
import { footprintOf, spansOf, UNIVERSE_SIZE } from '../../patch/span'
import { wholesAmong } from '../../show/cells'
import { Draft } from '../../show/draft'
import { fixtureId } from '../../show/ids'
import { showRecordOf } from '../../show/show'
import { command, done, refuse } from '../command'
import { fixturesInWords } from '../shared/wording'

export const patchFixtures = command({
  input: z.strictObject({
    fixtures: z.array(fixtureId).min(1),
    universe: z.number().int().min(1).max(63999),
    address: z.number().int().min(1).max(UNIVERSE_SIZE),
    gap: z.number().int().min(0).max(UNIVERSE_SIZE),
    apart: z.enum(['never', 'by hang', 'by type']),
  }),
  undoable: true,
  run(show, { fixtures, ...rule }) {
    const { venue } = showRecordOf(show)
    const there = wholesAmong(show, fixtures).filter((id) => show.all.fixture.has(id))
    const wishes = there.map((fixture) => ({
      fixture,
      channels: footprintOf(show, fixture),
      hang: show.all.fixturePlace.get(placeId(venue, fixture))?.hang ?? '',
      type: show.all.fixture.get(fixture)?.type ?? '',
    }))
    const unknown = wishes.find(({ channels }) => channels === 0)
    if (unknown) {
      return refuse('no mode', { fixture: show.all.fixture.get(unknown.fixture)?.number ?? 0 }, 'fixtures')
    }
    const chosen = new Set(there)
    const taken = spansOf(show).filter((span) => !chosen.has(span.fixture))
    const draft = new Draft(show)
    for (const { fixture, universe, address } of autoPatch(wishes, rule, taken))
      draft.set('fixture', fixture, 'universe', universe).set('fixture', fixture, 'address', address)
    return done(draft, `patch ${fixturesInWords(show, there)} from ${rule.universe}.${rule.address}`)
  },
})
