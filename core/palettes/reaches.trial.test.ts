import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { RandomArguments, randomFrom } from '../../tests/support/randomCommands'
import { richDesk } from '../../tests/support/richShow'
import { rounds, Tally } from '../../tests/support/rounds'
import type { Desk } from '../../tests/support/smallShow'
import { handOf } from '../cues/onStage'
import { loopThrough, tooDeep } from '../show/links'
import { asPaletteId, type FixtureId, type PaletteId } from '../show/ids'
import type { Show } from '../show/show'
import type { AimValue, AnglesValue, CueContent, Value } from '../show/values'
import type { Attribute } from '../attributes/attribute'

const tally = new Tally('Operations on palettes')
const START = richDesk()

/** What a palette gives a fixture, looked for among all its values from the narrowest to the widest. */
function storedSlowly(show: Show, palette: string, fixture: FixtureId, attribute: Attribute): Value | null {
  const found = show.all.fixture.get(fixture)
  const type = (found?.bar ? show.all.fixture.get(found.bar) : found)?.type ?? null
  const of = show.all.fixtureType.get(type ?? '')
  const isOfCells = of?.cells?.has.includes(attribute) === true
  if (!of?.has.includes(attribute) || isOfCells !== (found?.bar !== null)) return null
  const values = [...show.all.paletteValue.values()].filter((v) => v.palette === palette && v.attribute === attribute)
  const own = values.find((v) => v.fixture === fixture)
  const kind = values.find((v) => v.fixtureType === type)
  const any = values.find((v) => v.fixture === null && v.fixtureType === null)
  return (own ?? kind ?? any)?.value ?? null
}

/** Follows links, one after the other. Null for nothing, text for anything else; the way round is not compared. */
function plainSlowly(
  show: Show,
  fixture: FixtureId,
  attribute: Attribute,
  value: CueContent | null,
  venues: readonly string[] = [...show.all.venue.keys()],
): string | null {
  let now = value
  let palette: string | null = null
  for (let i = 0; now?.kind === 'link'; i++) {
    if (i > 40) throw new Error('links run in a loop')
    palette = now.palette
    now = storedSlowly(show, now.palette, fixture, attribute)
  }
  if (now === null || now.kind === 'rest') return null
  if (now.kind !== 'aim' && now.kind !== 'angles') return JSON.stringify(now)
  return venues.map((venue) => placeSlowly(show, venue, now, palette, fixture)).join('; ')
}

/** A place as it is in a venue, with what is touched up there. */
function placeSlowly(
  show: Show,
  venue: string,
  value: AimValue | AnglesValue,
  palette: string | null,
  fixture: FixtureId,
): string {
  const touch = [...show.all.touchUp.values()].find(
    (one) => one.venue === venue && one.palette === palette && one.fixture === fixture,
  )
  const text = (...numbers: number[]) =>
    numbers.map((number) => (number + 0).toFixed(6).replace('-0.000000', '0.000000')).join(' ')
  if (value.kind === 'angles') {
    const { pan, tilt } = value.elsewhere?.find((one) => one.venue === venue) ?? value
    return text(pan + (touch?.pan ?? 0), tilt + (touch?.tilt ?? 0))
  }
  const { x, y, z } = value.elsewhere?.find((one) => one.venue === venue)?.offset ?? value.offset
  const by = touch?.offset ?? { x: 0, y: 0, z: 0 }
  return `${value.target} ${value.at}: ${text(x + by.x, y + by.y, z + by.z)}`
}

type Given = Map<string, string | null>

/** What every cue, hand and palette that stays gives each fixture, wherever it hangs. */
function everything(show: Show, without: readonly string[]): Given {
  const given: Given = new Map()
  for (const [id, { fixture, attribute, value }] of [...show.all.cueValue, ...show.all.handValue])
    given.set(id, plainSlowly(show, fixture, attribute, value))
  const attributes = [...new Set([...show.all.paletteValue.values()].map(({ attribute }) => attribute))]
  for (const palette of show.all.palette.keys())
    for (const fixture of START.everyFixture())
      for (const attribute of without.includes(palette) ? [] : attributes) {
        const value = plainSlowly(show, fixture, attribute, { kind: 'link', palette: asPaletteId(palette) })
        if (value !== null) given.set(`${palette} gives ${fixture} ${attribute}`, value)
      }
  return given
}

/** Nothing is lost or gives something else, but what the palette now gives by a wider value, if that may be. */
function expectSame(before: Given, after: Given, what: unknown, wider: ReadonlySet<string | null> = new Set()) {
  const lost = [...before].filter(
    ([key, value]) => value !== null && after.get(key) !== value && !wider.has(after.get(key) ?? null),
  )
  expect([what, lost.map(([key, value]) => [key, value, after.get(key)])]).toEqual([what, []])
}

