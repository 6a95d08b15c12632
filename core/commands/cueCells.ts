/** Commands on cells of the carry sheet: cues by fixtures by families. */
import { z } from 'zod'
import {
  block,
  carriedWithin,
  lettingGo,
  repeatsWithin,
  setInCues,
  setWithin,
  unblock,
  WHERE,
  type CellChoice,
} from '../cues/editing'
import { putCueValue, takeCueValue, type Setting } from '../cues/marks'
import { rangeOf } from '../hand/attributes'
import { attributesServed } from '../palettes/resolve'
import { Draft } from '../show/draft'
import type { CueValue } from '../show/entities'
import { ATTRIBUTES, FAMILIES } from '../show/families'
import { cueId, fixtureId, paletteId, type CueId } from '../show/ids'
import { rigOf } from '../show/rig'
import type { Show } from '../show/show'
import { command, done, refuse, type Outcome } from './command'
import { noCue } from './cueListOf'
import { gone } from './refusals'
import { fixturesInWords, listInWords } from './wording'

const cues = z.array(cueId).min(1, 'choose a cue')
const fixtures = z.array(fixtureId).min(1)
const cells = {
  cues,
  /** Null for every fixture. */
  fixtures: fixtures.nullable(),
  families: z.array(z.enum(FAMILIES)).min(1, 'choose a family'),
}

/** "cue 12" or "5 cues". */
export function cuesNamed(show: Show, ids: readonly CueId[]): string {
  const [only] = ids
  if (only === undefined || ids.length !== 1) return `${ids.length} cues`
  return `cue ${show.all.cue.get(only)?.number ?? ''}`
}

