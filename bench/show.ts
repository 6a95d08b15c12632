/** Palettes and recalling. */
import { contentsOf, paletteValueFor, resolveValue } from '#core/palettes/resolve'
import { solvePosition } from '#core/palettes/solve'
import { HOME } from '#core/kinematics/head'
import { solveAim } from '#core/kinematics/inverse'
import { rigOf } from '#core/show/rig'
import { targetsOf } from '#core/show/targets'
import { palettesInOrder } from '#core/palettes/resolve'
import { stagePicture } from '#core/cues/onStage'
import { effectsOf } from '#core/refocus/effects'
import { runCommand } from '#core/commands/registry'
import { applyChanges } from '#core/show/changes'
import { asFixtureId, asPaletteId, commandId } from '#core/show/ids'
import { stageOf } from '#core/venue/stage'
import { generateShow, PERSON } from './generate'
import { best, line } from './measure'

export function benchShow(): void {
  const show = generateShow(300, 200)
  const resolveAll = best(() => {
    let sum = 0
    // A fresh rig and fresh targets each time: nothing of the round before is remembered.
    const fresh = {
      id: show.id,
      all: { ...show.all, hangPlace: new Map(show.all.hangPlace), setPiecePlace: new Map(show.all.setPiecePlace) },
    }
    const stage = stageOf(fresh)
    contentsOf(fresh)
    for (const { id } of palettesInOrder(fresh))
      for (const rigged of rigOf(fresh).values()) {
        const stored = paletteValueFor(fresh, id, rigged, 'position')
        if (!stored) continue
        sum += solvePosition(rigged.mount, stage, resolveValue(fresh, rigged, 'position', stored).value, HOME).pose.pan
      }
    return sum
  })
  line('full re-solve, 300 fixtures by 200 palettes (wanted < 100 ms)', `${resolveAll.milliseconds.toFixed(1)} ms`)
  const target = [...show.all.target.keys()][0] ?? ''
  const outcome = runCommand(show, 'moveTarget', { target, position: { x: 1, y: 2, z: 0 } }, commandId.parse('c'), {
    person: PERSON,
    now: 0,
  })
  if (!outcome.ok) throw new Error(outcome.refusal.message)
  const after = applyChanges(show, outcome.changes)
  const effects = best(() => effectsOf(show, after).palettes.length)
  line('effects of moving one target in that show', `${effects.milliseconds.toFixed(1)} ms`)
}

/** A palette recalled for the whole rig, from the command to the picture of the stage. */
export function benchRecall(): void {
  const show = generateShow(300, 500)
  const fixtures = [...show.all.fixture.keys()].map(asFixtureId)
  const palettes = [...show.all.palette.keys()].map(asPaletteId)
  let turn = 0
  let before = show
  const recall = best(() => {
    const palette = palettes[turn++ % palettes.length] ?? asPaletteId('')
    const outcome = runCommand(before, 'recallPalette', { palette, fixtures }, commandId.parse(`r${turn}`), {
      person: PERSON,
      now: 0,
    })
    if (!outcome.ok) throw new Error(outcome.refusal.message)
    before = outcome.after()
    return stagePicture(before, PERSON).size
  }, 60)
  // The least of it: every head solved for a place, and nothing else.
  const rig = [...rigOf(show).values()]
  const places = [...targetsOf(show).values()]
  const bare = best(() => {
    const at = places[turn++ % places.length]?.position
    return at ? rig.reduce((sum, { mount }) => sum + solveAim(mount, at).pan, 0) : 0
  }, 60)
  line('a recall for all of 300 fixtures, of 500 palettes', `${recall.milliseconds.toFixed(1)} ms`)
  line('the same against the bare solving of 300 heads', (recall.milliseconds / bare.milliseconds).toFixed(0))
}
