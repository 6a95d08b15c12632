/** The whole show for a page that opens it, and who the page is. */
import { randomUUID } from 'node:crypto'
import { KINDS } from '#core/show/entities'
import { commandId, windowId } from '#core/show/ids'
import { defineApi } from '../../../http/api'
import { personOf } from '../../../http/person'
import { showOf } from '../../../http/showOf'

export default defineApi(async (event) => {
  const live = await showOf(event)
  const person = personOf(event)
  if (!live.show.all.person.has(person)) {
    const name = `Programmer ${live.show.all.person.size + 1}`
    const id = commandId.parse(randomUUID())
    await live.run({
      id,
      name: 'joinShow',
      input: { name },
      person,
      window: windowId.parse('server'),
      seenRevision: live.revision,
    })
  }
  const { show, revision } = live
  const all = Object.fromEntries(KINDS.map((kind) => [kind, [...show.all[kind]]]))
  return { id: show.id, revision, person, now: Date.now(), undo: live.undoState(person), all }
})
