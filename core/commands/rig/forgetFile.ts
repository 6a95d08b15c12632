/** Lets go of a file that was kept: what of it had no place in the show no longer goes out with it. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { fixtureTypeId, rigFileId } from '../../show/ids'
import { command, done } from '../command'
import { gone } from '../shared/refusals'

export const forgetFile = command({
  input: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('rigFile'), id: rigFileId }),
    z.strictObject({ kind: z.literal('typeFile'), id: fixtureTypeId }),
  ]),
  undoable: true,
  run(show, { kind, id }) {
    const file = show.all[kind].get(id)
    if (!file) return gone(kind, 'id')
    return done(new Draft(show).remove(kind, id), `let go of the file ${file.name}`)
  },
})
