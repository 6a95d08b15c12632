/** What a person has in hand. */
import type { HandValue } from '../../show/entities'
import type { PersonId } from '../../show/ids'
import type { Show } from '../../show/show'

export function handEntriesOf(show: Show, person: PersonId): [string, HandValue][] {
  return [...show.all.handValue].filter(([, held]) => held.person === person)
}
