/** Rig files and types that are good but for some places: read or refused with a reason, and a show that took them is sound. */
import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { readType } from '#core/exchange/gdtf/readType'
import { writeKeptType } from '#core/exchange/gdtf/keptType'
import { readRig } from '#core/exchange/mvr/readRig'
import { rigPlan } from '#core/exchange/mvr/rigPlan'
import { writeRig } from '#core/exchange/mvr/writeRig'
import { rigReading } from '#core/exchange/mvr/rigReading'
import { NotReadable } from '#core/exchange/xml/xml'
import { vec3, type Vec3 } from '#core/geometry/vector'
import { faultsIn } from '#core/show/soundness'
import { readRigFile } from '../../server/exchange/rigFile'
import type { CommandName } from '#core/commands/registry'
import { fixtureFrame } from '#core/geometry/frame'
import { placeId } from '#core/show/compositeIds'
import type { Show } from '#core/show/show'
import { ShowBuilder } from '#demo/builder'
import { harbourHall } from '#demo/stage'
import { digestOf } from '../../server/database/fileRepository'
import { writeRigFile } from '../../server/exchange/writeRigFile'
import { mutatedBytes, mutatedXml } from '../support/mutations'
import { COMMAND_NAMES, RandomArguments, randomFrom } from '../support/randomCommands'
import { richDesk } from '../support/richShow'
import { Desk } from '../support/smallShow'
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
  for (const seed of seeds(50)) {
    const xml = mutatedXml(heron, randomFrom(seed))
    const reading = readOrRefused('types', () => readType(xml))
    for (const [part, { type }] of reading?.types.entries() ?? []) {
      // What was read can be kept, and goes out again, whatever else stands in it.
      expect([seed, writeKeptType({ xml, part, leftHanded: [] }, type, 'x')]).toEqual([seed, null])
      const changed = { ...type, name: 'Another', pivotDrop: 0.5 }
      expect([
        seed,
        readType(writeKeptType({ xml, part, leftHanded: [] }, changed, 'x') ?? '').types.length,
      ]).not.toEqual([seed, 0])
      tally.count('types kept and changed')
    }
  }
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
    const scene = mutatedXml(quay, randomFrom(seed))
    const reading = readOrRefused('scenes', () => readRig(scene, { types: [known], models }))
    if (!reading) continue
    const desk = richDesk()
    const plan = rigPlan(desk.show, rigReading.parse(JSON.parse(JSON.stringify(reading))))
    const isDone = desk.ask(
      'takeRig',
      plan.taking(() => true),
    )
    tally.count(isDone ? 'scenes taken' : 'scenes not taken')
    expect([seed, faultsIn(desk.show)]).toEqual([seed, []])
    const placement = { mirrored: false, turn: 30, shift: vec3(1, 2, 0) }
    const kept = { scene, types: [known], models, placement, resources: new Map([['crate.glb', 'one']]) }
    const written = writeRig(desk.show, { rigs: [kept, kept], types: new Map() })
    expect([seed, readRig(written.scene, { types: [], models: new Map() }).fixtures.length]).not.toEqual([seed, 0])
    tally.count('scenes kept and written')
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

/** What a rig file says when it is read into an empty show: whatever has no place here left out. */
async function saysOf(file: Uint8Array): Promise<unknown> {
  const desk = new ShowBuilder('empty', 'anna')
  desk.run('beginShow', { name: 'Empty', venue: harbourHall, types: [] })
  const plan = rigPlan(desk.show, await readRigFile(file, 'written.mvr'))
  desk.run(
    'takeRig',
    plan.taking(() => true),
  )
  return rigInWords(desk.show)
}

/** The rig of a show in words: who hangs where, listens to what, and what stands about. */
function rigInWords({ all }: Show) {
  const near = (n: number) => Math.round(n * 2000) / 2000 + 0
  const at = ({ x, y, z }: Vec3) => [x, y, z].map(near).join(' ')
  const modes = (fixture: string) => {
    const { type, mode, universe, address, number, name } =
      all.fixture.get(fixture) ?? expect.fail('a fixture is there')
    // A plain file cannot say that one type has modes with cells and modes without.
    const typeName = all.fixtureType.get(type ?? '')?.name.replace(/, \d+ cells$/, '')
    const listens = [typeName, all.fixtureMode.get(mode ?? '')?.name, universe, address]
    return [number, name, ...listens]
  }
  return {
    fixtures: [...all.fixturePlace.values()]
      .filter(({ fixture }) => all.fixture.get(fixture)?.bar === null)
      .map((place) => {
        const hang = all.hangPlace.get(placeId(place.venue, place.hang)) ?? expect.fail('a hang is there')
        const { origin, rotation } = fixtureFrame(hang, place)
        return [
          ...modes(place.fixture),
          at(origin),
          Math.round(rotation.xx * 100) + 0,
          Math.round(rotation.zz * 100) + 0,
        ].join(' ')
      })
      .sort(),
    hangs: [...all.hangPlace.values()].map(({ hang, origin }) => `${all.hang.get(hang)?.name} ${at(origin)}`).sort(),
    targets: [...all.targetPlace.values()]
      .map(({ target, position }) => `${all.target.get(target)?.name} ${at(position)}`)
      .sort(),
    pieces: [...all.setPiecePlace.values()]
      .map(({ setPiece, position }) => `${all.setPiece.get(setPiece)?.name} ${at(position)}`)
      .sort(),
  }
}

const SKIPPED: ReadonlySet<CommandName> = new Set<CommandName>(['restoreShow', 'takeRig', 'forgetFile', 'beginShow'])

/** A show that keeps the quay and a file of its own rig as it was, on which people went on working. */
async function workedOn(random: () => number): Promise<{ desk: Desk; stored: Map<string, Uint8Array> }> {
  const desk = new Desk()
  const own = await writeRigFile(desk.show, new Map())
  const stored = new Map([own, packed].map((bytes) => [digestOf(bytes), bytes]))
  for (const [digest, bytes] of stored) {
    const rig = { mirrored: false, turn: 0, shift: vec3(0, 0, 0), replaces: null }
    desk.now += 1000
    const taking = rigPlan(desk.show, await readRigFile(bytes, 'kept.mvr')).taking(() => true)
    desk.do('takeRig', { ...taking, file: { name: 'kept.mvr', digest, size: bytes.length, leftHanded: [], rig } })
  }
  for (let i = 0; i < 40; i++) {
    const args = new RandomArguments(desk.show, [desk.show], random)
    const name = args.pick(COMMAND_NAMES)
    if (name && !SKIPPED.has(name) && desk.ask(name, args.forCommand(name))) tally.count('commands on kept files')
  }
  return { desk, stored }
}

it('what was kept of a file says of the rig what a plain one would, whatever was done since', async () => {
  for (const seed of seeds(4)) {
    const { desk, stored } = await workedOn(randomFrom(seed))
    const plain = { ...desk.show, all: { ...desk.show.all, rigFile: new Map(), typeFile: new Map() } }
    const written = await writeRigFile(desk.show, stored)
    expect([seed, await saysOf(written)]).toEqual([seed, await saysOf(await writeRigFile(plain, new Map()))])
    tally.count('kept files written')
  }
})
