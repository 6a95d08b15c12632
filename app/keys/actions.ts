/**
 * Everything a key can do, with the key it has at first. None of these keys is one that browsers
 * keep for themselves.
 */
export const ACTIONS = [
  { id: 'select tool', name: 'Select tool', section: 'Stage', key: 'Alt C' },
  { id: 'lasso tool', name: 'Lasso tool', section: 'Stage', key: 'Alt L' },
  { id: 'aim tool', name: 'Aim tool', section: 'Stage', key: 'Alt A' },
  { id: 'move tool', name: 'Move tool', section: 'Stage', key: 'Alt M' },
  { id: 'lens tool', name: 'Lens tool', section: 'Stage', key: 'Alt Z' },
  { id: 'nearer', name: 'Nearer', section: 'Stage', key: '+' },
  { id: 'further', name: 'Further', section: 'Stage', key: '-' },
  { id: 'fit', name: 'Fit the stage', section: 'Stage', key: 'Home' },
  { id: 'type a selection', name: 'Type a selection', section: 'Selecting', key: '/' },
  { id: 'next subset', name: 'Next subset or fixture', section: 'Selecting', key: '.' },
  { id: 'previous subset', name: 'Previous subset or fixture', section: 'Selecting', key: ',' },
  { id: 'whole selection', name: 'Back to the whole selection', section: 'Selecting', key: 'Alt W' },
  { id: 'last selection', name: 'Selection before this one', section: 'Selecting', key: 'Backspace' },
  { id: 'next selection', name: 'Selection after this one', section: 'Selecting', key: 'Shift Backspace' },
  { id: 'reverse', name: 'Reverse the order', section: 'Selecting', key: 'Alt R' },
  { id: 'invert', name: 'Invert the selection', section: 'Selecting', key: 'Alt I' },
  { id: 'same type', name: 'Add all of the same type', section: 'Selecting', key: 'Alt Y' },
  { id: 'same hang', name: 'Add all on the same hang', section: 'Selecting', key: 'Alt G' },
  { id: 'fan', name: 'Fan', section: 'The hand', key: 'Alt U' },
  { id: 'highlight', name: 'Highlight on and off', section: 'The hand', key: 'Alt K' },
  { id: 'other side', name: 'Other side', section: 'The hand', key: 'Alt O' },
  { id: 'neutral', name: 'Neutral', section: 'The hand', key: 'Alt N' },
  { id: 'blind', name: 'Blind', section: 'The hand', key: 'Alt X' },
  { id: 'record palette', name: 'Record a palette', section: 'The hand', key: 'Alt P' },
  { id: 'record cue', name: 'Record a cue', section: 'The hand', key: 'Alt Q' },
  { id: 'update', name: 'Update what it came from', section: 'The hand', key: 'Alt J' },
  { id: 'take', name: 'Take into the hand', section: 'The hand', key: 'Alt Shift I' },
  { id: 'home', name: 'Home', section: 'The hand', key: 'Alt Shift O' },
  { id: 'clear', name: 'Clear the hand', section: 'The hand', key: 'Alt Shift L' },
  { id: 'copy values', name: 'Copy what a fixture shows', section: 'The hand', key: 'Ctrl C' },
  { id: 'paste links', name: 'Paste all but position, as links', section: 'The hand', key: 'Ctrl V' },
  { id: 'paste loose', name: 'Paste all but position, loose', section: 'The hand', key: 'Ctrl Shift V' },
  { id: 'go', name: 'Go', section: 'Cues', key: 'Ctrl Enter' },
  { id: 'back', name: 'Back, in the time it came', section: 'Cues', key: 'Ctrl Backspace' },
  { id: 'pause', name: 'Pause', section: 'Cues', key: 'Ctrl .' },
  { id: 'next cue', name: 'Next cue', section: 'Cues', key: 'PageDown' },
  { id: 'previous cue', name: 'Previous cue', section: 'Cues', key: 'PageUp' },
  { id: 'next shelf', name: 'Next shelf', section: 'Palettes', key: 'Shift PageDown' },
  { id: 'previous shelf', name: 'Shelf before', section: 'Palettes', key: 'Shift PageUp' },
  { id: 'room rig', name: 'To the Rig room', section: 'Everywhere', key: 'Alt Shift R' },
  { id: 'room focus', name: 'To the Focus room', section: 'Everywhere', key: 'Alt Shift C' },
  { id: 'room cues', name: 'To the Cues room', section: 'Everywhere', key: 'Alt Shift Q' },
  { id: 'room refocus', name: 'To the Refocus room', section: 'Everywhere', key: 'Alt Shift U' },
  { id: 'room output', name: 'To the Output room', section: 'Everywhere', key: 'Alt Shift G' },
  { id: 'room paper', name: 'To the Paper room', section: 'Everywhere', key: 'Alt Shift P' },
  { id: 'undo', name: 'Undo', section: 'Everywhere', key: 'Ctrl Z' },
  { id: 'redo', name: 'Redo', section: 'Everywhere', key: 'Ctrl Shift Z' },
  { id: 'keyboard map', name: 'Keyboard map', section: 'Everywhere', key: '?' },
] as const satisfies readonly { id: string; name: string; section: string; key: string }[]

