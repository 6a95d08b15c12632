/** Rig files and types that are good but for some places: read or refused with a reason, and a show that took them is sound. */
import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { readType } from '#core/exchange/gdtf/readType'
import { readRig } from '#core/exchange/mvr/readRig'
import { rigPlan } from '#core/exchange/mvr/rigPlan'
import { rigReading } from '#core/exchange/mvr/rigReading'
import { NotReadable } from '#core/exchange/xml/xml'
import { vec3 } from '#core/geometry/vector'
import { faultsIn } from '#core/show/soundness'
import { readRigFile } from '../../server/exchange/rigFile'
import { mutatedBytes, mutatedXml } from '../support/mutations'
import { randomFrom } from '../support/randomCommands'
import { richDesk } from '../support/richShow'
import { seeds, Tally } from '../support/rounds'

const tally = new Tally('Rig files with odd places')
const heron = readFileSync('tests/files/heron.xml', 'utf8')
const quay = readFileSync('tests/files/quay.xml', 'utf8')
const packed = readFileSync('tests/files/quay.mvr')
const models = new Map([['crate.glb', [[vec3(0, 0, 0), vec3(1, 0, 0), vec3(1, 1, 1)]]]])

/** What it comes to; a file that is refused gives null, and anything else that is thrown goes on. */
function readOrRefused<T>(what: string, read: () => T): T | null {
  try {
    const result = read()
    tally.count(`${what} read`)
    return result
  } catch (error) {
    if (!(error instanceof NotReadable)) throw error
    expect(error.message).not.toBe('')
    tally.count(`${what} refused`)
    return null
  }
}

it('types', () => {
  for (const seed of seeds(50)) readOrRefused('types', () => readType(mutatedXml(heron, randomFrom(seed))))
})

it('scenes, each taken into a show where it was read', () => {
  const { types, id, notes } = readType(heron)
  const known = {
    spec: 'Velmar@Heron 300.gdtf',
    entry: 'Velmar@Heron 300.gdtf',
    id,
    notes: [...notes],
    types: types.map(({ type, breaks }) => ({
      type,
      breaks: Object.fromEntries([...breaks].map(([mode, all]) => [mode, [...all]])),
    })),
  }
  for (const seed of seeds(50)) {
    const reading = readOrRefused('scenes', () =>
      readRig(mutatedXml(quay, randomFrom(seed)), { types: [known], models }),
    )
    if (!reading) continue
    const desk = richDesk()
    const plan = rigPlan(desk.show, rigReading.parse(JSON.parse(JSON.stringify(reading))))
    const isDone = desk.ask(
      'takeRig',
      plan.taking(() => true),
    )
    tally.count(isDone ? 'scenes taken' : 'scenes not taken')
    expect([seed, faultsIn(desk.show)]).toEqual([seed, []])
  }
})

it('packed files', async () => {
  for (const seed of seeds(50))
    try {
      await readRigFile(mutatedBytes(packed, randomFrom(seed)), 'quay.mvr')
      tally.count('packed files read')
    } catch (error) {
      if (!(error instanceof NotReadable)) throw error
      tally.count('packed files refused')
    }
})
