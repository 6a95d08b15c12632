/** Changes of cues themselves: their names and times, moving, copying and taking them out. */
import { cueTimeId } from '../show/compositeIds'
import { z } from 'zod'
import { keepLater } from '../cues/editing'
import { putCueValue } from '../cues/marks'
import { removeCues } from '../cues/removal'
import { timesOf } from '../cues/times'
import { placeOfCue, stateAtPlace, valuesByCue, type CueInOrder, type ListInOrder } from '../cues/tracking'
import { Draft } from '../show/draft'
import { cue as cueSchema, cueTime, entryNumber, type CueValue } from '../show/entities'
import { cueId, cueListId, fixtureId, type CueId } from '../show/ids'
import type { Show } from '../show/show'
import { givenBy } from '../show/values'
import { command, done, refuse, type Outcome } from './command'
import { cuesNamed } from './cueCells'
import { cueListOf, noCue, noList } from './cueListOf'
import { givenOnly } from './given'
import { fixturesInWords, listInWords } from './wording'

const cues = z.array(cueId).min(1, 'choose a cue')

/** Cues by number, or null where one is gone. */
function cuesOf(show: Show, ids: readonly CueId[]): CueInOrder[] | null {
  const known = ids.flatMap((id) => {
    const cue = show.all.cue.get(id)
    return cue ? [{ id, cue }] : []
  })
  return known.length === ids.length ? known.sort((a, b) => a.cue.number - b.cue.number) : null
}

const FIELDS = ['name', 'note', 'rise', 'fall', 'move', 'delay', 'follow', 'travel'] as const

/** Names, notes and times of one or many cues. */
export const changeCues = command({
  input: cueSchema.omit({ list: true, number: true }).partial().extend({ cues }),
  undoable: true,
  run(show, { cues: ids, ...fields }) {
    const known = cuesOf(show, ids)
    if (!known) return noCue()
    const draft = new Draft(show)
    for (const { id, cue } of known) draft.put('cue', id, { ...cue, ...givenOnly(fields) })
    const what = FIELDS.filter((field) => fields[field] !== undefined)
    return done(draft, `${listInWords(what)} of ${cuesNamed(show, ids)}`)
  },
})

/** Numbers for some cues from a first one on, a whole apart; as they are for one that keeps its number. */
function numbered(known: readonly CueInOrder[], first: number): { readonly id: CueId; readonly number: number }[] {
  return known.map(({ id }, i) => ({ id, number: Math.round((first + i) * 1000) / 1000 }))
}

function clash(
  list: ListInOrder,
  numbers: readonly { readonly id: CueId; readonly number: number }[],
  moving: readonly CueId[],
) {
  for (const { number } of numbers) {
    const other = list.cues.find(({ id, cue }) => cue.number === number && !moving.includes(id))
    if (other)
      return refuse(
        'number taken',
        `Cue ${number} is ${other.cue.name || 'already there'}. Choose another number.`,
        'number',
      )
  }
  return null
}

const elsewhere = { cues, list: cueListId, number: entryNumber }

/** Gives cues other numbers, in their list or another: what they carry on changes with their place. */
export const moveCues = command({
  input: z.strictObject(elsewhere),
  undoable: true,
  run(show, { cues: ids, list: listId, number }) {
    const known = cuesOf(show, ids)
    const list = cueListOf(show, listId)
    if (!known) return noCue()
    if (!list) return noList()
    const numbers = numbered(known, number)
    const refusal = clash(list, numbers, ids)
    if (refusal) return refusal
    const draft = new Draft(show)
    const leaving = known.filter(({ cue }) => cue.list !== listId)
    leaveStage(
      show,
      draft,
      leaving.map(({ id }) => id),
    )
    for (const { id, number: next } of numbers) draft.set('cue', id, 'number', next).set('cue', id, 'list', listId)
    const what = known.length === 1 ? `cue ${known[0]?.cue.number ?? ''}` : `${known.length} cues`
    const where = leaving.length ? ` of ${list.list.name}${lostInWords(show, draft.result(), leaving)}` : ''
    return done(draft, `move ${what} to ${number}${where}`)
  },
})

/** "; 12 values of 6 fixtures are no longer carried": what cues held in their list and do not in another. */
function lostInWords(before: Show, after: Show, cues: readonly CueInOrder[]): string {
  const lost = cues.flatMap(({ id }) => {
    const [was, is] = [stateIn(before, id), stateIn(after, id)]
    return [...was].filter(([key, stored]) => givenBy(stored) && !givenBy(is.get(key))).map(([, stored]) => stored)
  })
  if (lost.length === 0) return ''
  const fixtures = [...new Set(lost.map(({ fixture }) => fixture))]
  const values = lost.length === 1 ? '1 value' : `${lost.length} values`
  return `; ${values} of ${fixturesInWords(before, fixtures)} ${lost.length === 1 ? 'is' : 'are'} no longer carried`
}

