/** Of a show what a rig is practised on with: its stage, its rig and where it listens; no palettes, cues or people. */
import { Draft } from '../show/draft'
import { emptyShow, showRecordOf, type Show } from '../show/show'
import type { Kind } from '../show/kinds'

const HUNG = ['hang', 'hangPlace', 'fixtureType', 'fixtureMode', 'fixture', 'fixturePlace', 'substitute'] as const
const AROUND = ['venue', 'layer', 'setPiece', 'setPiecePlace', 'target', 'targetPlace', 'surveyed', 'output'] as const

/** A show of the same id with nothing but its rig and its stage. */
export function rigAlone(show: Show): Show {
  return withKinds(emptyShow(show.id), show, [...HUNG, ...AROUND, 'show'])
}

/** A show with the rig of another: set pieces and targets move while a rig hangs as it was hung. */
export function withRigOf(show: Show, rig: Show): Show {
  return withKinds(show, rig, HUNG)
}

function withKinds(show: Show, from: Show, kinds: readonly Kind[]): Show {
  const all = { ...show.all, ...Object.fromEntries(kinds.map((kind) => [kind, from.all[kind]])) }
  const record = { ...showRecordOf({ id: show.id, all }), rest: null, highlight: null }
  return new Draft({ id: show.id, all }).put('show', show.id, record).result()
}
