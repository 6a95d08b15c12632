/** The one thing of the stage besides fixtures that this window looks at: what the Rig room's panel shows. */
import { defineStore } from 'pinia'
import { shallowRef, watch } from 'vue'
import type { HangId, SetPieceId, TargetId } from '#core/show/ids'
import { useSelection } from './selection'

export type ChosenThing =
  | { readonly kind: 'hang'; readonly id: HangId }
  | { readonly kind: 'setPiece'; readonly id: SetPieceId }
  | { readonly kind: 'target'; readonly id: TargetId }

export const useChosen = defineStore('chosen', () => {
  const selection = useSelection()
  const thing = shallowRef<ChosenThing | null>(null)

  /** Looks at a thing; the fixtures are let go of. */
  function choose(next: ChosenThing) {
    selection.clear()
    thing.value = next
  }

  function clear() {
    thing.value = null
  }

  /** The id of what is looked at, if it is of this kind. */
  const idOf = (kind: ChosenThing['kind']) => (thing.value?.kind === kind ? thing.value.id : null)

  watch(
    () => selection.fixtures.length,
    (count) => {
      if (count > 0) clear()
    },
  )
  return { thing, choose, clear, idOf }
})
