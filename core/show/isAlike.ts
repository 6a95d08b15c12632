/** Whether two lists hold the very same, in order. */
export function isAlike(a: readonly unknown[], b: readonly unknown[]): boolean {
  return a.length === b.length && a.every((one, i) => one === b[i])
}
