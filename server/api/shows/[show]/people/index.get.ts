/** Who has been in the show: who is in now, what they may do, and whether they have work in it. */
import { peopleOf } from '../../../../database/accessRepository'
import { defineApi } from '../../../../http/api'
import { showOf } from '../../../../http/showOf'
import { useShowRegistry } from '../../../../shows/useShowRegistry'

export default defineApi(async (event) => {
  const { show } = await showOf(event)
  const { knex } = await useShowRegistry()
  return { people: await peopleOf(knex, show.id) }
})
