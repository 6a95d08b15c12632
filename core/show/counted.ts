/** Words that go with a number. */
const rules = new Intl.PluralRules('en')

/** The word for one, or for any other number: "value", "values". */
export function plural(count: number, one: string, others = `${one}s`): string {
  return rules.select(count) === 'one' ? one : others
}

/** "1 value", "12 values". */
export function counted(count: number, one: string, others?: string): string {
  return `${count} ${plural(count, one, others)}`
}
