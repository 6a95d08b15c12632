/** A rig file that was kept, read beside the show as it is now: which of its elements stand for what, and what nobody here knows. */
import { rotation } from '../../geometry/rotation'
import { within, UPRIGHT, type Frame } from '../../geometry/frame'
import { placeId } from '../../show/compositeIds'
import type { RigFile } from '../../show/entities'
import type { FixtureId, HangId } from '../../show/ids'
import { setPiecesOf } from '../../show/setPieces'
import { showRecordOf, type Show } from '../../show/show'
import { targetsOf } from '../../show/targets'
import { Notes } from '../notes'
import { attributeOf, childOf, childrenOf, parseXml, setText, textIn, type Document, type Element } from '../xml/xml'
import { matrixText, readMatrix } from './matrix'
import { FixtureMatches, isSurely, planFixtures } from './planFixtures'
import { planHangs, type PlannedHang } from './planHangs'
import { named } from './planPlaces'
import { planTypes, type TypeInUse } from './planTypes'
import { readScene, type BesideScene, type ReadElement } from './readRig'
import type { ReadFixture, ReadPiece, RigReading } from './rigReading'

export interface KeptRig extends BesideScene {
  readonly scene: string
  readonly placement: Pick<RigFile, 'mirrored' | 'turn' | 'shift'>
  /** What else is in the file: a digest of each by its name. */
  readonly resources: ReadonlyMap<string, string>
}

/** What an element is in the show now. */
export type Match =
  | {
      readonly kind: 'fixture'
      readonly id: FixtureId
      readonly read: ReadFixture
      readonly use: TypeInUse | null
      /** What it hangs on in the file. */
      readonly on: HangId | null
    }
  | { readonly kind: 'hang'; readonly planned: PlannedHang }
  | { readonly kind: 'target'; readonly id: string; readonly read: RigReading['targets'][number] }
  | { readonly kind: 'piece'; readonly id: string; readonly read: ReadPiece }
  | { readonly kind: 'gone' }

export type Of<K extends Match['kind']> = Extract<Match, { readonly kind: K }>

export interface KeptScene {
  readonly document: Document
  /** By element, with the frame it was read in; what is not in here is nothing this program knows. */
  readonly matches: ReadonlyMap<Element, { readonly match: Match; readonly frame: Frame }>
  /** The hangs the file tells of that are in the show, by their ids there. */
  readonly hangs: ReadonlyMap<HangId, PlannedHang>
  /** The hangs it tells of that are not, by their ids in it. */
  readonly gone: ReadonlySet<string>
  /** How many fixtures hang on each in the file. */
  readonly carried: ReadonlyMap<HangId, number>
}

/** What newer files tell of already: ids of the show, and ids of elements. */
export class Told {
  readonly things = new Set<string>()
  readonly elements = new Set<string>()

  /** Whether nothing told of it yet; from now on something does. */
  isFirst(id: string): boolean {
    const isFirst = !this.things.has(id)
    this.things.add(id)
    return isFirst
  }
}

