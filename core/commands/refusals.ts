/**
 * Everything a command may refuse: by its code, what it is about, and the words made from that. Who
 * asks goes by code and about; the words are for people.
 */
import { declarationOf, type Kind } from '../show/kinds'
import { counted, plural } from '../show/counted'
import { listInWords } from '../show/listInWords'

/** For a refusal that is about nothing else than what was asked. */
type Nothing = Readonly<Record<string, never>>
function always(words: string): (about: Nothing) => string {
  return () => words
}

interface Numbered {
  readonly number: number
  /** What has the number already. */
  readonly by: string
}
interface Named {
  readonly name: string
}
interface Families {
  readonly families: readonly string[]
}
interface Range {
  readonly min: number
  readonly max: number
}

const oneOf = (kind: Kind) => declarationOf(kind).words[0]

const WORDS = {
  // What was asked is not understood, or not there.
  'bad input': ({ field, why }: { readonly field: string; readonly why: string }) =>
    `${field || 'The arguments'}: ${why}.`,
  gone: ({ kind }: { readonly kind: Kind }) => `This ${oneOf(kind)} is no longer in the show.`,
  'one gone': ({ kind }: { readonly kind: Kind }) =>
    `One of these ${declarationOf(kind).words[1]} is no longer in the show.`,
  'no place here': ({ kind }: { readonly kind: Kind }) => `This ${oneOf(kind)} has no place in this venue.`,
  'hangs elsewhere': always('One of the fixtures no longer hangs in this venue. Select again.'),
  'not hung here': ({ fixture, by }: { readonly fixture: number; readonly by: number | null }) =>
    by === null
      ? `${fixture} does not hang in this venue: give it a hang first.`
      : `${fixture} does not hang in this venue, ${by} plays its values here: give it a hang first.`,
  'source hangs elsewhere': always('The fixture to copy from no longer hangs here.'),
  'files too large': ({ size, most }: { readonly size: number; readonly most: number }) =>
    `The files this show would keep come to ${Math.ceil(size / 1e6)} MB, and it keeps ${Math.round(most / 1e6)}. Take it without keeping the file, or let go of another one first (in the Rig room, beside the venue or at its type).`,
  'tied to a set piece': ({ name }: Named) =>
    `${name} is tied to a set piece and moves with it. Leave it out, or move the set piece.`,
  'tied to what is elsewhere': always('The set piece of this target has no place here.'),
  'not in it': always('Open the show again: you are not in it yet.'),
  begun: always('This show has been begun already.'),
  'not a show': ({ name, why }: Named & { readonly why: string }) => `“${name}” cannot be restored. ${why}`,
  'unknown change': always('Nothing can be kept out of this change.'),

  // Names and numbers.
  'name taken': ({ kind, name }: Named & { readonly kind: Kind }) =>
    `There is a ${oneOf(kind)} called ${name} already. Choose another name.`,
  'name twice': ({ what, name }: Named & { readonly what: string }) => `There are two ${what} called ${name}.`,
  'modes alike': always('Two modes have the same name; each needs its own.'),
  'number taken': ({ kind, number, by }: Numbered & { readonly kind: Kind }) =>
    kind === 'cue'
      ? `Cue ${number} is ${by || 'already there'}. Choose another number.`
      : `Number ${number} is ${kind === 'palette' ? '' : `the ${oneOf(kind)} `}${by}. Choose another number.`,
  cell: ({ cell, fixture }: { readonly cell: string; readonly fixture: string }) =>
    `${cell} is a cell of ${fixture} and goes with it: change ${fixture}.`,
  'fixture number taken': ({ number, by }: Numbered) =>
    `Number ${number} is taken${by ? ` by ${by}` : ''}. Number from elsewhere.`,
  'number taken in the rig': ({ number }: { readonly number: number }) => `Number ${number} is taken.`,
  'number twice': ({ number, where }: { readonly number: number; readonly where: string }) =>
    `Number ${number} would stand twice ${where}. Each needs its own.`,

  // What leans on it, or keeps it.
  locked: ({ name, layer }: Named & { readonly layer: string }) =>
    `${name} stands in the layer ${layer}, which is locked. Unlock the layer first.`,
  'palettes leaned on': ({ name, dependents }: Named & { readonly dependents: string }) =>
    `${dependents} lean on ${name}. Turn the links into loose values, or hand them to another palette.`,
  'target aimed at': ({ name, dependents }: Named & { readonly dependents: string }) =>
    `${dependents} aim at ${name}. Keep their places as free aims, or aim them elsewhere.`,
  'mode in use': ({ name, fixtures }: Named & { readonly fixtures: number }) =>
    `${counted(fixtures, 'fixture')} ${plural(fixtures, 'uses', 'use')} the mode ${name}. Change their mode first, then take it out.`,
  'hang in use': ({ name, fixtures }: Named & { readonly fixtures: number }) =>
    `${counted(fixtures, 'fixture place')} ${plural(fixtures, 'is', 'are')} on ${name}. Move the fixtures to another hang or delete them with it.`,
  'type in use': ({ name, fixtures }: Named & { readonly fixtures: number }) =>
    `${counted(fixtures, 'fixture')} ${plural(fixtures, 'is', 'are')} ${name}. Give them another type, or leave them without one.`,
  'other hang elsewhere': always('The other hang has no place in every venue these fixtures hang in.'),
  'the only list': always('A show keeps one cue list: this is the last one.'),
  'has work': ({ name }: Named) => `${name} still has work in hand. Have it recorded or cleared first.`,
  'no heir': always('Choose a palette that stays for the links to go to.'),

  // The rig and the venue.
  'below floor': ({ name, metres }: Named & { readonly metres: number }) =>
    `${name} cannot hang ${metres.toFixed(2)} m below the stage floor.`,
  'other type’s mode': ({ fixture }: { readonly fixture: number }) =>
    `Fixture ${fixture}: this mode is not one of its type.`,
  'no such mode': ({ name }: Named) => `${name} has no such mode.`,
  'no mode': ({ fixture }: { readonly fixture: number }) =>
    `Fixture ${fixture} has no mode, so nobody knows how many channels it takes.`,
  'unknown in a row': ({ fixture, kind, name }: Named & { readonly fixture: number; readonly kind: Kind }) =>
    `Fixture ${fixture}: there is no ${oneOf(kind)} called ${name}.`,
  'unknown mode in a row': ({ fixture, type, name }: Named & { readonly fixture: number; readonly type: string }) =>
    `Fixture ${fixture}: ${type} has no mode called ${name}.`,
  'unknown in a line': ({ line, kind, name }: Named & { readonly line: string; readonly kind: Kind }) =>
    `${line}: there is no ${oneOf(kind)} called ${name}.`,
  'fixtures of a line': ({ line, why }: { readonly line: string; readonly why: string }) => `${line}: ${why}`,
  'same fixture': always('Choose two different fixtures.'),
  'hang absent': ({ name }: Named) => `${name} is not in that venue. Give it a place there first.`,
  'unknown hang': ({ name }: Named) => `There is no hang called ${name}.`,
  'no such fixture': ({ number }: { readonly number: number }) => `There is no fixture ${number}.`,
  'no place to copy': ({ kind }: { readonly kind: Kind }) =>
    `This ${oneOf(kind)} has no place in any venue. Place it in the Rig room first.`,
  'substitute absent': ({ number }: { readonly number: number }) =>
    `Fixture ${number} does not hang in this venue itself. Give it a place there first.`,
  'substitutes another': ({ number, other }: { readonly number: number; readonly other: number }) =>
    `Fixture ${number} plays ${other} in this venue already. Take that back, or choose another.`,
  'venue in play': ({ name }: Named) => `The show plays at ${name}. Play at another venue first, then delete it.`,
  'no place changed': always('No place was changed in hand: only places can be corrected for one venue.'),
  'no pass': ({ name }: Named) => `No pass has been begun at ${name}. Begin one in the Refocus room.`,
  'pass begun': ({ name }: Named) => `A pass at ${name} has been begun already. Go on with it, or end it first.`,
  taken: ({ name, by }: Named & { readonly by: string }) =>
    `${by} is checking ${name}. Take another, or take it from them.`,
  'holds no size': ({ name }: Named) => `${name} holds no size for these fixtures: record zoom in it first.`,
  'ties nothing': always('None of these lands on the stage here: there is nothing to tie them to.'),
  'not at one target': always('These lights are not all at one target of this venue: choose touch-ups of one.'),
  'output unsound': ({ why }: { readonly why: string }) => `This output cannot be so: ${why}.`,
  'no touch-up': always('There is nothing touched up here.'),
  'touches nothing': ({ name, fixture }: Named & { readonly fixture: number }) =>
    `${name} gives fixture ${fixture} no place of its own that could be touched up.`,
  'lands nowhere': ({ fixture }: { readonly fixture: number }) =>
    `The light of fixture ${fixture} lands nowhere, so it cannot be said how far it is off.`,

  // The hand.
  'no such zone': ({ zone }: { readonly zone: string }) => `There is no keep-clear zone called ${zone} in this venue.`,
  'no such list': ({ list }: { readonly list: string }) => `There is no list of swatches called ${list}.`,
  'not able': ({ attribute }: { readonly attribute: string }) => `None of these fixtures has ${attribute}.`,
  'beyond range': ({
    type,
    attribute,
    min,
    max,
    number,
  }: Range & { readonly type: string; readonly attribute: string; readonly number: number | null }) =>
    `${type} takes ${attribute} from ${min} to ${max}${number === null ? '' : `, not ${number}`}.`,
  'cannot spin': ({
    type,
    attribute,
    fastest,
  }: {
    readonly type: string
    readonly attribute: string
    readonly fastest: number | null
  }) =>
    fastest === null
      ? `The ${attribute} of ${type} cannot spin.`
      : `The ${attribute} of ${type} spins at ${fastest} rpm at most, either way.`,
  'beyond stop': ({
    fixture,
    axis,
    degrees,
    min,
    max,
  }: Range & { readonly fixture: number; readonly axis: string; readonly degrees: number }) =>
    `Fixture ${fixture} cannot: ${axis} ${degrees}° is beyond its stops, ${min}° to ${max}°.`,
  'not a pool': ({ attribute }: { readonly attribute: string }) =>
    `A pool diameter sets the zoom; ${attribute} takes a number.`,
  'nothing in hand': always('There is nothing in hand to clear.'),
  'nothing to copy': ({ fixture, families }: Families & { readonly fixture: string }) =>
    `Fixture ${fixture} shows no ${listInWords(families)} that these fixtures could take.`,
  'a point': ({ name }: Named) => `${name} is a point. Choose a line or a ring.`,
  'a point to fan over': ({ name }: Named) =>
    `${name} is a point. Choose a line or a ring, or draw a line on the stage.`,
  'home already': ({ families }: Families) =>
    `There is no ${listInWords(families)} to bring home: these fixtures have none, or are there.`,
  'neutral takes nothing': always(
    'Neutral does nothing: its mask holds every family back. Switch one on beside the button.',
  ),
  'neutral already': ({ families }: Families) =>
    `Neutral does nothing: ${listInWords(families)} of these fixtures ${plural(families.length, 'is', 'are')} neutral already, and the rest is held back.`,
  'no aim': always('None of these fixtures is aimed at a place. Drop them on a target first.'),
  'not in hand': ({ name }: Named) => `${name} is not in hand for these fixtures.`,
  'no other side': always('The stops of these fixtures allow no other way to their place.'),
  'quickest already': always('All of these fixtures go the quickest way already.'),

  // Palettes.
  'not surveyed': ({ name }: Named) =>
    `${name} was not surveyed in this venue. Say that it was, once its place is measured.`,
  'serves none': ({ name }: Named) => `${name} holds nothing for these fixtures.`,
  'lacks attribute': ({ name, attribute, fixture }: Named & { readonly attribute: string; readonly fixture: string }) =>
    `${name} holds no ${attribute} for fixture ${fixture}.`,
  'takes nothing': ({ name }: Named) => `${name} would take nothing any more. Leave one family on.`,
  'none open': always('No palette is open in the hand.'),
  'another open': ({ name }: Named) => `${name} is open in the hand. Keep or drop it first.`,
  'hand full': ({ name }: Named) => `The hand holds other values. Record or clear them, then edit ${name}.`,
  'nothing to extend': ({ name }: Named) => `Everything chosen holds something for all of ${name} already.`,
  'nothing new in sheet': always('Every palette of the sheet is in the show already.'),
  'nothing to make from': ({ name }: Named) => `${name} has nothing to make such palettes from. Look at its wheels.`,
  'not alike': ({ name, other }: Named & { readonly other: string }) => `${name} does not hold the same as ${other}.`,
  'nothing for shelf': ({ shelf, mask }: { readonly shelf: string; readonly mask: string }) =>
    `Nothing in hand belongs in a ${shelf} palette: it takes ${mask}. Check the take switches.`,
  'nothing new to it': ({ name, mask }: Named & { readonly mask: string }) =>
    `Nothing in hand is new to ${name}: it takes ${mask}. Check the take switches.`,
  'nothing changed': always('Nothing in hand was changed away from a palette, or the take switches hold it back.'),
  'serves more widely': ({ name }: Named) =>
    `${name} serves these fixtures by a value for their type or for any: one of them cannot be left out alone.`,
  'holds nothing of that': ({ name }: Named) => `${name} holds nothing of that.`,
  emptied: ({ name }: Named) => `${name} would hold nothing. Delete the palette instead.`,
  'serves no group': ({ name }: Named) => `${name} holds nothing for these groups.`,
  loop: ({ way }: { readonly way: readonly string[] }) =>
    `${way[0] ?? ''} would be made of itself: ${way.join(' → ')}. Take that palette off first.`,
  'too deep': ({ name, deepest }: Named & { readonly deepest: number }) =>
    `${name} would be linked through more than ${deepest} palettes. Link to one nearer to the values.`,

  // Cues.
  'nothing to record': ({ from, list }: { readonly from: 'hand' | 'stage'; readonly list: string }) =>
    from === 'hand'
      ? `Nothing in hand is being taken into ${list}. Aim something, or switch a family on.`
      : `The stage shows nothing that is being taken into ${list}. Put something on it, or switch a family on.`,
  'cue holds none': ({ cue, families }: Families & { readonly cue: number }) =>
    `Cue ${cue} holds no ${listInWords(families)} of these fixtures.`,
  'nothing received': ({ families }: Families) => `Nothing comes in for ${listInWords(families)} of these fixtures.`,
  'cues show none': ({ families }: Families) => `The cues show no ${listInWords(families)} of these fixtures.`,
  'cues set none': ({ families }: Families) =>
    `These cues set no ${listInWords(families)} of these fixtures; what is seen is carried.`,
  'nothing to block': always('Nothing is carried here that could be blocked.'),
  'nothing repeats': always('Nothing here only repeats what is carried.'),
  'nothing blocked': always('Nothing is blocked here.'),
  'rests already': ({ families }: Families) =>
    `These cues hold no ${listInWords(families)} of these fixtures: it rests already.`,
  'nothing held': always('These values were not held away from a palette that is still there.'),
  'nothing loose': always('These values are linked already, or gone.'),
  'cue shows none': ({ cue, families }: Families & { readonly cue: number }) =>
    `Cue ${cue} has no ${listInWords(families)} of these fixtures.`,
  'nothing due': ({ list }: { readonly list: string }) => `Nothing follows in ${list} now.`,
  'no way there': ({ cue }: { readonly cue: number }) =>
    `Cue ${cue} aims nothing there: there is no way round to choose.`,
  'no number between': ({ before, after }: { readonly before: number; readonly after: number }) =>
    `There is no number between ${before} and ${after}: give one of the cues another.`,
  'at the start': ({ list }: { readonly list: string }) => `${list} is at its first cue.`,
  'at the end': ({ list }: { readonly list: string }) => `${list} is at its last cue.`,
  'other list': always('This cue stands in another list.'),
  'same palette': always('Choose two different palettes.'),
  'heir serves none': ({ heir, name }: Named & { readonly heir: string }) =>
    `${heir} holds nothing for the fixtures that ${name} stands for there.`,
  'does not stand there': ({ name }: Named) => `${name} does not stand in these cues.`,
  'travel of whom': always(
    'Say of which fixtures: how light travels is said for them, in position or in all families.',
  ),
  'of whom': always('Choose a family or fixtures: the times of all are the cue’s own.'),
  'no times': always('None of these palettes holds a time.'),
}

