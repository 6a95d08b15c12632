/** Hangs a copy of a hang, with its fixtures on it, so far from the first. */
import { z } from 'zod'
import { add } from '../../geometry/vector'
import { hang as hangSchema } from '../../show/entities'
import { hangId } from '../../show/ids'
import { point } from '../../show/values'
import { command } from '../command'
import { copiedHang } from '../shared/copiedHang'

export const copyHang = command({
  input: z.strictObject({
    hang: hangId,
    name: hangSchema.shape.name,
    /** From the first hang to its copy. */
    by: point,
    /** The number of the first copied fixture; the others follow on. Null leaves the fixtures behind. */
    numberFrom: z.number().int().min(1).max(99999).nullable(),
  }),
  undoable: true,
  run(show, { hang, name, by, numberFrom }, { newId }) {
    const images = {
      ofHang: <T extends { origin: typeof by }>(place: T) => ({ ...place, origin: add(place.origin, by) }),
      ofFixture: <T>(place: T) => place,
    }
    return copiedHang(show, { hang, name, numberFrom, label: `copy %s as ${name}`, newId }, images)
  },
})
