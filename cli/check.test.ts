import { spawnSync } from 'node:child_process'
import { gzipSync } from 'node:zlib'
import { expect, it } from 'vitest'
import { z } from 'zod'
import { buildSaltLantern } from '#demo/saltLantern'
import { documentInColumns } from '../tests/support/showDocument'

const check = (input: string | Buffer) =>
  spawnSync(process.execPath, ['scripts/run.mjs', '../cli/check'], { input, encoding: 'utf8' })
const where = { list: z.string(), cue: z.number(), fixture: z.string() }
const sweep = z.strictObject({
  ...where,
  zone: z.string(),
  fromSeconds: z.number(),
  untilSeconds: z.number().nullable(),
  level: z.number(),
})
const coming = { ...where, family: z.string(), needsSeconds: z.number() }
/** All that the document says there is, and nothing else. */
const findings = z.strictObject({
  tooFast: z.array(
    z.strictObject({
      ...where,
      axis: z.enum(['pan', 'tilt']),
      what: z.enum(['speed', 'acceleration', 'time']),
      needed: z.number(),
      possible: z.number(),
      lagMetres: z.number().nullable(),
      shortestSeconds: z.number().nullable(),
      byAngleSeconds: z.number(),
      isLit: z.boolean(),
    }),
  ),
  sweeps: z.array(sweep),
  accepted: z.array(sweep.extend({ reason: z.string() })),
  wrongPlaces: z.array(z.strictObject({ ...coming, why: z.string() })),
  noTime: z.array(z.strictObject({ ...coming, shortSeconds: z.number() })),
})

it('tells what is too fast and what sweeps in a back-up, with the code for it, and in one line what is no back-up', () => {
  const { status, stdout } = check(JSON.stringify(documentInColumns(buildSaltLantern('demo'))))
  expect(status).toBe(1)
  const { tooFast, sweeps, accepted } = findings.parse(JSON.parse(stdout))
  expect(new Set(tooFast.map(({ cue }) => cue))).toEqual(new Set([8, 16.5]))
  expect(tooFast.find(({ cue, fixture }) => cue === 16.5 && fixture === '13')?.lagMetres).toBeGreaterThan(0.5)
  expect(sweeps.find(({ cue, fixture }) => cue === 8 && fixture === '41')?.zone).toBe('Front rows')
  expect(accepted).toEqual([])
  const packed = check(gzipSync(JSON.stringify(documentInColumns(buildSaltLantern('demo')))))
  expect([packed.status, packed.stdout]).toEqual([1, stdout])
  for (const foreign of ['nothing', '{"format":"other"}', Buffer.from([0x1f, 0x8b, 0])]) {
    const { status: code, stderr, stdout: said } = check(foreign)
    expect([code, said, stderr.trim().split('\n').length]).toEqual([2, '', 1])
  }
})