export type CommandRefusalCode = keyof typeof WORDS
/** What those who carry commands out may refuse besides: whether one is let in, and whether it can be kept. */
export const CARRYING_CODES = [
  'away',
  'bad request',
  'cannot be kept',
  'cannot stand',
  'changed meanwhile',
  'database away',
  'foreign',
  'harms others',
  'incomplete',
  'internal',
  'no link',
  'not a back-up',
  'not a rig file',
  'cannot be written',
  'not allowed',
  'not found',
  'not open',
  'stays',
  'too large',
  'too many lines',
  'unknown command',
  'unknown key',
  'unknown step',
  'unknown version',
  'unreachable',
  'unreadable',
  'unsound',
  'wait',
] as const
export type RefusalCode = CommandRefusalCode | (typeof CARRYING_CODES)[number]

/** What each refusal is about. */
export type RefusalAbout = { readonly [C in CommandRefusalCode]: Parameters<(typeof WORDS)[C]>[0] }

const IN_WORDS: { readonly [C in CommandRefusalCode]: (about: RefusalAbout[C]) => string } = WORDS

/** A refusal in words: what is the matter, and the way on. */
export function refusalInWords<C extends CommandRefusalCode>(code: C, about: RefusalAbout[C]): string {
  return IN_WORDS[code](about)
}

const CODES: ReadonlySet<string> = new Set([...Object.keys(WORDS), ...CARRYING_CODES])

/** Whether a text that came from elsewhere is the code of a refusal. */
export function isRefusalCode(code: string): code is RefusalCode {
  return CODES.has(code)
}
