/** Cue lists, cues with what they set and when, and what is running now. */
import { z } from 'zod'
import { attributeId } from '../../attributes/attribute'
import { FAMILIES } from '../../attributes/families'
import * as ids from '../ids'
import { cueContent, fitsAttribute, MISFIT_OF_ATTRIBUTE } from '../values'
import { attributes, entryNumber, families, name, seconds, TRAVELS } from './parts'

/** Milliseconds since 1970, by the server's clock. */
const instant = z.number().int().min(0).max(8.64e15)

export const INTENSITY_RULES = ['highest', 'latest'] as const
export const FOLLOWS = ['wait', 'after', 'with'] as const
/** When a move in the dark is made: as the show says, early, late, in a cue that is named, or not at all. */
export const DARK_WHENS = ['planned', 'early', 'late', 'in cue', 'live'] as const
export const CUE_MARKS = ['blocked', 'held'] as const

/**
 * A list takes the stage for what its mask takes; of lists that set the same the higher `priority`
 * wins, then the latest. `level` is its master, 0 to 1. `pausedAt` is when its fades stopped.
 */
export const cueList = z.strictObject({
  number: entryNumber,
  name,
  intensityRule: z.enum(INTENSITY_RULES),
  priority: z.number().int().min(1).max(9),
  level: z.number().min(0).max(1),
  take: families,
  heldBack: attributes,
  onStage: ids.cueId.nullable(),
  pausedAt: instant.nullable(),
  /** How its cues move heads; null for as the show does. */
  travel: z.enum(TRAVELS).nullable().default(null),
})
/**
 * Seconds: intensity rises and falls in its own times, all else takes `move`, or `rise` where that
 * is null. `follow` says whether it waits to be called, comes when the cue before it has arrived
 * (`after`) or starts together with it (`with`); `delay` is waited first.
 */
export const cue = z.strictObject({
  list: ids.cueListId,
  number: entryNumber,
  name: z.string().trim().max(120),
  note: z.string().max(500),
  rise: seconds,
  fall: seconds,
  move: seconds.nullable(),
  delay: seconds,
  follow: z.enum(FOLLOWS),
  /** Null for as its list does. */
  travel: z.enum(TRAVELS).nullable(),
  /** While it is the newest, no head is to be heard: nothing moves in the dark then. */
  quiet: z.boolean().default(false),
})
/**
 * Times of a family, a fixture or both, where they differ from the cue's own, and how the light of a
 * fixture travels; null leaves what the cue says.
 */
export const cueTime = z
  .strictObject({
    cue: ids.cueId,
    fixture: ids.fixtureId.nullable(),
    family: z.enum(FAMILIES).nullable(),
    seconds: seconds.nullable(),
    delay: seconds.nullable(),
    travel: z.enum(TRAVELS).nullable().default(null),
  })
  .refine((t) => t.fixture !== null || t.family !== null, 'a time of its own is for a family or a fixture')
  .refine(
    (t) => t.seconds !== null || t.delay !== null || t.travel !== null,
    'a time of its own says how long, how late or how its light travels',
  )
  .refine(
    (t) => t.travel === null || (t.fixture !== null && (t.family === null || t.family === 'position')),
    'the light of fixtures travels as they turn: in position, or in all families',
  )
/**
 * When a fixture that lights in a cue gets its place, colour, beam and gobo: in the dark before, as
 * the show does (`planned`), as early or as late as can be or in a cue that is named, or `live`. Said
 * for a list or one cue, and there for all or one fixture, all or one family: the narrowest counts.
 */
export const darkRule = z
  .strictObject({
    list: ids.cueListId.nullable(),
    cue: ids.cueId.nullable(),
    fixture: ids.fixtureId.nullable(),
    family: z.enum(FAMILIES).nullable(),
    when: z.enum(DARK_WHENS),
    inCue: ids.cueId.nullable(),
  })
  .refine((r) => (r.list === null) !== (r.cue === null), 'a rule for dark moves is for a list or for a cue')
  .refine((r) => (r.when === 'in cue') === (r.inCue !== null), 'only a move in a cue of its own names that cue')
  .refine((r) => r.family !== 'intensity', 'light is what dark moves wait for: it does not move itself')
/** A lit beam in a keep-clear zone that is meant to be there, and why: of a fixture in a cue, in one venue. */
export const acceptedSweep = z.strictObject({
  venue: ids.venueId,
  cue: ids.cueId,
  fixture: ids.fixtureId,
  zone: name,
  reason: z.string().trim().min(1, 'say why').max(200),
})
/**
 * `blocked` values stand although they only repeat what is carried; `held` ones were kept as they
 * were when what they linked to changed, and `source` is the palette they would follow again.
 */
export const cueValue = z
  .strictObject({
    cue: ids.cueId,
    fixture: ids.fixtureId,
    attribute: attributeId,
    value: cueContent,
    mark: z.enum(CUE_MARKS).nullable(),
    source: ids.paletteId.nullable(),
  })
  .refine((v) => v.source === null || v.mark === 'held', 'only a held value knows where it came from')
  .refine(fitsAttribute, MISFIT_OF_ATTRIBUTE)
/**
 * A cue that was started: from which it came, and when. Null for the list leaving the stage.
 * `seconds` is how long everything takes, where that was asked for instead of the cue's own times.
 * `settled` once it has arrived: it then only tells how late the list took what the cue sets.
 * `order` counts the starts of all lists: two in one millisecond keep theirs, and a pause changes nothing of it.
 */
export const cueRun = z.strictObject({
  list: ids.cueListId,
  cue: ids.cueId.nullable(),
  from: ids.cueId.nullable(),
  startedAt: instant,
  seconds: seconds.nullable(),
  settled: z.boolean(),
  /** Back-ups from before starts were counted know nothing of it. */
  order: z.number().int().min(0).default(0),
})
