import { gunzipSync } from 'node:zlib'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { stagePicture } from '#core/cues/onStage'
import { stagePictureAt } from '#core/cues/stageAt'
import { channelLevels } from '#core/output/channelLevels'
import { litBy } from '#core/cues/playback'
import { listsInOrder } from '#core/cues/tracking'
import { playing } from '#core/cues/tracks'
import { readShowDocument } from '#core/exchange/showFile'
import { compareShows } from '#core/history/compare'
import { FAMILIES } from '#core/attributes/families'
import { asFixtureId, commandId, personId, showId, windowId } from '#core/show/ids'
import { choose } from '#demo/choices'
import { keptVersion, listVersions } from '../../server/database/versionRepository'
import { compareVersions, outcomeOfRestoring } from '../../server/exchange/versions'
import { backupOf, heldAs } from '../../server/live/snapshot'
import { ShowRegistry } from '../../server/shows/showRegistry'
import { documentInRecords } from '../support/showDocument'
import type { LiveShow } from '../../server/shows/liveShow'
import { freshDatabase, type FreshDatabase } from '../../scripts/database/freshDatabase'
import { THREADS_OF_HOUSE, VERSION_THREAD } from '../threads'
import { TEST_CLUSTER } from '../testCluster'

let database: FreshDatabase
let house: ShowRegistry
let live: LiveShow
let commands = 0
const anna = personId.parse('anna')

async function openedShow(of: ShowRegistry): Promise<LiveShow> {
  const opened = await of.show(showId.parse('salt-lantern'))
  if (!opened) throw new Error('the demo was not loaded')
  return opened
}

async function run(name: string, input: unknown) {
  const id = commandId.parse(`run${++commands}`)
  const answer = await live.run({
    id,
    name,
    input,
    person: anna,
    window: windowId.parse('w'),
    seenRevision: live.revision,
  })
  if (!answer.ok) throw new Error(answer.refusal.message)
}

beforeAll(async () => {
  database = await freshDatabase(TEST_CLUSTER)
  house = await ShowRegistry.open(database.address, THREADS_OF_HOUSE)
  await house.loadDemoWhenEmpty()
  live = await openedShow(house)
  await run('joinShow', { name: 'Anna' })
})

afterAll(async () => {
  await house.close()
  await database.drop()
})

const cue = (number: number) => choose(live.show).cue(1, number)
const list = () => choose(live.show).list(1)

describe('running', () => {
  it('goes on after a restart where it was, in the middle of a fade', async () => {
    await run('goToCue', { list: list(), cue: cue(15) })
    await run('changeCues', { cues: [cue(16)], fall: 3000 })
    await run('goOn', { list: list() })
    const now = Date.now() + 500_000
    const level = (of: LiveShow) =>
      litBy(of.show, playing(of.show).get(`${choose(of.show).fixtures('31')[0] ?? ''} intensity`) ?? [], now)
    const restarted = await ShowRegistry.open(database.address, THREADS_OF_HOUSE)
    const again = await openedShow(restarted)
    expect(level(again)?.level).toBe(level(live)?.level)
    expect(level(again)?.level).toBeGreaterThan(0.5)
    expect(level(again)?.level).toBeLessThan(1)
    await restarted.close()
  })

  it('brings what was recalled over a time on in every window, after a restart too', async () => {
    const fixtures = choose(live.show).fixtures('11')
    await run('recallPalette', { palette: choose(live.show).palette(4), fixtures, seconds: 3000 })
    const seen = (of: LiveShow, at: number) =>
      stagePictureAt(of.show, anna, stagePicture(of.show, anna), at).get(fixtures[0] ?? asFixtureId(''))?.position.pose
    const restarted = await ShowRegistry.open(database.address, THREADS_OF_HOUSE)
    const again = await openedShow(restarted)
    const now = Date.now() + 1_500_000
    expect(seen(again, now)).toEqual(seen(live, now))
    expect(seen(again, now)).not.toEqual(seen(live, now + 1_500_000))
    await run('clearHand', { families: [...FAMILIES], fixtures: null })
    await restarted.close()
  })

  it('starts what follows by itself, once, whatever the number of servers', async () => {
    const other = await ShowRegistry.open(database.address, THREADS_OF_HOUSE)
    await openedShow(other)
    await run('changeCues', { cues: [cue(18)], follow: 'after' })
    await run('changeCues', { cues: [cue(17)], rise: 0.2, fall: 0.2, move: 0.2 })
    await run('goToCue', { list: list(), cue: cue(16.5) })
    await run('goOn', { list: list() })
    const isThere = () => listsInOrder(live.show)[0]?.list.onStage === cue(18)
    await new Promise<void>((resolve) => {
      const stop = live.subscribe({
        entry: () => {
          if (!isThere()) return
          stop()
          resolve()
        },
        reloaded: () => undefined,
      })
    })
    const runs = [...live.show.all.cueRun.values()].filter((one) => one.cue === cue(18))
    expect(runs).toHaveLength(1)
    await other.close()
  })
})

