/** What a rig file or a type holds that has no place here goes out again as it came. */
import { readFileSync } from 'node:fs'
import { expect, describe, it } from 'vitest'
import { DOMParser, XMLSerializer } from '@xmldom/xmldom'
import type { CommandInput } from '#core/commands/registry'
import { writeType } from '#core/exchange/gdtf/writeType'
import { typeIn } from '#core/exchange/mvr/planTypes'
import { AS_IT_IS, placedRig, type Placement } from '#core/exchange/mvr/placement'
import { rigPlan } from '#core/exchange/mvr/rigPlan'
import { rigReading } from '#core/exchange/mvr/rigReading'
import { vec3 } from '#core/geometry/vector'
import { placeId } from '#core/show/compositeIds'
import { asFixtureId, asFixtureTypeId, asVenueId } from '#core/show/ids'
import { rigFilesOf } from '#core/show/keptFiles'
import { modesOf } from '#core/show/modes'
import type { Show } from '#core/show/show'
import { ShowBuilder } from '#demo/builder'
import { harbourHall } from '#demo/stage'
import { digestOf } from '../../server/database/fileRepository'
import { wheelPicturesKept } from '../../server/exchange/keptBytes'
import { readRigFile } from '../../server/exchange/rigFile'
import { writeRigFile, writeTypeFile } from '../../server/exchange/writeRigFile'
import { readZip, writeZip } from '../../server/exchange/zip'

const quay = readFileSync('tests/files/quay.mvr')
const heron = readFileSync('tests/files/heron.gdtf')
const SCENE = 'GeneralSceneDescription.xml'

function emptyDesk(): ShowBuilder {
  const desk = new ShowBuilder('empty', 'anna')
  desk.run('beginShow', { name: 'Empty', venue: harbourHall, types: [] })
  desk.run('joinShow', { name: 'Anna' })
  return desk
}

/** Takes all of a file into a show, which keeps it. */
async function taken(
  desk: ShowBuilder,
  bytes: Uint8Array,
  name: string,
  { placement = AS_IT_IS, beside = true }: { placement?: Placement; beside?: boolean } = {},
): Promise<Map<string, Uint8Array>> {
  const reading = rigReading.parse(JSON.parse(JSON.stringify(await readRigFile(bytes, name))))
  const taking = rigPlan(desk.show, placedRig(reading, placement)).taking(() => true)
  const { mirrored, turn, shift } = placement
  const replaces = beside ? null : (rigFilesOf(desk.show)[0]?.[0] ?? null)
  const rig = name.endsWith('.mvr') ? { mirrored, turn, shift, replaces } : null
  const file = { name, digest: digestOf(bytes), size: bytes.length, leftHanded: [], rig }
  desk.run('takeRig', { ...taking, file })
  return new Map([[file.digest, bytes]])
}
const everything = (bytes: Uint8Array) => readZip(bytes, () => true)
const textOf = (bytes: Uint8Array | undefined) => new TextDecoder().decode(bytes)

/** A scene a line for each tag, in the words of the writer, so that only what it says counts. */
function linesOf(xml: Uint8Array | undefined): string[] {
  const document = new DOMParser().parseFromString(textOf(xml), 'text/xml')
  return new XMLSerializer()
    .serializeToString(document)
    .replaceAll(/>\s+/g, '>')
    .replaceAll(/\s+</g, '<')
    .replace(/provider="[^"]*" providerVersion="[^"]*"/, '')
    .replaceAll('<', '\n<')
    .split('\n')
}
/** Lines only one of two scenes has: with a minus what went, with a plus what came. */
async function changes(before: Uint8Array, after: Uint8Array): Promise<string[]> {
  const [was, is] = [linesOf((await everything(before)).get(SCENE)), linesOf((await everything(after)).get(SCENE))]
  const [one, other] = [new Set(was), new Set(is)]
  return [
    ...was.filter((line) => !other.has(line)).map((line) => `- ${line}`),
    ...is.filter((line) => !one.has(line)).map((line) => `+ ${line}`),
  ]
}
const fixtureNamed = (show: Show, name: string) =>
  asFixtureId(
    [...show.all.fixture].find(([, one]) => one.name === name && one.bar === null)?.[0] ?? expect.fail(`no ${name}`),
  )

