/** A refusal in words for whoever stands at its field: without the name of the argument in front. */
import type { Refusal } from '#core/commands/command'
import { capitalised } from './capitalised'

export function refusalWords({ message, field }: Refusal): string {
  const plain = field && message.startsWith(`${field}: `) ? message.slice(field.length + 2) : message
  return capitalised(plain)
}
