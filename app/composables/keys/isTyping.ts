/** Whether a key press belongs to a field or a dialog, not to the room. */
export function isTyping(event: KeyboardEvent): boolean {
  const { target } = event
  if (!(target instanceof HTMLElement)) return false
  return (
    target.matches('input, textarea, select, [contenteditable]') ||
    target.closest('[role="dialog"], [role="menu"], [role="listbox"]') !== null
  )
}