function stateIn(show: Show, cue: CueId) {
  const place = placeOfCue(show, cue)
  return place ? stateAtPlace(show, place.list.id, place.at) : new Map<string, CueValue>()
}

/** A list cannot stand in a cue that is another's. */
function leaveStage(show: Show, draft: Draft, leaving: readonly CueId[]) {
  const gone = new Set<string>(leaving)
  for (const [id, run] of show.all.cueRun)
    if ((run.cue !== null && gone.has(run.cue)) || (run.from !== null && gone.has(run.from))) draft.remove('cueRun', id)
  for (const [id, { onStage }] of show.all.cueList) {
    if (onStage === null || !gone.has(onStage)) continue
    const place = placeOfCue(show, onStage)
    draft.set(
      'cueList',
      id,
      'onStage',
      place?.list.cues.slice(0, place.at).findLast((cue) => !gone.has(cue.id))?.id ?? null,
    )
  }
}

/** Copies cues with what they set, or with all they show. */
export const copyCues = command({
  input: z.strictObject({ ...elsewhere, what: z.enum(['what it sets', 'all it shows']) }),
  undoable: true,
  run(show, { cues: ids, list: listId, number, what }, { newId }) {
    const known = cuesOf(show, ids)
    const list = cueListOf(show, listId)
    if (!known) return noCue()
    if (!list) return noList()
    const numbers = numbered(known, number)
    const refusal = clash(list, numbers, [])
    if (refusal) return refusal
    const draft = new Draft(show)
    for (const [i, { id, cue }] of known.entries()) {
      const copy = cueId.parse(newId())
      draft.put('cue', copy, { ...cue, list: listId, number: numbers[i]?.number ?? cue.number })
      for (const time of timesOf(show, id))
        draft.put('cueTime', cueTimeId(copy, time.fixture, time.family), { ...time, cue: copy })
      for (const stored of copied(show, id, what)) putCueValue(draft, { ...stored, cue: copy }, stored)
    }
    return done(draft, `copy ${cuesNamed(show, ids)} to ${number}`)
  },
})

function copied(show: Show, cue: CueId, what: 'what it sets' | 'all it shows') {
  const place = placeOfCue(show, cue)
  if (what === 'what it sets' || !place) return valuesByCue(show).get(cue) ?? []
  return [...stateAtPlace(show, place.list.id, place.at).values()]
}

/** Takes cues out; what they would have carried on is lost to later cues, or set there. */
export const deleteCues = command({
  input: z.strictObject({ cues, later: z.enum(['change', 'stay as they look']) }),
  undoable: true,
  run(show, { cues: ids, later }): Outcome {
    const known = cuesOf(show, ids)
    if (!known) return noCue()
    const gone = new Set<string>(ids)
    const draft = new Draft(show)
    if (later === 'stay as they look') keepLater(show, draft, gone)
    removeCues(show, draft, gone)
    const [only] = known
    const what = known.length === 1 && only ? `cue ${only.cue.number} ${only.cue.name}`.trim() : `${known.length} cues`
    return done(draft, `take out ${what}`)
  },
})

/** Times of a family or of fixtures where they differ from the cue's own; both null takes them away. */
export const setCueTimes = command({
  input: z.strictObject({
    cues,
    fixtures: z.array(fixtureId).min(1).nullable(),
    family: cueTime.shape.family,
    seconds: cueTime.shape.seconds,
    delay: cueTime.shape.delay,
  }),
  undoable: true,
  run(show, { cues: ids, fixtures, family, seconds, delay }) {
    if (!cuesOf(show, ids)) return noCue()
    if (fixtures === null && family === null)
      return refuse('of whom', 'Choose a family or fixtures: the times of all are the cue’s own.', 'family')
    const draft = new Draft(show)
    for (const cue of ids)
      for (const fixture of fixtures ?? [null]) {
        const id = cueTimeId(cue, fixture, family)
        if (seconds === null && delay === null) draft.remove('cueTime', id)
        else draft.put('cueTime', id, { cue, fixture, family, seconds, delay })
      }
    const of = [family, fixtures && `${fixtures.length} fixtures`].filter(Boolean).join(', ')
    return done(draft, `times of ${of} in ${cuesNamed(show, ids)}`)
  },
})