/** What differs of the quay in any case: one fixture named no mode there is, one had no number, and one that of another. */
const NUMBERED = ['- <GDTFMode>Nothing like it', '+ <FixtureIDNumeric>1', '+ <FixtureID>2', '+ <FixtureIDNumeric>2']

/** A show that took the quay, with what is stored for it. */
async function quayside(placement?: Placement) {
  const desk = emptyDesk()
  const stored = await taken(desk, quay, 'quay.mvr', placement && { placement })
  const written = () => writeRigFile(desk.show, stored)
  return { desk, stored, written }
}
const changesOf = async ({ written }: Awaited<ReturnType<typeof quayside>>) =>
  (await changes(quay, await written())).filter((line) => !NUMBERED.includes(line) && !line.includes('</'))

describe('a rig file that was taken', () => {
  it('goes out as it came while nothing was changed, but for numbers that were none', async () => {
    const file = await (await quayside()).written()
    expect((await changes(quay, file)).filter((line) => !line.includes('</'))).toEqual(NUMBERED)
    const [before, after] = [await everything(quay), await everything(file)]
    expect([...after.keys()].sort()).toEqual([...before.keys()].sort())
    for (const [name, bytes] of before)
      if (name !== SCENE) expect([name, Buffer.compare(bytes, after.get(name) ?? new Uint8Array())]).toEqual([name, 0])
  })

  it('has just that otherwise which the show has otherwise', async () => {
    const show = await quayside()
    const { desk } = show
    const gull = fixtureNamed(desk.show, 'Gull')
    desk.run('changeFixtures', { changes: [{ fixture: gull, name: 'Great gull', universe: 4, address: 10 }] })
    expect(await changesOf(show)).toEqual([
      '- <Fixture name="Gull" uuid="0A000000-0000-4000-8000-0000000000F1">',
      '- <Address break="1">600',
      '- <Address break="0">513',
      '+ <Fixture name="Great gull" uuid="0A000000-0000-4000-8000-0000000000F1">',
      '+ <Address break="0">1546',
      '+ <Address break="1">1633',
    ])
  })

  it('says a second address by a mode of its own where the type has another head and is written plainly', async () => {
    const { desk, written } = await quayside()
    const [type] = [...desk.show.all.fixtureType.keys()].map(asFixtureTypeId)
    if (!type) throw new Error('there is no type')
    const before = typeIn(desk.show, type) ?? expect.fail('no type')
    const modes = modesOf(desk.show, type).map(({ id, mode: { name, channels } }) => ({
      id,
      name,
      channels: [...channels],
    }))
    desk.run('changeType', { type, ...before, modes, lens: { ...before.lens, across: 0.2 } })
    const reading = await readRigFile(await written(), 'again.mvr')
    const gull = reading.fixtures.find(({ name }) => name === 'Gull') ?? expect.fail('no gull')
    const mode = reading.types.flatMap(({ types }) => types).flatMap((one) => one.type.modes)
    expect(gull.mode).toBe('Everything (pan inverted, address 2 at +87)')
    expect(mode.find(({ name }) => name === gull.mode)?.channels.at(-1)?.coarse).toBe(88 + 8)
    expect(gull.addresses).toEqual([{ number: 1, universe: 2, address: 1 }])
  })

  it('keeps how a fixture that is unpatched would listen', async () => {
    const { desk, written } = await quayside()
    const gull = fixtureNamed(desk.show, 'Gull')
    desk.run('changeFixtures', { changes: [{ fixture: gull, universe: null, address: null }] })
    const { fixtures } = await readRigFile(await written(), 'again.mvr')
    expect(fixtures.find(({ name }) => name === 'Gull')).toMatchObject({
      mode: 'Everything (pan inverted, address 2 at +87)',
      addresses: [],
    })
  })

  it('carries a bar that was trimmed, within its groups, and draws it', async () => {
    const show = await quayside()
    const [bar, place] =
      [...show.desk.show.all.hangPlace].find(
        ([, { hang }]) => show.desk.show.all.hang.get(hang)?.name === 'Quay bar',
      ) ?? expect.fail('no bar')
    expect(bar).not.toBe('')
    show.desk.run('moveHang', {
      hang: place.hang,
      origin: { ...place.origin, z: place.origin.z - 1 },
      yaw: place.yaw,
      rise: place.rise,
    })
    expect((await changesOf(show)).filter((line) => line.startsWith('-'))).toEqual([
      '- <Matrix>{1,0,0}{0,1,0}{0,0,1}{-2000,0,0}',
      '- <Matrix>{0.1,0,0}{0,0.1,0}{0,0,0.1}{2000,0,0}',
    ])
    const again = await readRigFile(await show.written(), 'again.mvr')
    expect(
      again.fixtures.filter(({ name }) => name === 'Gull' || name === 'Tern').map(({ position }) => position.z),
    ).toEqual([5, 5])
    expect(again.hangs.find(({ name }) => name === 'Quay bar')?.ends?.map(({ z }) => z)).toEqual([5, 5])
  })

  it('leaves out what was taken out, and keeps what nobody knows', async () => {
    const show = await quayside()
    show.desk.run('deleteFixtures', { fixtures: [fixtureNamed(show.desk.show, 'Higher')] })
    const text = textOf((await everything(await show.written())).get(SCENE))
    expect(text).not.toContain('Higher')
    for (const kept of ['ochre', 'Red buoy', 'Ghost', 'ghost.3ds', 'lamp,1', 'name="Lights"', 'Empty bar'])
      expect(text).toContain(kept)
  })

  it('lies on the stage where it was put, with what nobody knows', async () => {
    const placement = { scale: 1, mirrored: false, turn: 90, shift: vec3(1, 2, 0) }
    const show = await quayside(placement)
    const file = await show.written()
    const again = emptyDesk()
    await taken(again, file, 'again.mvr')
    expect(placesIn(again.show)).toEqual(placesIn(show.desk.show))
    expect(textOf((await everything(file)).get(SCENE))).toMatch(
      /name="Goods"[^>]*>\s*<ChildList>[\s\S]*<Matrix>\{0,1,0\}\{-1,0,0\}\{0,0,1\}\{1000,2000,0\}/,
    )
  })

  it('goes out with another one beside it, whose files keep their names', async () => {
    const show = await quayside()
    const other = writeZip(
      new Map([
        ...(await everything(quay)),
        ['crate.glb', new Uint8Array([1])],
        ['flag.png', new Uint8Array([2])],
        [SCENE, new TextEncoder().encode(OTHER)],
      ]),
    )
    show.desk.now = 1000
    const stored = new Map([...show.stored, ...(await taken(show.desk, other, 'other.mvr'))])
    const files = await everything(await writeRigFile(show.desk.show, stored))
    const text = textOf(files.get(SCENE))
    expect([...files.keys()].sort()).toEqual([
      'GeneralSceneDescription.xml',
      'Velmar@Heron 300.gdtf',
      'crate (2).glb',
      'crate.glb',
      'flag.png',
      'ghost.3ds',
    ])
    expect(text).toContain('fileName="crate (2).glb"')
    for (const one of ['Red buoy', 'Green buoy', 'Gull']) expect(text.split(one).length).toBe(2)
    const again = emptyDesk()
    await taken(again, await writeRigFile(show.desk.show, stored), 'again.mvr')
    expect(placesIn(again.show)).toEqual(placesIn(show.desk.show))
  })

  it('goes along into a venue that is made like this one, and is told there as things are there', async () => {
    const show = await quayside()
    const { desk } = show
    desk.run('addVenue', { ...harbourHall, name: 'Boathouse' })
    const [venue] = [...desk.show.all.venue].find(([, { name }]) => name === 'Boathouse') ?? expect.fail('no venue')
    desk.run('switchVenue', { venue: asVenueId(venue) })
    const gull = fixtureNamed(desk.show, 'Gull')
    const place = desk.show.all.fixturePlace.get(placeId(asVenueId(venue), gull)) ?? expect.fail('it hangs there')
    desk.run('changeFixtures', { changes: [{ fixture: gull, along: place.along + 0.5 }] })
    const there = textOf((await everything(await show.written())).get(SCENE))
    expect(there).toContain('Red buoy')
    expect(await changesOf(show)).toContain('- <Matrix>{1,0,0}{0,1,0}{0,0,1}{-2000,0,0}')
    desk.run('switchVenue', { venue: asVenueId([...desk.show.all.venue.keys()].find((id) => id !== venue) ?? '') })
    expect(await changesOf(show)).toEqual([])
  })

  it('takes the place of the one before, where a newer one of the same rig comes', async () => {
    const show = await quayside()
    const newer = writeZip(
      new Map([
        ...(await everything(quay)),
        [SCENE, new TextEncoder().encode(textOf((await everything(quay)).get(SCENE)).replace(/<Buoy[^>]*>/, ''))],
      ]),
    )
    const stored = await taken(show.desk, newer, 'newer.mvr', { beside: false })
    expect(rigFilesOf(show.desk.show).map(([, { name }]) => name)).toEqual(['newer.mvr'])
    expect(textOf((await everything(await writeRigFile(show.desk.show, stored))).get(SCENE))).not.toContain('buoy')
  })
})

