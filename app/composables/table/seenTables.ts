/** The plain tables a page shows just now, as they are read: what stands in their cells, fields and all. */

export interface SeenTable {
  readonly name: string
  /** The lines as they stand, the head first. */
  readonly cells: readonly (readonly string[])[]
}

/** All tables that can be seen in a page, in its order; those of dialogs are left out. */
export function seenTables(page: ParentNode): SeenTable[] {
  const names = new Map<string, number>()
  return [...page.querySelectorAll('table')].flatMap((table) => {
    if (table.closest('[role=dialog]') || !table.checkVisibility()) return []
    const cells = [...table.rows].map(lineOf)
    if (cells.length === 0) return []
    const name = nameOf(table)
    const nth = (names.get(name) ?? 0) + 1
    names.set(name, nth)
    return [{ name: nth === 1 ? name : `${name} ${nth}`, cells }]
  })
}

/** A cell that is as wide as several stands in the first of them. */
function lineOf(row: HTMLTableRowElement): string[] {
  return [...row.cells].flatMap((cell) => [textOf(cell), ...Array.from({ length: cell.colSpan - 1 }, () => '')])
}

/** What a person reads in it: fields say what is in them, pictures and buttons nothing. */
function textOf(node: Node): string {
  if (node instanceof HTMLInputElement) return node.type === 'checkbox' ? (node.checked ? 'yes' : '') : node.value
  if (node instanceof HTMLSelectElement) return node.selectedOptions[0]?.text ?? ''
  if (node instanceof SVGElement || isSilent(node)) return ''
  if (node.nodeType === Node.TEXT_NODE) return node.textContent ?? ''
  return [...node.childNodes].map(textOf).join(' ').replaceAll(/\s+/g, ' ').trim()
}

/** A button at the head of a line says which it is; one elsewhere does something to it. */
function isSilent(node: Node): boolean {
  return node instanceof HTMLElement && node.matches('[aria-hidden=true], .sr-only, td button[aria-label]')
}

/** By its caption, or what the part of the page is called that it stands in. */
function nameOf(table: HTMLTableElement): string {
  const caption = table.caption?.textContent?.replaceAll(/\s+/g, ' ').trim()
  if (caption) return caption
  const part = table.closest<HTMLElement>('[aria-label], section:has(h2, h3)')
  const label = part?.getAttribute('aria-label') ?? part?.querySelector('h2, h3')?.textContent
  return label?.replaceAll(/\s+/g, ' ').trim() || 'Table'
}