/** What a palette gives to any fixture. */
function givenBy(show: Show, palette: PaletteId): Set<string | null> {
  return new Set(
    [...show.all.paletteValue.values()].flatMap((stored) =>
      stored.palette !== palette
        ? []
        : START.everyFixture().flatMap(
            (fixture) => plainSlowly(show, fixture, stored.attribute, { kind: 'link', palette }) ?? [],
          ),
    ),
  )
}

/** A show made at random: things were put in hand, recorded, merged, combined, cued. */
function begun(seed: number): { readonly desk: Desk; readonly args: RandomArguments } {
  const random = randomFrom(seed)
  const desk = START.copy()
  for (let i = 0; i < 10; i++) {
    const args = new RandomArguments(desk.show, [desk.show], random)
    const name = args.pick([
      'aimAtTarget',
      'recallPalette',
      'changeValues',
      'recordPalette',
      'storeInPalette',
      'recordCue',
      'makePalettesFromTargets',
      'switchVenue',
    ] as const)
    if (name && desk.ask(name, args.forCommand(name))) tally.count(name)
  }
  return { desk, args: new RandomArguments(desk.show, [desk.show], random) }
}

describe('palettes of all three reaches, linked, in two venues', () => {
  it('deleted to loose values, split, or with something removed, leave all light as it was', () => {
    fc.assert(
      fc.property(fc.nat({ max: 1e9 }), (seed) => {
        const { desk, args } = begun(seed)
        const palette = args.pick([...desk.show.all.palette.keys()].map(asPaletteId))
        if (!palette) return
        const before = everything(desk.show, [palette])
        const what = args.pick(['delete', 'split', 'remove'] as const)
        const input = Object(args.forCommand(what === 'split' ? 'splitPalette' : 'removeFromPalette'))
        const done =
          what === 'delete'
            ? desk.ask('deletePalettes', { palettes: [palette], links: { how: 'loose' } })
            : desk.ask(what === 'split' ? 'splitPalette' : 'removeFromPalette', { ...input, palette })
        if (!done) return
        tally.count(what ?? '')
        // A fixture taken out of a palette that serves its type or any gets what they get.
        const wider = what === 'remove' ? givenBy(desk.show, palette) : undefined
        expectSame(before, everything(desk.show, [palette]), [what, palette, input], wider)
      }),
      rounds(100),
    )
  })

  it('handed to an heir give what the heir gives, or what they gave where it has nothing; no link runs in a loop', () => {
    fc.assert(
      fc.property(fc.nat({ max: 1e9 }), (seed) => {
        const { desk, args } = begun(seed)
        const [gone, to] = [0, 1].map(() => args.pick([...desk.show.all.palette.keys()].map(asPaletteId)))
        if (!gone || !to) return
        const show = desk.show
        if (!desk.ask('deletePalettes', { palettes: [gone], links: { how: 'links', to } })) return
        tally.count('handed on')
        expect([loopThrough(desk.show, desk.show.all.palette.keys()), tooDeep(desk.show)]).toEqual([null, null])
        for (const kind of ['cueValue', 'handValue'] as const)
          for (const [id, { fixture, attribute, value }] of show.all[kind]) {
            const was = plainSlowly(show, fixture, attribute, value)
            const isHandedOn = value.kind === 'link' && value.palette === gone
            const heir = plainSlowly(desk.show, fixture, attribute, { kind: 'link', palette: to })
            const after = desk.show.all[kind].get(id)?.value ?? null
            const is = plainSlowly(desk.show, fixture, attribute, after)
            if (isHandedOn) expect([id, is]).toEqual([id, heir ?? was])
          }
      }),
      rounds(100),
    )
  })

  it('give whoever was recorded what was recorded, merged or replaced, for whomever it is to serve', () => {
    fc.assert(
      fc.property(fc.nat({ max: 1e9 }), (seed) => {
        const { desk, args } = begun(seed)
        const input = Object(args.forCommand('storeInPalette'))
        // What is touched up elsewhere goes on being so: what is recorded is what is seen here.
        const here = [desk.show.all.show.get(desk.show.id)?.venue ?? '']
        const hand = handOf(desk.show, desk.person)
        const held = [...hand].flatMap(([fixture, values]) =>
          [...values].map(([attribute, value]) => ({
            fixture,
            attribute,
            value: plainSlowly(desk.show, fixture, attribute, value, here),
          })),
        )
        const before = desk.show
        if (!desk.ask('storeInPalette', { ...input, workingSet: null })) return
        tally.count('stored')
        for (const { fixture, attribute, value } of held) {
          const was = before.all.handValue.get(`${desk.person}.${fixture}.${attribute}`)?.value
          const is = desk.show.all.handValue.get(`${desk.person}.${fixture}.${attribute}`)?.value
          const isTaken =
            is?.kind === 'link' &&
            is.palette === input.palette &&
            (was?.kind !== 'link' || was.palette !== input.palette)
          if (isTaken) expect([input, plainSlowly(desk.show, fixture, attribute, is, here)]).toEqual([input, value])
        }
      }),
      rounds(100),
    )
  })
})