describe('output', () => {
  it('goes out frame by frame from a thread of its own, and ends where everything has arrived', async () => {
    const { universe } = live.show.all.fixture.get(choose(live.show).fixtures('31')[0] ?? '') ?? {}
    const frames: string[] = []
    await run('goToCue', { list: list(), cue: null })
    await run('changeCues', { cues: [cue(15)], rise: 1, move: 1 })
    const wait = (until: (levels: Uint8Array) => boolean) =>
      new Promise<void>((resolve) => {
        const stop = house.outputs.subscribe(live, {
          levels: (changed) => {
            const levels = changed.get(universe ?? 0)
            if (!levels) return
            frames.push(Buffer.from(levels).toString('hex'))
            if (until(levels)) resolve()
          },
        })
        stops.push(stop)
      })
    const stops: (() => void)[] = []
    await wait(() => true)
    const end = () => channelLevels(live.show, Infinity).get(universe ?? 0) ?? new Uint8Array()
    const arrived = wait((levels) => frames.length > 4 && Buffer.compare(levels, end()) === 0)
    await run('goToCue', { list: list(), cue: cue(15), seconds: null })
    await arrived
    for (const stop of stops) stop()
    expect(new Set(frames).size).toBeGreaterThan(3)
  })
})

describe('moves in the dark', () => {
  const head = () => choose(live.show).fixtures('11')[0] ?? asFixtureId('')
  /** The coarse bytes of what turns a head, and those of its light. */
  const bytesOf = (levels: Uint8Array, does: readonly string[]) => {
    const { address, mode } = live.show.all.fixture.get(head()) ?? {}
    const channels = live.show.all.fixtureMode.get(mode ?? '')?.channels ?? []
    const asked = channels.filter(({ functions }) => functions.some((one) => does.includes(one.does)))
    return asked.map(({ coarse }) => levels[(address ?? 0) + coarse - 2])
  }
  const turned = (levels: Uint8Array) => bytesOf(levels, ['pan', 'tilt']).join()
  const atEnd = (of: LiveShow, now = Infinity) => {
    const levels = channelLevels(of.show, now).get(of.show.all.fixture.get(head())?.universe ?? 0)
    return levels ?? new Uint8Array()
  }
  const beforeTheFirst = async () => {
    await run('goToCue', { list: list(), cue: null, seconds: 0 })
    return turned(atEnd(live))
  }

  it('go out frame by frame while nothing is lit, and are there before their cue', async () => {
    await run('goToCue', { list: list(), cue: cue(5), seconds: 0 })
    const inItsCue = turned(atEnd(live))
    const home = await beforeTheFirst()
    await run('goOn', { list: list() })
    expect(turned(atEnd(live))).toBe(home)
    await beforeTheFirst()
    const rule = { list: list(), cues: null, fixtures: null, when: 'planned', inCue: null, live: [] }
    await run('setDarkMoves', rule)
    const frames: Uint8Array[] = []
    const universe = live.show.all.fixture.get(head())?.universe ?? 0
    let stop = () => {}
    const arrived = new Promise<void>((resolve) => {
      stop = house.outputs.subscribe(live, {
        levels: (changed) => {
          const levels = changed.get(universe)
          if (!levels) return
          frames.push(Uint8Array.from(levels))
          if (turned(levels) === inItsCue) resolve()
        },
      })
    })
    await run('goOn', { list: list() })
    await arrived
    stop()
    expect(inItsCue).not.toBe(home)
    expect(new Set(frames.map(turned)).size).toBeGreaterThan(3)
    expect(frames.flatMap((levels) => bytesOf(levels, ['intensity'])).filter((level) => level !== 0)).toEqual([])
    expect(turned(atEnd(live))).toBe(inItsCue)
  })

  it('go on in the middle after a restart', async () => {
    const home = await beforeTheFirst()
    await run('goOn', { list: list() })
    const [begun] = [...live.show.all.cueRun.values()].filter(({ cue: to }) => to === cue(1))
    const restarted = await ShowRegistry.open(database.address, THREADS_OF_HOUSE)
    const again = await openedShow(restarted)
    const halfWay = (begun?.startedAt ?? 0) + 400
    expect(atEnd(again, halfWay)).toEqual(atEnd(live, halfWay))
    expect([home, turned(atEnd(live))]).not.toContain(turned(atEnd(again, halfWay)))
    expect(atEnd(again)).toEqual(atEnd(live))
    await restarted.close()
    await run('stripDarkMoves', { list: list() })
  })
})