/** Another scene: a buoy and a place of its own, and a model of a name the quay has as well. */
const OTHER = `<?xml version="1.0"?><GeneralSceneDescription verMajor="1" verMinor="5"><Scene><AUXData/><Layers>
  <Layer name="Sea" uuid="0B000000-0000-4000-8000-00000000001A"><ChildList>
    <Buoy name="Green buoy" uuid="0B000000-0000-4000-8000-0000000000C3"/>
    <FocusPoint name="Wreck" uuid="0B000000-0000-4000-8000-0000000000E1"><Matrix>{1,0,0}{0,1,0}{0,0,1}{0,9000,0}</Matrix></FocusPoint>
  </ChildList></Layer></Layers></Scene></GeneralSceneDescription>`

/** What stands where in a show, by name, to a tenth of a millimetre. */
function placesIn({ all }: Show) {
  const at = ({ x, y, z }: { x: number; y: number; z: number }) =>
    [x, y, z].map((metres) => Math.round(metres * 1e4) / 1e4 + 0)
  return {
    fixtures: [...all.fixturePlace.values()]
      .map(({ fixture, along, yaw }) => [
        all.fixture.get(fixture)?.name,
        Math.round(along * 1e4) / 1e4,
        Math.round(yaw * 100) / 100,
      ])
      .sort(),
    hangs: [...all.hangPlace.values()].map(({ hang, origin }) => [all.hang.get(hang)?.name, ...at(origin)]).sort(),
    targets: [...all.targetPlace.values()]
      .map(({ target, position }) => [all.target.get(target)?.name, ...at(position)])
      .sort(),
    pieces: [...all.setPiecePlace.values()]
      .map(({ setPiece, position }) => [all.setPiece.get(setPiece)?.name, ...at(position)])
      .sort(),
  }
}

