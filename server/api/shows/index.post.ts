import { z } from 'zod'
import { showRecord } from '#core/show/entities'
import { mustOwnAll, personOf } from '../../access/guest'
import { defineApi } from '../../http/api'
import { bodyOf } from '../../http/body'
import { useShowRegistry } from '../../shows/useShowRegistry'

const newShow = z.strictObject({ name: showRecord.shape.name })

export default defineApi(async (event) => {
  await mustOwnAll(event)
  const { name } = await bodyOf(event, newShow)
  return { id: await (await useShowRegistry()).createShow(name, await personOf(event)) }
})
