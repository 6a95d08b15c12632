import { describe, expect, it } from 'vitest'
import { effectsOf } from '#core/refocus/effects'
import { effectsInWords } from '#core/refocus/words'
import { solvePosition } from '#core/palettes/solve'
import { resolveValue } from '#core/palettes/resolve'
import { wholeFixtures } from '#core/show/cells'
import { danglingReferences } from '#core/show/references'
import { rigOf } from '#core/show/rig'
import { targetsOf } from '#core/show/targets'
import { HOME } from '#core/kinematics/head'
import { runCommand } from '#core/commands/registry'
import { applyChanges } from '#core/show/changes'
import { commandId, personId } from '#core/show/ids'
import { choose } from './choices'
import { buildSaltLantern } from './saltLantern'
import { stageOf } from '#core/venue/stage'

const show = buildSaltLantern('demo')
const preview = (name: 'moveTarget' | 'moveHang', input: object) => {
  const outcome = runCommand(show, name, input, commandId.parse('c1'), { person: personId.parse('demo'), now: 0 })
  if (!outcome.ok) throw new Error(outcome.refusal.message)
  return applyChanges(show, outcome.changes)
}

describe('the demo show', () => {
  it('is sound and as big as it says', () => {
    expect(danglingReferences(show)).toEqual([])
    expect(wholeFixtures(show).length).toBe(44)
    expect(show.all.fixture.size).toBe(44 + 8)
    expect(show.all.target.size).toBe(17)
    expect(show.all.palette.size).toBeGreaterThanOrEqual(30)
    expect(show.all.cue.size).toBeGreaterThanOrEqual(40)
    expect(show.all.handValue.size).toBe(0)
  })

  it('reaches every place its palettes are aimed at in the home venue', () => {
    for (const { fixture, attribute, value } of show.all.paletteValue.values()) {
      const rigged = fixture && rigOf(show).get(fixture)
      if (!rigged || attribute !== 'position') continue
      const plain = resolveValue(show, rigged, 'position', value).value
      const solved = solvePosition(rigged.mount, stageOf(show), plain, HOME)
      expect([rigged.fixture.number, solved.state]).toEqual([
        rigged.fixture.number,
        plain?.kind === 'aim' ? 'reached' : 'angles',
      ])
    }
  })

  it('carries a moved target through exactly the palettes and cues that use it', () => {
    const target = choose(show).target('Dory bow')
    const at = targetsOf(show).get(target)?.position ?? { x: 0, y: 0, z: 0 }
    const effects = effectsOf(show, preview('moveTarget', { target, position: { ...at, y: at.y + 0.8 } }))
    const names = effects.palettes.map((p) => show.all.palette.get(p.palette)?.name)
    expect(names).toEqual(['Dory bow', 'Bridge to dory', 'Aground'])
    for (const palette of effects.palettes) expect(palette.shiftMetres).toBeCloseTo(0.8, 9)
    const set = effects.cues.filter((c) => c.how === 'set').map((c) => show.all.cue.get(c.cue)?.number)
    expect(set).toEqual([14, 19, 32])
    const carried = effects.cues.filter((c) => c.how === 'carried').map((c) => show.all.cue.get(c.cue)?.number)
    expect(carried).toEqual(expect.arrayContaining([14.5, 15, 16, 33]))
    expect(carried).not.toContain(20)
    expect(effectsInWords(effects)).toMatch(/^3 palettes, \d+ cues follow$/)
  })

  it('says which raw angles stay behind when a hang moves', () => {
    const hang = [...show.all.hang].find(([, h]) => h.name === 'Bar 3')?.[0]
    const place = [...show.all.hangPlace.values()].find((p) => p.hang === hang)
    const effects = effectsOf(show, preview('moveHang', { hang, origin: { ...place?.origin, z: 6.3 } }))
    const stuck = new Set(effects.staysBehind.map((s) => s.palette && show.all.palette.get(s.palette)?.name))
    expect(stuck).toContain('Storm crossing')
    expect(effects.palettes.map((p) => show.all.palette.get(p.palette)?.name)).toContain('Lantern gallery')
    for (const palette of effects.palettes) expect(palette.shiftMetres).toBeLessThan(1e-9)
  })

  it('plays the same palettes in the other venue', () => {
    const quarry = [...show.all.venue].find(([, v]) => v.name === 'Quarry Playhouse')?.[0]
    const outcome = runCommand(show, 'switchVenue', { venue: quarry }, commandId.parse('c2'), {
      person: personId.parse('demo'),
      now: 0,
    })
    if (!outcome.ok) throw new Error(outcome.refusal.message)
    const effects = effectsOf(show, applyChanges(show, outcome.changes))
    const gallery = effects.palettes.find((p) => show.all.palette.get(p.palette)?.name === 'Lantern gallery')
    const shiftOf = (number: number) =>
      gallery?.fixtures.find(({ fixture }) => show.all.fixture.get(fixture)?.number === number)?.shiftMetres
    expect(shiftOf(35)).toBeCloseTo(1.2, 9)
    // Touched up there by 9 cm.
    expect(shiftOf(31)).toBeCloseTo(Math.hypot(0.09, 1.23), 9)
  })
})