describe('a type that came from a file', () => {
  const PICTURE = new Uint8Array([7, 7, 7])
  const withPicture = async () => writeZip(new Map([...(await everything(heron)), ['wheels/fog.png', PICTURE]]))
  async function oneType() {
    const desk = emptyDesk()
    const bytes = await withPicture()
    const stored = await taken(desk, bytes, 'heron.gdtf')
    const [id] = [...desk.show.all.fixtureType.keys()].map(asFixtureTypeId)
    const type = id ?? expect.fail('no type')
    return { desk, bytes, type, written: () => writeTypeFile(desk.show, type, stored) }
  }
  type Changed = CommandInput<'changeType'>
  async function changed(change: (type: Changed) => Partial<Changed>) {
    const show = await oneType()
    const { desk, type } = show
    const stored = desk.show.all.fixtureType.get(type) ?? expect.fail('no type')
    const modes = modesOf(desk.show, type).map(({ id, mode: { name, channels } }) => ({
      id,
      name,
      channels: [...channels],
    }))
    const input: Changed = { type, ...stored, modes }
    desk.run('changeType', { ...input, ...change(input) })
    const file = await show.written()
    const [read] = (await readRigFile(file, 'again.gdtf')).types[0]?.types ?? []
    const now = typeIn(desk.show, type) ?? expect.fail('no type')
    expect(read && writeType(read.type, 'x')).toBe(writeType(now, 'x'))
    const files = await everything(file)
    expect([...(files.get('wheels/fog.png') ?? [])]).toEqual([...PICTURE])
    return textOf(files.get('description.xml'))
  }

  it('goes out as the very file it came in', async () => {
    const { bytes, written } = await oneType()
    expect(Buffer.compare(await written(), bytes)).toBe(0)
  })

  it('under another name keeps all the rest', async () => {
    const text = await changed(() => ({ name: 'Heron 301' }))
    const before = textOf((await everything(heron)).get('description.xml'))
    expect(
      linesOf(new TextEncoder().encode(text)).filter((line) => !line.includes('301') && line !== '<Filters/>'),
    ).toEqual(linesOf(new TextEncoder().encode(before)).filter((line) => !line.includes('LongName')))
  })

  it('with another glass keeps the other slots, its own mode and what stands beside', async () => {
    const text = await changed(({ wheels }) => ({
      wheels: wheels.map((wheel) => ({
        ...wheel,
        slots: wheel.slots.map((slot, i) => (i === 1 ? { ...slot, name: 'Amber' } : slot)),
      })),
    }))
    expect(text).toContain('<Slot Name="Deep blue" Color="0.16,0.05,3"/>')
    expect(text).toContain('Amber')
    for (const kept of ['RDM', 'Thumbnail="heron"', 'Geometry="Pixel"', 'made by hand', 'Attribute="Fan"'])
      expect(text).toContain(kept)
  })

  it('with one mode more has it beside its own', async () => {
    const text = await changed(({ modes }) => ({
      modes: [
        ...modes,
        ...modes.map((mode) => ({
          ...mode,
          id: null,
          name: 'Short',
          channels: mode.channels.filter(({ name }) => name !== 'Fan'),
        })),
      ],
    }))
    for (const kept of [
      'DMXMode Name="Everything" Geometry="Foot"',
      'DMXMode Name="Short"',
      'GeometryReference',
      'RDM',
    ])
      expect(text).toContain(kept)
  })

  it('with another head has a plain one, and keeps what stands beside', async () => {
    const text = await changed(({ lens }) => ({ lens: { ...lens, across: 0.2 } }))
    expect(text).not.toContain('GeometryReference')
    for (const kept of ['RDM', 'Thumbnail="heron"', 'Name="Body"']) expect(text).toContain(kept)
  })

  it('has the pictures of its wheels', async () => {
    const png = new Uint8Array([0x89, 0x50, 0x4e, 0x47, 1, 2])
    const files = await everything(heron)
    const described = textOf(files.get('description.xml'))
      .replace('<Slot Name="Warm"', '<Slot MediaFileName="flag" Name="Warm"')
      .replace('<Slot Name="Deep blue"', '<Slot MediaFileName="note" Name="Deep blue"')
    const bytes = writeZip(
      new Map([
        ...files,
        ['description.xml', new TextEncoder().encode(described)],
        ['wheels/flag.png', png],
        ['wheels/note.png', new Uint8Array([1])],
      ]),
    )
    const desk = emptyDesk()
    const stored = await taken(desk, bytes, 'heron.gdtf')
    const [type] = [...desk.show.all.fixtureType.keys()].map(asFixtureTypeId)
    const found = await wheelPicturesKept(desk.show, type ?? expect.fail('no type'), stored)
    expect(found).toEqual([{ wheel: 'Glass', slot: 1, png: Buffer.from(png).toString('base64') }])
  })
})
