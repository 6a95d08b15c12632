/** Names as people compare them: whatever their case and spaces. */
export function plain(name: string): string {
  return name.trim().toLowerCase().replace(/\s+/g, ' ')
}
