/** Drawings that are good but for some places: what is read comes in and leaves a sound show, all else is refused in words. */
import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { linesFile } from '#core/exchange/drawing/linesFile'
import { linesTaken, underlayFields } from '#core/exchange/drawing/planUnderlay'
import { AS_IT_IS } from '#core/exchange/mvr/placement'
import { rigPlan } from '#core/exchange/mvr/rigPlan'
import { rigReading, type RigReading } from '#core/exchange/mvr/rigReading'
import { NotReadable } from '#core/exchange/xml/xml'
import { faultsIn } from '#core/show/soundness'
import { readDrawingFile } from '../../server/exchange/drawingFile'
import { mutatedBytes, mutatedText } from '../support/mutations'
import { randomFrom } from '../support/randomCommands'
import { Desk } from '../support/smallShow'
import { seeds, Tally } from '../support/rounds'

const FILES = ['wharf.dxf', 'quay-plan.dxf', 'wharf.obj', 'wharf.glb'].map((name) => ({
  name,
  bytes: new Uint8Array(readFileSync(`tests/files/${name}`)),
}))
const tally = new Tally('Drawings with odd places')

async function readOrRefused(bytes: Uint8Array, name: string): Promise<RigReading | null> {
  try {
    return await readDrawingFile(bytes, name, 'y')
  } catch (error) {
    if (error instanceof NotReadable) return null
    throw error
  }
}

it('are read to what the show takes, or refused', async () => {
  for (const seed of seeds(50))
    for (const { name, bytes } of FILES) {
      const random = randomFrom(seed)
      const odd = name.endsWith('.glb')
        ? mutatedBytes(bytes, random)
        : new TextEncoder().encode(mutatedText(new TextDecoder().decode(bytes), random))
      const reading = await readOrRefused(odd, name)
      tally.count(reading ? `${name} read` : `${name} refused`)
      if (!reading) continue
      expect([seed, name, rigReading.safeParse(reading).error?.issues]).toEqual([seed, name, undefined])
      const desk = new Desk()
      const taken = rigPlan(desk.show, reading).taking(() => true)
      const { underlay } = reading
      const lines = underlay && linesTaken(underlay, () => true)
      if (lines) expect([seed, name, linesFile.safeParse(lines).error?.issues]).toEqual([seed, name, undefined])
      const file = { digest: 'a'.repeat(64), size: 100 }
      const underlays = underlay ? [{ ...underlayFields(underlay, AS_IT_IS), ...file }] : []
      desk.ask('takeRig', { ...taken, underlays })
      expect([seed, name, faultsIn(desk.show)]).toEqual([seed, name, []])
    }
})
