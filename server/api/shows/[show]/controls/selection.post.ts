/** What somebody has selected in a window: controls that change their hand act on it. */
import { z } from 'zod'
import { controlLineOf } from '#core/show/controlLine'
import { fixtureId } from '#core/show/ids'
import { personOf } from '../../../../access/guest'
import { defineApi } from '../../../../http/api'
import { bodyOf } from '../../../../http/body'
import { showOf } from '../../../../http/showOf'
import { useShowRegistry } from '../../../../shows/useShowRegistry'

const selection = z.strictObject({ fixtures: z.array(fixtureId).max(10_000) })

export default defineApi(async (event) => {
  const live = await showOf(event, 'programs')
  const { fixtures } = await bodyOf(event, selection)
  // Whose controls they are not has no say.
  if (controlLineOf(live.show).person !== (await personOf(event))) return { isTaken: false }
  const desk = await (await useShowRegistry()).controls(live.show.id)
  desk?.select(fixtures)
  return { isTaken: true }
})
