/** What holds for palettes whatever was recorded into them: tidying changes no light, and nothing that is linked breaks. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { runCommand, type CommandName } from '#core/commands/registry'
import { listsInOrder, stateAt } from '#core/cues/tracking'
import { handOf } from '#core/cues/onStage'
import { linksOf } from '#core/show/links'
import { resolveValue } from '#core/palettes/resolve'
import { duplicatePalettes } from '#core/palettes/duplicates'
import { commandId, personId } from '#core/show/ids'
import { danglingReferences } from '#core/show/references'
import { rigOf } from '#core/show/rig'
import type { Show } from '#core/show/show'
import type { CueContent } from '#core/show/values'
import { PLAIN_TIMES } from '../tests/support/smallShow'
import { buildSaltLantern } from './saltLantern'

const salt = buildSaltLantern('palette-laws')
const person = personId.parse('demo')

/** Something asked for: the palettes, groups and fixtures are chosen by number from what is there then. */
type Wish = (show: Show) => { readonly name: CommandName; readonly input: object }
const nth = <T>(all: Iterable<T>, n: number): T => {
  const list = [...all]
  const one = list[n % list.length]
  if (one === undefined) throw new Error('nothing to choose from')
  return one
}
const n = fc.nat({ max: 500 })
const palette = (show: Show, number: number) => nth(show.all.palette.keys(), number)
const fixtures = fc.uniqueArray(fc.constantFrom(...salt.all.fixture.keys()), { minLength: 1, maxLength: 8 })
const shelf = fc.constantFrom('position', 'focus', 'beam', 'combined')
const reach = fc.constantFrom('usual', 'own', 'kind', 'any')

const setting: fc.Arbitrary<Wish> = fc.oneof(
  fc.tuple(fixtures, n).map(([chosen, at]): Wish => ({ all }) => ({
    name: 'aimAtTarget',
    input: { fixtures: chosen, target: nth(all.target.keys(), at), offset: { x: 0, y: 0, z: 0 }, along: null },
  })),
  fc.tuple(fixtures, fc.integer({ min: 8, max: 40 })).map(([chosen, number]): Wish => () => ({
    name: 'setValue',
    input: { fixtures: chosen, attribute: 'zoom', value: { kind: 'number', number } },
  })),
  fc.tuple(fixtures, n).map(([chosen, at]): Wish => (show) => ({
    name: 'recallPalette',
    input: { palette: palette(show, at), fixtures: chosen },
  })),
)
const recording: fc.Arbitrary<Wish> = fc.oneof(
  fc.tuple(fc.integer({ min: 20, max: 60 }), shelf, reach).map(([number, on, whom]): Wish => () => ({
    name: 'recordPalette',
    input: { number, name: `Made ${number}`, shelf: on, colour: 'kelp', reach: whom },
  })),
  fc.tuple(n, fc.constantFrom('merge', 'replace'), reach).map(([at, how, whom]): Wish => (show) => ({
    name: 'storeInPalette',
    input: { palette: palette(show, at), how, reach: whom },
  })),
  fc.integer({ min: 1, max: 60 }).map((number): Wish => (show) => ({
    name: 'recordCue',
    input: { list: nth(show.all.cueList.keys(), 0), number, name: '', ...PLAIN_TIMES },
  })),
  n.map((at): Wish => (show) => ({
    name: 'copyPalette',
    input: { palette: palette(show, at), number: 100 + at, name: 'The same again' },
  })),
)
/** What somebody did before: hands filled and recorded, in any order. */
const past = fc.array(fc.oneof({ weight: 3, arbitrary: setting }, { weight: 4, arbitrary: recording }), {
  maxLength: 18,
})

/** What only tidies: no light may change by it. */
const tidying: fc.Arbitrary<Wish> = fc.oneof(
  fc.tuple(n, fc.uniqueArray(n, { minLength: 1, maxLength: 3 })).map(([at, groups]): Wish => (show) => ({
    name: 'splitPalette',
    input: { palette: palette(show, at), groups: [...new Set(groups.map((g) => nth(show.all.group.keys(), g)))] },
  })),
  n.map((at): Wish => (show) => ({
    name: 'deletePalettes',
    input: { palettes: [palette(show, at)], links: { how: 'loose' } },
  })),
  fc
    .tuple(n, fc.integer({ min: 1, max: 60 }), fc.constantFrom('swap', 'make room'))
    .map(([at, number, how]): Wish => (show) => ({
      name: 'placePalette',
      input: { palette: palette(show, at), number, how },
    })),
  fc.constant<Wish>((show) => {
    const [first] = duplicatePalettes(show)
    const [keep, ...others] = first ?? [...show.all.palette.keys()]
    return { name: 'mergePalettes', input: { keep, others } }
  }),
)

let commands = 0
function carriedOut(before: Show, wish: Wish): Show {
  const { name, input } = wish(before)
  const outcome = runCommand(before, name, input, commandId.parse(`p${++commands}`), { person, now: 0 })
  return outcome.ok ? outcome.after() : before
}

/** What every cue and the hand come to, value by value; null for a link that gives nothing. */
function lightOf(show: Show): Map<string, string | null> {
  const light = new Map<string, string | null>()
  const say = (where: string, fixture: string, attribute: Parameters<typeof resolveValue>[2], value: CueContent) => {
    const rigged = [...rigOf(show).values()].find(({ id }) => id === fixture)
    const plain = rigged && value.kind !== 'rest' ? resolveValue(show, rigged, attribute, value).value : null
    light.set(`${where} ${fixture} ${attribute}`, plain ? JSON.stringify(plain) : null)
  }
  for (const list of listsInOrder(show))
    for (const { id } of list.cues)
      for (const { fixture, attribute, value } of stateAt(show, list, id).values()) say(id, fixture, attribute, value)
  for (const held of show.all.handValue.values())
    if (handOf(show, held.person).size) say('hand', held.fixture, held.attribute, held.value)
  return light
}

describe('whatever was recorded', () => {
  it('splitting, deleting to loose values, renumbering and merging what is alike change no light', () => {
    fc.assert(
      fc.property(past, tidying, (done, tidy) => {
        const before = done.reduce(carriedOut, salt)
        const after = carriedOut(before, tidy)
        expect(lightOf(after)).toEqual(lightOf(before))
        expect(danglingReferences(after)).toEqual([])
      }),
      { numRuns: 60 },
    )
  })

  it('no link breaks when something is taken out of a palette, and no palette ever leads to itself', () => {
    const removal: fc.Arbitrary<Wish> = fc.tuple(n, fc.option(fixtures)).map(([at, chosen]): Wish => (show) => ({
      name: 'removeFromPalette',
      input: { palette: palette(show, at), fixtures: chosen, attributes: chosen ? null : ['position'] },
    }))
    fc.assert(
      fc.property(past, removal, (done, remove) => {
        const before = done.reduce(carriedOut, salt)
        const after = carriedOut(before, remove)
        const then = lightOf(after)
        const broken = [...lightOf(before)].filter(([key, plain]) => plain !== null && then.get(key) === null)
        expect(broken).toEqual([])
        for (const [id, parts] of linksOf(after)) expect([...parts]).not.toContain(id)
      }),
      { numRuns: 60 },
    )
  })
})
