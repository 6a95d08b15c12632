/** What a person who was let in may do. Each role may do what those before it may. */
import type { Refusal } from '../commands/command'
import type { CommandName } from '../commands/registry'

export const ROLES = ['watches', 'walks the stage', 'programs', 'owns'] as const
export type Role = (typeof ROLES)[number]

/** Each role in a sentence, as it is told to whoever gives it or has it. */
export const ROLE_IN_WORDS: Readonly<Record<Role, string>> = {
  watches: 'sees everything and changes nothing',
  'walks the stage': 'checks palettes on the stage and touches them up for the venue in play, and records nothing else',
  programs: 'does everything but let others in',
  owns: 'does everything, and lets others in',
}

/** What is needed to check places on the stage: it stays in one's own hand, in the pass, or in the venue in play. */
const ON_THE_STAGE: ReadonlySet<string> = new Set<CommandName>([
  'checkPalette',
  'clearHand',
  'clearTouchUps',
  'confirmInPass',
  'markInPass',
  'noteCue',
  'noteInPass',
  'noteTouchUps',
  'nudgeAim',
  'recallPalette',
  'releasePalette',
  'setBlind',
  'setHighlight',
  'settleCueNotes',
  'takeOffPalette',
  'touchUp',
  'turnOtherSide',
])
/** Who is in is nobody's to say for themselves: these have a way of their own. */
const BY_THE_SERVER: ReadonlySet<string> = new Set<CommandName>(['joinShow', 'removePerson'])
/** What one is called is one's own. */
const BY_ANYONE: ReadonlySet<string> = new Set<CommandName>(['renamePerson'])

/** Whether a role is another or one that may do more. */
export function isAtLeast(role: Role, least: Role): boolean {
  return ROLES.indexOf(role) >= ROLES.indexOf(least)
}

/** Whether who has a role may have a command carried out. */
export function mayRun(role: Role, command: CommandName): boolean {
  if (BY_THE_SERVER.has(command)) return false
  if (BY_ANYONE.has(command)) return true
  return isAtLeast(role, ON_THE_STAGE.has(command) ? 'walks the stage' : 'programs')
}

/** Tells who has a role why they may not do something. */
export function notAllowed(role: Role): Refusal {
  return {
    code: 'not allowed',
    message: `Your link does not let you do this: who ${role} ${ROLE_IN_WORDS[role]}. Ask an owner of the show for another.`,
  }
}
