/** Hangs the mirror image of a hang on the other side of the centre line, with its fixtures on it. */
import { z } from 'zod'
import { mirroredFixture, mirroredHang } from '../../rig/mirror'
import { hang as hangSchema } from '../../show/entities'
import { hangId } from '../../show/ids'
import { command } from '../command'
import { copiedHang } from '../shared/copiedHang'

export const mirrorHang = command({
  input: z.strictObject({
    hang: hangId,
    name: hangSchema.shape.name,
    numberFrom: z.number().int().min(1).max(99999).nullable(),
  }),
  undoable: true,
  run(show, { hang, name, numberFrom }, { newId }) {
    const images = { ofHang: mirroredHang, ofFixture: mirroredFixture }
    return copiedHang(show, { hang, name, numberFrom, label: `mirror %s as ${name}`, newId }, images)
  },
})
