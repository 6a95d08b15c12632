/** Files of other programs: read, compared with a show, and written. */
import { writeType } from '#core/exchange/gdtf/writeType'
import { rigPlan } from '#core/exchange/mvr/rigPlan'
import { readRigFile } from '../server/exchange/rigFile'
import { writeRigFile } from '../server/exchange/writeRigFile'
import { generateShow } from './generate'
import { line } from './measure'

/** A rig of a thousand fixtures goes out and is looked at, against a bare parse of as much JSON. */
export async function benchExchange(): Promise<void> {
  const show = generateShow(1000, 1)
  const start = performance.now()
  const file = await writeRigFile(show, new Map())
  const written = performance.now()
  const reading = await readRigFile(file, 'bench.mvr')
  const read = performance.now()
  const plan = rigPlan(show, reading)
  const planned = performance.now()
  const bare = JSON.stringify(reading)
  const again = performance.now()
  JSON.parse(bare)
  const parsed = performance.now() - again
  const seconds = (milliseconds: number) => `${(milliseconds / 1000).toFixed(2)} s`
  line('rig file of 1,000 fixtures, written', seconds(written - start))
  line(
    '… read (wanted < 3 s)',
    `${seconds(read - written)}, ${Math.round((read - written) / parsed)} x its JSON parsed`,
  )
  line(`… compared with the show, ${plan.same} alike`, `${(planned - read).toFixed(0)} ms`)
  const [type] = reading.types[0]?.types ?? []
  if (!type) return
  const typed = performance.now()
  writeType(type.type, 'bench')
  line('a fixture type, written', `${(performance.now() - typed).toFixed(1)} ms`)
}