/** Reads a kept file as it lies on the stage; throws NotReadable. */
export function keptScene(show: Show, kept: KeptRig, told: Told): KeptScene {
  const document = parseXml(kept.scene)
  placeLayers(document, kept.placement)
  const { reading, elements } = readScene(document, kept)
  const notes = new Notes()
  const types = planTypes(show, kept.types, reading.fixtures, notes)
  const hangs = planHangs(show, reading, notes)
  const { fixtures } = planFixtures(show, reading.fixtures, hangs, types, notes)
  const couldComeIn = new Set(fixtures.map(({ read }) => read))
  const found = new FixtureMatches(show, reading.fixtures)
  const known: Matches = {
    fixture: new Map(
      reading.fixtures.flatMap((read) => {
        const match = fixtureMatch(show, read, found.of(read), types.of(read), hangs.of(read)?.id ?? null)
        if (match && told.isFirst(match.id)) return [[read.id, match] as const]
        // What could not come in is nothing the show could have let go of.
        return match || couldComeIn.has(read.id) ? [[read.id, GONE] as const] : []
      }),
    ),
    hang: new Map(
      hangs.hangs.map((planned) => [
        planned.read,
        !planned.isNew && told.isFirst(planned.id) ? { kind: 'hang', planned } : GONE,
      ]),
    ),
    target: placesAmong('target', show.all.target, reading.targets, new Set(targetsOf(show).keys()), told),
    piece: placesAmong(
      'piece',
      show.all.setPiece,
      reading.pieces,
      new Set(setPiecesOf(show).map(({ id }) => id)),
      told,
    ),
  }
  const matches = new Map(
    elements.flatMap(({ element, frame, kind, id }) => {
      const match = known[kind].get(id)
      return match ? [[element, { match, frame }] as const] : []
    }),
  )
  leaveToldElements(document, matches, told)
  const placed = [...known.hang.values()].flatMap((match) => (match.kind === 'hang' ? [match.planned] : []))
  const carried = new Map<HangId, number>()
  for (const read of reading.fixtures) {
    const on = hangs.of(read)?.id
    if (on !== undefined) carried.set(on, (carried.get(on) ?? 0) + 1)
  }
  return {
    document,
    matches,
    hangs: new Map(placed.map((hang) => [hang.id, hang])),
    gone: new Set([...known.hang].flatMap(([id, { kind }]) => (kind === 'gone' ? [id] : []))),
    carried,
  }
}

function fixtureMatch(
  show: Show,
  read: ReadFixture,
  id: FixtureId | null,
  use: TypeInUse | null,
  on: HangId | null,
): Of<'fixture'> | null {
  const { venue } = showRecordOf(show)
  if (id === null || !show.all.fixturePlace.has(placeId(venue, id))) return null
  return isSurely(show, id, read, use?.type ?? null) ? { kind: 'fixture', id, read, use, on } : null
}

type Matches = Readonly<Record<ReadElement['kind'], ReadonlyMap<string, Match>>>
const GONE: Match = { kind: 'gone' }

function placesAmong<K extends 'target' | 'piece', T extends { readonly id: string; readonly name: string }>(
  kind: K,
  known: ReadonlyMap<string, { readonly name: string }>,
  read: readonly T[],
  here: ReadonlySet<string>,
  told: Told,
): Map<string, { kind: K; id: string; read: T } | { kind: 'gone' }> {
  return new Map(
    named(known, read).map(({ id, read: one, isKnown }) => [
      one.id,
      isKnown && here.has(id) && told.isFirst(id) ? { kind, id, read: one } : { kind: 'gone' },
    ]),
  )
}

/** Layers are moved to where the file lies on the stage, and all that is in them with them. Nothing can be mirrored so. */
function placeLayers(document: Document, { turn, shift }: KeptRig['placement']): void {
  const placement: Frame = { origin: shift, rotation: rotation(turn, 0, 0) }
  if (matrixText(placement) === matrixText(UPRIGHT)) return
  for (const layer of layersOf(document)) {
    const own = readMatrix(textIn(layer, 'Matrix'))?.frame ?? UPRIGHT
    setText(layer, 'Matrix', matrixText(within(placement, own)))
  }
}

export function layersOf(document: Document): Element[] {
  return childrenOf(childOf(childOf(document.documentElement, 'Scene'), 'Layers'), 'Layer')
}

/** Of what nobody here knows, the newest file counts as well: what it has, older ones leave out. */
function leaveToldElements(
  document: Document,
  matches: Map<Element, { readonly match: Match; readonly frame: Frame }>,
  told: Told,
): void {
  const own: string[] = []
  const look = (list: Element | null) => {
    for (const element of childrenOf(list)) {
      const id = attributeOf(element, 'uuid').toLowerCase()
      if (id && told.elements.has(id) && !matches.has(element)) matches.set(element, { match: GONE, frame: UPRIGHT })
      own.push(id)
      look(childOf(element, 'ChildList'))
    }
  }
  for (const layer of layersOf(document)) look(childOf(layer, 'ChildList'))
  for (const id of own) told.elements.add(id)
}
