import { describe, expect, it } from 'vitest'
import { differenceTable } from '../exchange/differenceTable'
import { buildSaltLantern } from '#demo/saltLantern'
import { venueNamed } from '../../tests/support/richShow'
import { cuePicture } from '../cues/comparedCue'
import { listsInOrder } from '../cues/tracking'
import { missingInCue } from './absent'
import { cueDifferencesOf } from './cueDifference'
import { differencesOf, hurtOf, inVenue, lossesOf } from './difference'
import { lightOf } from './lightThere'

const show = buildSaltLantern('cue-difference')
const [here, there] = [venueNamed(show, 'Harbour Hall'), venueNamed(show, 'Quarry Playhouse')]

describe('what another venue does to cues', () => {
  const found = [...cueDifferencesOf(show, here, there)].flatMap(({ difference }) => difference ?? [])

  it('is told of every light of every cue, as that cue looks in each venue by itself', () => {
    for (const { cue, fixtures } of found)
      for (const [venue, of] of [
        [here, 'here'],
        [there, 'there'],
      ] as const) {
        const played = inVenue(show, venue)
        const lit = [...cuePicture(played, cue).values()].filter(({ intensity }) => intensity > 0.01)
        const known = new Map(fixtures.flatMap((one) => (one[of] ? [[one.fixture, one[of]] as const] : [])))
        expect(known.size).toBe(lit.length)
        for (const one of lit) expect(known.get(one.rigged.id)).toEqual(lightOf(played, one))
      }
    const isLit = (venue: typeof here) => (cue: (typeof found)[number]['cue']) =>
      [...cuePicture(inVenue(show, venue), cue).values()].some(({ intensity }) => intensity > 0.01)
    const cues = listsInOrder(show).flatMap((list) => list.cues.map(({ id }) => id))
    expect(found.map(({ cue }) => cue)).toEqual(cues.filter((cue) => isLit(here)(cue) || isLit(there)(cue)))
  })

  it('says whom a cue plays without there, and nothing of a show against itself', () => {
    const losing = found.filter(({ fixtures }) => fixtures.some((one) => lossesOf(one).includes('absent')))
    expect(losing.length).toBeGreaterThan(3)
    const played = inVenue(show, there)
    for (const { cue, fixtures } of losing) {
      const absent = fixtures.filter((one) => lossesOf(one).includes('absent')).map(({ fixture }) => fixture)
      expect(missingInCue(played, cue)).toEqual(expect.arrayContaining(absent))
    }
    const same = [...cueDifferencesOf(show, here, here)].flatMap(({ difference }) => difference ?? [])
    const hurts = same.map(({ fixtures }) =>
      fixtures.map((one) => lossesOf(one).filter((loss) => loss !== 'stays behind')),
    )
    expect(hurts.flat(2)).toEqual([])
    expect(same.every((one) => hurtOf(one)[2] === 0)).toBe(true)
  })
})

describe('the difference of palettes as a table', () => {
  it('has a line for each fixture, with how far it falls short and what is in its way', () => {
    const all = [...differencesOf(show, here, there)].flatMap(({ difference }) => difference ?? [])
    const [headings, ...lines] = differenceTable(show, all, here, there)
    expect(headings?.slice(0, 5)).toEqual(['palette', 'name', 'fixture', 'worse', 'turns, °'])
    expect(headings).toContain('misses by, m (Quarry Playhouse)')
    expect(lines).toHaveLength(all.flatMap(({ fixtures }) => fixtures).length)
    expect(new Set(lines.map((line) => line.length))).toEqual(new Set([headings?.length]))
    const moon = lines.find(([palette, , fixture]) => palette === '26' && fixture === '37')
    expect(moon?.[3]).toBe('in the way')
    expect(moon?.at(-2)).toBe('Lighthouse')
  })
})
