import { describe, expect, it } from 'vitest'
import { richDesk } from '../../tests/support/richShow'
import { registerParts } from './changes'
import { removeWithDependents } from './cascade'
import { Draft } from './draft'
import { declarationOf, KINDS, referencesOf, type Kind } from './kinds'
import { asLayerId } from './ids'
import { danglingReferences, type Dangling } from './references'
import type { Show } from './show'

const START = showWithEverything()

function showWithEverything(): Show {
  const desk = richDesk()
  desk.do('addLayer', { name: 'Boats' })
  const [layer] = desk.show.all.layer.keys()
  desk.do('changeSetPiece', { setPiece: desk.choose.setPiece('Dory'), layer: asLayerId(layer ?? '') })
  desk.do('recordWorkingSet', { workingSet: null, name: 'Bar', fixtures: desk.fixtures('11-13') })
  desk.do('setHighlight', { fixtures: desk.fixtures('11-12'), highlight: 'brighter' })
  desk.do('setPaletteRole', { role: 'rest', palette: desk.choose.palette(1) })
  desk.do('setCueTimes', {
    cues: [desk.choose.cue(1, 1)],
    fixtures: desk.fixtures('11'),
    family: null,
    seconds: 3,
    delay: null,
  })
  desk.do('setCueTimes', { cues: [desk.choose.cue(1, 1)], fixtures: null, family: 'colour', seconds: 4, delay: null })
  desk.go(1)
  return desk.show
}

/** Slow and obvious: whatever points at nothing is seen to, one thing after the other, until nothing does. */
function sweptAfter(show: Show, kind: Kind, id: string): Show {
  const draft = new Draft(show).remove(kind, id)
  const isSeenTo = ({ whenGone }: Dangling) => whenGone === 'goes too' || whenGone === 'turns to nothing'
  for (;;) {
    const [first] = danglingReferences(draft.result()).filter(isSeenTo)
    if (!first) return draft.result()
    draft.letGo(first)
  }
}

describe('taking a thing out', () => {
  it.each(KINDS.filter((kind) => kind !== 'show'))(
    'takes along what is declared to go with a %s, and nothing else',
    (kind) => {
      for (const id of [...START.all[kind].keys()].slice(0, 3)) {
        const draft = removeWithDependents(new Draft(START), kind, [id])
        expect(draft.result().all).toEqual(sweptAfter(START, kind, id).all)
      }
    },
  )

  it('leaves what keeps it from going, for the check of the change to refuse', () => {
    const [hang] = START.all.hang.keys()
    const draft = removeWithDependents(new Draft(START), 'hang', [hang ?? ''])
    const left = danglingReferences(draft.result())
    expect(left.length).toBeGreaterThan(0)
    expect(
      left.every(({ kind, field, whenGone }) => kind === 'fixturePlace' && field === 'hang' && whenGone === 'refuses'),
    ).toBe(true)
    expect(draft.changes().some(({ register }) => registerParts(register).kind === 'fixture')).toBe(false)
  })
})

describe('the list of kinds', () => {
  it('writes what goes with others after them', () => {
    for (const [at, kind] of KINDS.entries())
      for (const { to, whenGone } of referencesOf(kind))
        if (whenGone === 'goes too') expect([kind, to, KINDS.indexOf(to) < at || to === kind]).toEqual([kind, to, true])
  })

  it('names only fields that there are, and parts of what they point at', () => {
    for (const kind of KINDS) {
      const { partOf, unique, schema } = declarationOf(kind)
      const named = [...(partOf ? [partOf] : []), ...(unique ?? []), ...referencesOf(kind).map(({ field }) => field)]
      expect(Object.keys(schema.shape)).toEqual(expect.arrayContaining(named))
      if (partOf) expect(referencesOf(kind).map(({ field }) => field)).toContain(partOf)
    }
  })
})
