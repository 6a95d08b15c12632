/** The whole show for a page that opens it, and who the page is. */
import { KINDS } from '#core/show/entities'
import { defineApi } from '../../../http/api'
import { personOf } from '../../../http/person'
import { showOf } from '../../../http/showOf'
import { useHouse } from '../../../shows/useHouse'

export default defineApi(async (event) => {
  const live = await showOf(event)
  const person = personOf(event)
  const { clock } = await useHouse()
  const undo = await live.undoState(person)
  const { show, revision } = live
  const all = Object.fromEntries(KINDS.map((kind) => [kind, [...show.all[kind]]]))
  return { id: show.id, revision, person, now: clock.read(), undo, all }
})
