/** Everything of a show that a person can call by name or number. */
import { listsInOrder } from '../cues/tracking'
import { groupsInOrder } from '../groups/groups'
import { palettesInOrder } from '../palettes/resolve'
import { derived } from '../show/derived'
import {
  type CueId,
  type FixtureId,
  type GroupId,
  type HangId,
  type PaletteId,
  type SetPieceId,
  type TargetId,
} from '../show/ids'
import { wholeFixtures } from '../show/cells'
import { RIG_KINDS, hangsOf, type RigKind } from '../show/rig'
import { setPiecesOf } from '../show/setPieces'
import { targetsOf } from '../show/targets'
import type { ShowPart } from '../show/show'
import type { Named } from './find'
import { counted } from '../show/counted'

/** Which thing is meant, with the fixtures it stands for. */
export type ThingRef =
  | { readonly kind: 'fixture'; readonly id: FixtureId }
  | { readonly kind: 'group'; readonly id: GroupId; readonly fixtures: readonly FixtureId[] }
  | { readonly kind: 'hang'; readonly id: HangId; readonly fixtures: readonly FixtureId[] }
  | { readonly kind: 'target'; readonly id: TargetId }
  | { readonly kind: 'set piece'; readonly id: SetPieceId }
  | { readonly kind: 'palette'; readonly id: PaletteId }
  | { readonly kind: 'cue'; readonly id: CueId }

export interface NamedThing extends Named {
  readonly thing: ThingRef
}

/** All of it: palettes, targets, groups, cues, fixtures, hangs and set pieces, each kind in its own order. */
export const namedThings = derived(
  [
    ...(['palette', 'target', 'targetPlace', 'setPiecePlace', 'setPiece'] as const),
    ...(['group', 'groupMember', 'cue', 'cueList', 'hang'] as const),
    ...RIG_KINDS,
  ],
  (show): readonly NamedThing[] => [
    ...palettesInOrder(show).map(({ id, palette: { number, name, shelf } }) => ({
      thing: { kind: 'palette', id } as const,
      number,
      name,
      about: `palette, ${shelf}`,
    })),
    ...[...targetsOf(show).values()].map(({ id, target: { name, form } }) => ({
      thing: { kind: 'target', id } as const,
      number: null,
      name,
      about: form.kind === 'point' ? 'target' : `target, a ${form.kind}`,
    })),
    ...groupsInOrder(show).map(({ id, group: { number, name }, members }) => ({
      thing: { kind: 'group', id, fixtures: members } as const,
      number,
      name,
      about: `group, ${counted(members.length, 'fixture')}`,
    })),
    ...cuesOf(show),
    ...fixturesOf(show),
    ...hangsOf(show).map(({ id, hang: { name }, fixtures }) => ({
      thing: { kind: 'hang', id, fixtures: fixtures.map((rigged) => rigged.id) } as const,
      number: null,
      name,
      about: `hang, ${counted(fixtures.length, 'fixture')}`,
    })),
    ...setPiecesOf(show).map(({ id, piece: { name } }) => ({
      thing: { kind: 'set piece', id } as const,
      number: null,
      name,
      about: 'set piece',
    })),
  ],
)

/** Where there are several lists, a cue says which is its own. */
function cuesOf(show: ShowPart<'cue' | 'cueList'>): NamedThing[] {
  const lists = listsInOrder(show)
  return lists.flatMap(({ list, cues }) =>
    cues.map(({ id, cue: { number, name } }) => ({
      thing: { kind: 'cue', id },
      number,
      name,
      about: lists.length > 1 ? `cue, ${list.name}` : 'cue',
    })),
  )
}

function fixturesOf(show: ShowPart<RigKind>): NamedThing[] {
  const typeOf = (type: string | null) => (type && show.all.fixtureType.get(type)?.name) ?? 'no type'
  return wholeFixtures(show)
    .map(([id, { number, name, type }]) => ({
      thing: { kind: 'fixture', id } as const,
      number,
      name: name || typeOf(type),
      about: `fixture, ${typeOf(type)}`,
    }))
    .sort((a, b) => a.number - b.number)
}
