/** Names as people compare them: whatever their case and spaces. */
export function normalisedName(name: string): string {
  return name.trim().toLowerCase().replace(/\s+/g, ' ')
}
