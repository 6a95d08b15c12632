/** A text as a sentence or a heading begins. */
export function capitalised(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}
