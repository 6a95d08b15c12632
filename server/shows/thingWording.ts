/** Things of a show and what is wrong between them, in words. */
import type { Refusal } from '#core/commands/command'
import { fixtureNumber } from '#core/show/cells'
import { registerParts, type ChangeSet } from '#core/show/changes'
import { declarationOf, type Kind } from '#core/show/kinds'
import { plural } from '#core/show/counted'
import { listInWords } from '#core/show/listInWords'
import { issueInWords } from '#core/show/faults'
import type { Checked, Fault } from '#core/show/soundness'
import type { Show } from '#core/show/show'
import type { Clash } from '#core/show/uniqueness'

/** What a person calls one or many of a kind. */
function kindInWords(kind: Kind, count = 1): string {
  return plural(count, ...declarationOf(kind).words)
}

export const personInWords = (show: Show, person: string | undefined): string =>
  show.all.person.get(person ?? '')?.name ?? 'someone else'

/** How things of a kind are named that are not named by a name of their own: by what they belong to, or their number. */
const NAMED_BY: Readonly<Partial<Record<Kind, (show: Show, id: string) => string>>> = {
  show: () => 'the show itself',
  fixture: (show, id) => ofInWords('fixture', fixtureNumbered(show, id)),
  cue: ({ all }, id) => ofInWords('cue', all.cue.get(id)?.number),
  cueValue: ({ all }, id) => ofInWords('cue', all.cue.get(all.cueValue.get(id)?.cue ?? '')?.number),
  cueTime: ({ all }, id) => ofInWords('cue', all.cue.get(all.cueTime.get(id)?.cue ?? '')?.number),
  darkRule: ({ all }, id) => ofInWords('cue', all.cue.get(all.darkRule.get(id)?.cue ?? '')?.number),
  acceptedSweep: ({ all }, id) => ofInWords('cue', all.cue.get(all.acceptedSweep.get(id)?.cue ?? '')?.number),
  handValue: (show, id) => `what ${personInWords(show, show.all.handValue.get(id)?.person)} has in hand`,
  paletteValue: (show, id) => ofPalette(show, show.all.paletteValue.get(id)?.palette),
  pass: ({ all }, id) => `the pass at ${all.venue.get(id)?.name ?? 'a venue'}`,
  passStep: (show, id) => ofPalette(show, show.all.passStep.get(id)?.palette),
  passCheck: (show, id) => ofPalette(show, show.all.passCheck.get(id)?.palette),
  cueNote: ({ all }, id) => ofInWords('a note on cue', all.cue.get(all.cueNote.get(id)?.cue ?? '')?.number),
  touchUp: (show, id) => ofPalette(show, show.all.touchUp.get(id)?.palette),
  recordedFixture: (show, id) => ofPalette(show, show.all.recordedFixture.get(id)?.palette),
  paletteSpread: (show, id) => ofPalette(show, id),
  fixturePlace: (show, id) => ofInWords('fixture', fixtureNumbered(show, show.all.fixturePlace.get(id)?.fixture)),
  substitute: (show, id) => ofInWords('fixture', fixtureNumbered(show, show.all.substitute.get(id)?.fixture)),
  groupMember: ({ all }, id) => ofInWords('the group', all.group.get(all.groupMember.get(id)?.group ?? '')?.name),
}

const fixtureNumbered = ({ all }: Show, id: string | undefined) => {
  const known = all.fixture.get(id ?? '')
  return known && fixtureNumber(known)
}

const ofPalette = ({ all }: Show, palette: string | undefined) =>
  ofInWords('the palette', all.palette.get(palette ?? '')?.name)

/** Names a thing as a person would: by what it belongs to, its number or its name, else its kind. */
export function thingInWords(show: Show, kind: Kind, id: string): string {
  const named = NAMED_BY[kind]
  if (named) return named(show, id)
  const name: unknown = Reflect.get(show.all[kind].get(id) ?? {}, 'name')
  return typeof name === 'string' ? `the ${kindInWords(kind)} ${name}` : `a ${kindInWords(kind)}`
}

const ofInWords = (what: string, which: string | number | undefined) =>
  which === undefined ? `a ${what.replace('the ', '')}` : `${what} ${which}`

/** "There is another palette with the number 9." */
export function clashInWords({ kind, field, value }: Clash): string {
  return `there is another ${kindInWords(kind)} with the ${field} ${value}`
}

/** What is wrong, as the end of a sentence; `show` knows the things spoken of. */
export function unsoundInWords(show: Show, fault: Fault): string {
  switch (fault.code) {
    case 'missing':
      return show.all[fault.to].has(fault.missing)
        ? `${thingInWords(show, fault.kind, fault.id)} leans on ${thingInWords(show, fault.to, fault.missing)}`
        : `the ${kindInWords(fault.to)} it speaks of is no longer there`
    case 'clash':
      return clashInWords(fault.clash)
    case 'loop':
      return `palettes would be made of themselves: ${fault.palettes.map((id) => show.all.palette.get(id)?.name ?? '').join(' → ')}`
    case 'too deep':
      return `${thingInWords(show, 'palette', fault.palette)} would be linked through more palettes than can be followed`
    case 'other mode':
      return `${thingInWords(show, 'fixture', fault.fixture)} would have a mode of another type`
    case 'other list':
      return 'a list would stand in a cue of another list'
    case 'not hung':
      return `${thingInWords(show, fault.kind, fault.id)} would be on a hang that is not up in that venue`
    case 'other id':
      return `${thingInWords(show, fault.kind, fault.id)} would stand under another thing’s id`
    case 'misfit':
      return `${thingInWords(show, fault.kind, fault.id)} would not fit together${fault.issue ? `: ${issueInWords(fault.issue)}` : ''}`
  }
}

/** The refusal of a change that would leave the show unsound. */
export function unsoundRefusal(show: Show, { after, faults }: Extract<Checked, { ok: false }>): Refusal {
  const [fault] = faults
  const words = fault ? unsoundInWords(fault.code === 'missing' ? show : (after ?? show), fault) : 'it does not fit'
  return { code: 'unsound', message: `This cannot be done: ${words}.` }
}

/** "3 values of cues and 1 palette": what a change touches, by kind; empty for nothing. */
export function touchedInWords(changes: ChangeSet): string {
  const ids = new Map<Kind, Set<string>>()
  for (const { register } of changes) {
    const { kind, id } = registerParts(register)
    if (kind === 'cueRun' || kind === 'recordedFixture' || (kind === 'cueList' && register.endsWith('/onStage')))
      continue
    ids.set(kind, (ids.get(kind) ?? new Set()).add(id))
  }
  const parts = [...ids].map(([kind, { size }]) => `${size} ${kindInWords(kind, size)}`)
  return listInWords(parts)
}
