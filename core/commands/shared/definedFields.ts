/** Only what was given: fields left out stay as they are. */
export function definedFields<T extends object>(fields: T): { [K in keyof T]?: Exclude<T[K], undefined> } {
  const entries = Object.entries(fields).filter(([, value]) => value !== undefined)
  return Object.assign({}, ...entries.map(([field, value]) => ({ [field]: value })))
}