describe('history', () => {
  it('keeps the show before a big change, tells what changed, and brings it back in one step', async () => {
    const before = live.show
    await run('deleteCues', { cues: [cue(14), cue(20)], later: 'change' })
    const [version] = await listVersions(house.knex, live.show.id)
    expect(version).toMatchObject({ automatic: true, name: 'Before: take out 2 cues' })
    const kept = await keptVersion(house.knex, live.show.id, version?.id ?? '')
    if (!kept) throw new Error('nothing was kept')
    const { show } = live
    const now = await heldAs(live, show, 'Now')
    const compared = await compareVersions(VERSION_THREAD, { show: show.id, earlier: kept, later: now })
    expect(compared.ok && compared.differences.map(({ what, how }) => [what, how])).toEqual([
      ['Cue 14 Dory runs aground (Main)', 'gone'],
      ['Cue 20 Carried up the beach (Main)', 'gone'],
    ])
    const id = commandId.parse('restored')
    const asker = { person: anna, window: windowId.parse('window'), seenRevision: live.revision }
    const answer = await live.runElsewhere({ ...asker, id, name: 'restoreShow' }, async (current, at) =>
      outcomeOfRestoring(VERSION_THREAD, {
        ...{ show: show.id, version: kept, current: await heldAs(live, current, 'Now') },
        ...{ id, person: anna, now: at },
      }),
    )
    expect(answer.ok && answer.entry?.label).toBe('restore Before: take out 2 cues')
    for (const kind of ['cue', 'cueValue', 'palette', 'paletteValue', 'fixturePlace'] as const)
      expect(live.show.all[kind]).toEqual(before.all[kind])
  })

  it('tells what differs in palettes and cues in words', async () => {
    const before = live.show
    const { fixtures, palette } = choose(before)
    await run('changePalette', { palette: palette(3), name: 'Gallery' })
    await run('setNumberInCues', {
      cues: [cue(11)],
      fixtures: fixtures('31, 32'),
      attribute: 'intensity',
      number: 0.5,
      where: 'here and on',
    })
    expect(compareShows(before, live.show)).toEqual([
      { section: 'Palettes', what: '3 Gallery', how: 'changed', lines: ['name: Lantern gallery → Gallery'] },
      {
        section: 'Cues',
        what: 'Cue 11 Lantern lit (Main)',
        how: 'changed',
        lines: ['31, 32: intensity: 100 % → 50 %'],
      },
    ])
  })

  it('makes a show of a back-up just as it was, and refuses what is foreign, newer or broken', async () => {
    const document: unknown = JSON.parse(
      gunzipSync(await backupOf(live, live.show, new Map(), '2026-01-01T00:00:00Z')).toString(),
    )
    const read = readShowDocument(document, showId.parse('again'))
    if (!read.ok) throw new Error(read.message)
    await house.keepShow(read.show)
    const again = await house.show(showId.parse('again'))
    for (const kind of ['cue', 'cueValue', 'cueRun', 'paletteValue', 'fixture'] as const)
      expect(again?.show.all[kind]).toEqual(live.show.all[kind])
    const refusal = (of: unknown) => {
      const attempt = readShowDocument(of, showId.parse('no'))
      return attempt.ok ? 'read' : attempt.message
    }
    const whole = documentInRecords(live.show)
    expect(refusal({ hello: 'world' })).toBe('It is not a back-up of a show.')
    expect(refusal({ ...whole, version: 99 })).toContain('newer version')
    expect(refusal({ ...whole, contents: { ...whole.contents, cue: [] } })).toContain('It is damaged. A cue')
    expect(refusal({ ...whole, contents: { ...whole.contents, fixture: [['f', { number: 'no' }]] } })).toContain(
      'A fixture in it is not sound',
    )
  })
})