const count = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`
const areGone = (show: Show, ids: readonly CueId[]) => ids.some((id) => !show.all.cue.has(id))

/** Sets a number in cues, seen or not. */
export const setNumberInCues = command({
  input: z.strictObject({
    cues,
    fixtures,
    attribute: z.enum(ATTRIBUTES).exclude(['position']),
    number: z.number(),
    where: z.enum(WHERE),
  }),
  undoable: true,
  run(show, { cues: into, fixtures: whose, attribute, number, where }) {
    if (areGone(show, into)) return noCue()
    const able = whose.filter((id) => rigOf(show).get(id)?.type.has.includes(attribute))
    if (able.length === 0) return refuse('not able', `None of these fixtures has ${attribute}.`, 'fixtures')
    for (const id of able) {
      const type = rigOf(show).get(id)?.type
      const limits = type && rangeOf(type, attribute)
      if (limits && (number < limits.min || number > limits.max))
        return refuse(
          'beyond range',
          `${type.name} takes ${attribute} from ${limits.min} to ${limits.max}, not ${number}.`,
          'number',
        )
    }
    const value = { kind: 'number', number } as const
    const settings = into.flatMap((cue) => able.map((fixture): Setting => ({ cue, fixture, attribute, value })))
    const draft = new Draft(show)
    setInCues(show, draft, settings, where)
    return done(draft, `${attribute} of ${fixturesInWords(show, able)} in ${cuesNamed(show, into)}`)
  },
})

/** Links cells to a palette: everything it holds for each fixture. */
export const setPaletteInCues = command({
  input: z.strictObject({ cues, fixtures, palette: paletteId, where: z.enum(WHERE) }),
  undoable: true,
  run(show, { cues: into, fixtures: whose, palette, where }) {
    if (areGone(show, into)) return noCue()
    const known = show.all.palette.get(palette)
    if (!known) return gone('palette', 'palette')
    const value = { kind: 'link', palette } as const
    const settings = whose.flatMap((fixture) => {
      const rigged = rigOf(show).get(fixture)
      const served = rigged ? attributesServed(show, palette, rigged) : []
      return into.flatMap((cue) => served.map((attribute): Setting => ({ cue, fixture, attribute, value })))
    })
    if (settings.length === 0)
      return refuse('serves none', `${known.name} holds nothing for these fixtures.`, 'palette')
    const draft = new Draft(show)
    setInCues(show, draft, settings, where)
    return done(draft, `${known.name} for ${fixturesInWords(show, whose)} in ${cuesNamed(show, into)}`)
  },
})

/** Runs a change of cells; a choice in which there is nothing to do is refused in words. */
function onCells(
  show: Show,
  choice: CellChoice,
  change: (draft: Draft) => number,
  doing: string,
  nothing: string,
): Outcome {
  if (areGone(show, choice.cues)) return noCue()
  const draft = new Draft(show)
  const changed = change(draft)
  if (changed === 0) return refuse('nothing there', nothing, 'cues')
  const what = count(changed, 'value', 'values')
  return done(draft, `${doing} ${what} (${cuesNamed(show, choice.cues)})`)
}

/** Takes values out of their cues; returns how many. */
function takeAll(draft: Draft, values: readonly CueValue[]): number {
  for (const stored of values) takeCueValue(draft, stored)
  return values.length
}

/** Takes out what cues set, which is not to set it to nothing: what is carried comes through. */
export const takeOutOfCues = command({
  input: z.strictObject(cells),
  undoable: true,
  run: (show, choice) =>
    onCells(
      show,
      choice,
      (draft) => takeAll(draft, setWithin(show, choice)),
      'take out',
      `These cues set no ${listInWords(choice.families)} of these fixtures; what is seen is carried.`,
    ),
})

/** Lets go of what cues hold, set or carried: what lies under the list comes through, in the end the state at rest. */
export const setRestInCues = command({
  input: z.strictObject({ ...cells, where: z.enum(WHERE) }),
  undoable: true,
  run: (show, { where, ...choice }) =>
    onCells(
      show,
      choice,
      (draft) => {
        const settings = lettingGo(show, choice)
        setInCues(show, draft, settings, where)
        return settings.length
      },
      'back to rest:',
      `These cues hold no ${listInWords(choice.families)} of these fixtures: it rests already.`,
    ),
})

/** What is carried stands by itself from here on: earlier changes end before it. */
export const blockInCues = command({
  input: z.strictObject(cells),
  undoable: true,
  run: (show, choice) =>
    onCells(
      show,
      choice,
      (draft) => block(show, draft, choice),
      'block',
      'Nothing is carried here that could be blocked.',
    ),
})

/** Lets what was blocked be carried again. */
export const unblockInCues = command({
  input: z.strictObject(cells),
  undoable: true,
  run: (show, choice) =>
    onCells(show, choice, (draft) => unblock(show, draft, choice), 'unblock', 'Nothing is blocked here.'),
})

/** Takes out values that only repeat what is carried; blocked ones stay. */
export const cleanUpCues = command({
  input: z.strictObject(cells),
  undoable: true,
  run: (show, choice) =>
    onCells(
      show,
      choice,
      (draft) => takeAll(draft, repeatsWithin(show, choice)),
      'clean up',
      'Nothing here only repeats what is carried.',
    ),
})

/** Copies what a cue sets, or all it shows, into other cues. */
export const copyInCues = command({
  input: z.strictObject({
    from: cueId,
    to: cues,
    fixtures: cells.fixtures,
    families: cells.families,
    what: z.enum(['what it sets', 'all it shows']),
  }),
  undoable: true,
  run(show, { from, to, what, ...choice }) {
    const source = show.all.cue.get(from)
    if (!source || areGone(show, to)) return noCue()
    const within = { ...choice, cues: [from] }
    const carried = what === 'all it shows' ? carriedWithin(show, within).map(({ stored }) => stored) : []
    const values = [...setWithin(show, within), ...carried]
    if (values.length === 0)
      return refuse(
        'nothing there',
        `Cue ${source.number} has no ${listInWords(choice.families)} of these fixtures.`,
        'from',
      )
    const draft = new Draft(show)
    for (const cue of to) if (cue !== from) for (const stored of values) putCueValue(draft, { ...stored, cue })
    return done(
      draft,
      `copy ${count(values.length, 'value', 'values')} of cue ${source.number} into ${cuesNamed(show, to)}`,
    )
  },
})
