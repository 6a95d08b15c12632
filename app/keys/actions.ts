/**
 * Everything a key can do, with the key it has at first. None of these keys is one that browsers
 * keep for themselves.
 */
export const ACTIONS = [
  { id: 'select tool', name: 'Select tool', section: 'Stage', key: 'S' },
  { id: 'lasso tool', name: 'Lasso tool', section: 'Stage', key: 'Shift S' },
  { id: 'aim tool', name: 'Aim tool', section: 'Stage', key: 'A' },
  { id: 'move tool', name: 'Move tool', section: 'Stage', key: 'M' },
  { id: 'lens tool', name: 'Lens tool', section: 'Stage', key: 'L' },
  { id: 'nearer', name: 'Nearer', section: 'Stage', key: '+' },
  { id: 'further', name: 'Further', section: 'Stage', key: '-' },
  { id: 'fit', name: 'Fit the stage', section: 'Stage', key: 'F' },
  { id: 'type a selection', name: 'Type a selection', section: 'Selecting', key: '/' },
  { id: 'next subset', name: 'Next subset or fixture', section: 'Selecting', key: 'N' },
  { id: 'previous subset', name: 'Previous subset or fixture', section: 'Selecting', key: 'P' },
  { id: 'whole selection', name: 'Back to the whole selection', section: 'Selecting', key: 'W' },
  { id: 'last selection', name: 'Selection before this one', section: 'Selecting', key: 'Backspace' },
  { id: 'reverse', name: 'Reverse the order', section: 'Selecting', key: 'R' },
  { id: 'invert', name: 'Invert the selection', section: 'Selecting', key: 'I' },
  { id: 'same type', name: 'Add all of the same type', section: 'Selecting', key: 'T' },
  { id: 'same hang', name: 'Add all on the same hang', section: 'Selecting', key: 'G' },
  { id: 'fan', name: 'Fan', section: 'The hand', key: 'V' },
  { id: 'highlight', name: 'Highlight on and off', section: 'The hand', key: 'H' },
  { id: 'other side', name: 'Other side', section: 'The hand', key: 'O' },
  { id: 'neutral', name: 'Neutral', section: 'The hand', key: 'Shift N' },
  { id: 'blind', name: 'Blind', section: 'The hand', key: 'B' },
  { id: 'next cue', name: 'Next cue', section: 'Cues', key: 'PageDown' },
  { id: 'previous cue', name: 'Previous cue', section: 'Cues', key: 'PageUp' },
  { id: 'undo', name: 'Undo', section: 'Everywhere', key: 'Ctrl Z' },
  { id: 'redo', name: 'Redo', section: 'Everywhere', key: 'Ctrl Shift Z' },
  { id: 'keyboard map', name: 'Keyboard map', section: 'Everywhere', key: '?' },
] as const satisfies readonly { id: string; name: string; section: string; key: string }[]

export type ActionId = (typeof ACTIONS)[number]['id']

/** Keys that mean the same for everybody: they cannot be given away. */
export const FIXED_KEYS = [
  { key: '0 to 9', does: 'Begin typing a selection', section: 'Selecting' },
  { key: 'Arrows', does: 'Nudge what is selected; with Shift a tenth of it', section: 'Stage' },
  { key: 'Enter', does: 'Keep what is proposed or typed', section: 'Everywhere' },
  { key: 'Escape', does: 'Let go: a drag, a proposal, the tool, the selection', section: 'Everywhere' },
] as const

/** Keys of the browser, of typing and of the fixed keys above: they cannot be bound. */
const TAKEN = [
  /^\d$/,
  /^(Enter|Escape|Tab|Arrow(Up|Down|Left|Right)|Shift|Control|Alt|Meta|Space)$/,
  /^F\d+$/,
  /^Alt /,
  /^Ctrl (Shift )?[CFHJKLNOPQRSTUVWXADEGBM0-9+-]$/,
]

/** A key press as it is written: "Ctrl Shift Z", "N", "PageDown". */
export function keyOf(event: {
  readonly key: string
  readonly ctrlKey: boolean
  readonly metaKey: boolean
  readonly altKey: boolean
  readonly shiftKey: boolean
}): string {
  const isLetter = event.key.length === 1 && event.key.toLowerCase() !== event.key.toUpperCase()
  const key = event.key === ' ' ? 'Space' : isLetter ? event.key.toUpperCase() : event.key
  const shift = event.shiftKey && (isLetter || event.key.length > 1) ? 'Shift ' : ''
  const alt = event.altKey ? 'Alt ' : ''
  const control = event.ctrlKey || event.metaKey ? 'Ctrl ' : ''
  return `${alt}${control}${shift}${key}`
}

/** Why a key cannot be bound to an action; null when it can. `keys` are those in use. */
export function whyNot(key: string, action: ActionId, keys: ReadonlyMap<ActionId, string>): string | null {
  if (TAKEN.some((taken) => taken.test(key))) return `${key} belongs to the browser or to typing. Choose another key.`
  const other = ACTIONS.find(({ id }) => id !== action && keys.get(id) === key)
  return other ? `${key} is ${other.name.toLowerCase()} already. Give that another key first.` : null
}