export type ActionId = (typeof ACTIONS)[number]['id']

/** Keys that mean the same for everybody: they cannot be given away. */
export const FIXED_KEYS = [
  { key: '0 to 9, A to Z', does: 'Begin typing a selection', section: 'Selecting' },
  { key: 'Arrows', does: 'Nudge what is selected; with Shift a tenth of it', section: 'Stage' },
  { key: 'Space', does: 'Find right and go on, in a pass', section: 'Stage' },
  { key: 'Alt Shift 1 to 9', does: 'Recall one of the first nine palettes of the shelf', section: 'Palettes' },
  { key: 'Ctrl K', does: 'Find anything by name', section: 'Everywhere' },
  { key: 'Enter', does: 'Keep what is proposed or typed', section: 'Everywhere' },
  { key: 'Escape', does: 'Let go: a drag, a proposal, the tool, the selection', section: 'Everywhere' },
] as const

/** Keys of browsers and their menus, of typing and of the fixed keys above: they cannot be bound. */
const TAKEN = [
  /^(Shift )?[\p{L}\d]$/u,
  /^(Enter|Escape|Tab|Arrow(Up|Down|Left|Right)|Shift|Control|Alt|Meta|Space)$/,
  /^F\d+$/,
  /^Alt (Shift )?[BDEFHSTV\d]$/,
  /^Alt (Arrow|Home|F\d|Tab|Space|Enter)/,
  /^Alt Ctrl /,
  /^Ctrl (Shift )?[FHJKLNOPQRSTUWXADEGBM0-9+-]$/,
  /^Ctrl Shift C$/,
]

/** A key press as it is written: "Ctrl Shift Z", "Alt R", "PageDown". */
export function keyOf(event: {
  readonly key: string
  readonly code: string
  readonly ctrlKey: boolean
  readonly metaKey: boolean
  readonly altKey: boolean
  readonly shiftKey: boolean
}): string {
  const pressed = event.altKey ? letterOf(event) : event.key
  const isLetter = pressed.length === 1 && pressed.toLowerCase() !== pressed.toUpperCase()
  const key = pressed === ' ' ? 'Space' : isLetter ? pressed.toUpperCase() : pressed
  const isTold = isLetter || pressed.length > 1 || (event.altKey && /^\d$/.test(pressed))
  const shift = event.shiftKey && isTold ? 'Shift ' : ''
  const alt = event.altKey ? 'Alt ' : ''
  const control = event.ctrlKey || event.metaKey ? 'Ctrl ' : ''
  return `${alt}${control}${shift}${key}`
}

/** With Alt some keyboards write signs: the letter or digit is then told by where its key lies. */
function letterOf({ key, code }: { readonly key: string; readonly code: string }): string {
  return /^[a-z]$/i.test(key) ? key : (/^(?:Key|Digit)([A-Z\d])$/.exec(code)?.[1] ?? key)
}

/** Why a key cannot be bound to an action; null when it can. `keys` are those in use. */
export function whyNot(key: string, action: ActionId, keys: ReadonlyMap<ActionId, string>): string | null {
  if (TAKEN.some((taken) => taken.test(key))) return `${key} belongs to the browser or to typing. Choose another key.`
  const other = ACTIONS.find(({ id }) => id !== action && keys.get(id) === key)
  return other ? `${key} is ${other.name.toLowerCase()} already. Give that another key first.` : null
}
