/** What is wrong with a checked value, in words for a person. */
import type { z } from 'zod'

/** "must be at most 63999", "must be a number". Falls back to the check's own message. */
export function issueInWords(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    case 'too_big':
      return issue.origin === 'number' ? `must be at most ${issue.maximum}` : issue.message
    case 'too_small':
      return issue.origin === 'number'
        ? `must be ${issue.inclusive ? 'at least' : 'more than'} ${issue.minimum}`
        : issue.message
    case 'invalid_type':
      return issue.input === undefined
        ? `${typeInWords(issue.expected)} is wanted`
        : `must be ${typeInWords(issue.expected)}`
    case 'invalid_value':
      return `must be ${issue.values.length === 1 ? '' : 'one of '}${issue.values.join(', ')}`
    case 'unrecognized_keys':
      return `does not know ${issue.keys.map((key) => `“${key}”`).join(', ')}`
    default:
      return issue.message
  }
}

const TYPES: Readonly<Record<string, string>> = {
  array: 'a list',
  boolean: 'yes or no',
  int: 'a whole number',
  object: 'an object',
  record: 'an object',
  string: 'a text',
}

const typeInWords = (type: string) => TYPES[type] ?? `a ${type}`
