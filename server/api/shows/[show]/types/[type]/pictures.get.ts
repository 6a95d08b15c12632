/** The pictures the wheels of a type have in the file it came from. */
import { fixtureTypeId } from '#core/show/ids'
import { filesOf } from '../../../../../database/fileRepository'
import { wheelPicturesKept } from '../../../../../exchange/keptBytes'
import { reasonOf } from '../../../../../exchange/rigFile'
import { ApiError, defineApi, paramOf } from '../../../../../http/api'
import { showOf } from '../../../../../http/showOf'
import { useShowRegistry } from '../../../../../shows/useShowRegistry'

export default defineApi(async (event) => {
  const { show } = await showOf(event)
  const id = paramOf(event, 'type', fixtureTypeId)
  const file = show.all.typeFile.get(id)
  const { knex } = await useShowRegistry()
  const stored = await filesOf(knex, show.id, file ? [file.digest] : [])
  try {
    return { pictures: await wheelPicturesKept(show, id, stored) }
  } catch (error) {
    const message = `${file?.name ?? 'The file'} that was kept cannot be read: ${reasonOf(error)}.`
    throw new ApiError(422, { code: 'not a rig file', message })
  }
})
