import { spawnSync } from 'node:child_process'
import { describe, expect, it } from 'vitest'
import { z } from 'zod'

const type = { id: 'tern', pan: { min: -270, max: 270 }, tilt: { min: -132, max: 132 }, pivotDrop: 0.4 }
const fixture = { id: 'f1', type: 'tern', x: 0, y: 0, z: 7.4, yaw: 0, pitch: 0, roll: 0 }
const target = { id: 't1', x: 0, y: 7, z: 0 }
const document = {
  types: [type],
  fixtures: [fixture, { ...fixture, id: 'f2', yaw: 90 }],
  targets: [target, { ...target, id: 'up', z: 20 }],
}

function aim(input: unknown) {
  const text = typeof input === 'string' ? input : JSON.stringify(input)
  return spawnSync(process.execPath, ['scripts/run.mjs', '../cli/aim'], { input: text, encoding: 'utf8' })
}
const pose = z.object({ pan: z.number(), tilt: z.number() })
const output = z.object({
  aims: z.array(
    pose.extend({
      fixture: z.string(),
      target: z.string(),
      reachable: z.boolean(),
      missMetres: z.number(),
      shortDegrees: z.number(),
      throwMetres: z.number(),
      alternatives: z.array(pose),
    }),
  ),
})

describe('npm run -s aim', () => {
  it('solves every pair, fixtures outermost, in the order given', () => {
    const { aims } = output.parse(JSON.parse(aim(document).stdout))
    expect(aims.map((row) => `${row.fixture} ${row.target}`)).toEqual(['f1 t1', 'f1 up', 'f2 t1', 'f2 up'])
    expect(aims[0]).toMatchObject({ reachable: true, missMetres: 0, shortDegrees: 0 })
    expect(aims[0]?.pan).toBeCloseTo(0, 9)
    expect(aims[0]?.tilt).toBeCloseTo(45, 9)
    expect(aims[0]?.throwMetres).toBeCloseTo(Math.hypot(7, 7), 9)
    expect(aims[0]?.alternatives).toContainEqual({ pan: aims[0]?.pan, tilt: aims[0]?.tilt })
    expect(aims[2]?.pan).toBeCloseTo(-90, 9)
    const short = aims[1]
    expect(short).toMatchObject({ reachable: false, tilt: 132, alternatives: [] })
    expect(short?.shortDegrees).toBeGreaterThan(0)
    expect(short?.missMetres).toBeGreaterThan(0)
  })

  it.each([
    ['{', /^document: not JSON/],
    [{ ...document, types: [{ ...type, pan: { min: 1 } }] }, /^types\[0\]\.pan\.max: a number is wanted$/],
    [{ ...document, fixtures: [{ ...fixture, type: 'gull' }] }, /^fixtures\[0\]\.type: there is no type “gull”$/],
    [{ ...document, targets: [{ ...target, z: 'high' }] }, /^targets\[0\]\.z: a number is wanted$/],
    [{ ...document, targets: [target, target] }, /^targets\[1\]\.id: “t1” stands twice$/],
    [{ ...document, types: [{ ...type, tilt: { min: 10, max: -10 } }] }, /^types\[0\]\.tilt\.min: /],
  ])('refuses bad input with code 2 and one line naming the field (%#)', (input, words) => {
    const { status, stdout, stderr } = aim(input)
    expect(status).toBe(2)
    expect(stdout).toBe('')
    expect(stderr.trimEnd().split('\n')).toHaveLength(1)
    expect(stderr.trimEnd()).toMatch(words)
  })
})
