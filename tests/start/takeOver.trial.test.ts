/** Of two servers on one database the one that sends is killed: the other goes on within three seconds. */
import { createSocket } from 'node:dgram'
import { expect, inject, it } from 'vitest'
import { E131_PORT } from '#core/output/wire/e131'
import { startCluster } from '../../scripts/database/cluster'
import { freePort } from '../../scripts/ports'
import { startServer, type ServerProcess } from '../../scripts/serve'
import { seeds, Tally } from '../support/rounds'
import { newFolder } from './folders'
import { query } from './query'

const ADDRESS = '127.0.0.41'
const WITHIN = 3000
const { times } = inject('rounds')
const tally = new Tally('Taking over')

/** Counts packets that come to an address, and the longest time without any since the last mark, milliseconds. */
function listener() {
  const socket = createSocket('udp4')
  let [packets, last, longest] = [0, 0, 0]
  let look = () => undefined
  socket.on('message', () => {
    const now = performance.now()
    if (packets > 0) longest = Math.max(longest, now - last)
    last = now
    packets += 1
    look()
  })
  const ready = new Promise<void>((resolve) => socket.bind({ address: ADDRESS, port: E131_PORT }, resolve))
  /** So many packets more. */
  const more = (count: number) => {
    const wanted = packets + count
    return new Promise<void>((resolve) => {
      look = () => void (packets >= wanted && resolve())
    })
  }
  const mark = () => {
    last = performance.now()
  }
  return { ready, more, mark, longest: () => longest, close: () => socket.close() }
}

it('goes on from the other server, whichever of them is killed', async () => {
  const cluster = await startCluster(newFolder(), () => undefined)
  const begin = async (port: number) =>
    startServer(cluster.address, { host: '127.0.0.1', port: await freePort(port), hear: () => undefined })
  const first = await begin(4750)
  await first.stop()
  await query(cluster, `update output set is_on = true, addresses = array['${ADDRESS}'] where protocol = 'E1.31'`)
  await query(
    cluster,
    `insert into output_lease (show_id, holder, expires_at) values ('salt-lantern', 'nobody', now())`,
  )
  const heard = listener()
  await heard.ready
  const servers: ServerProcess[] = [await begin(4760), await begin(4770)]
  await heard.more(8)
  for (const [round] of seeds(2).entries()) {
    const killed = servers.shift()
    await killed?.kill()
    heard.mark()
    // Four universes every 0.9 s: so many cannot all have been on their way.
    await heard.more(12)
    servers.push(await begin(4780 + round * 10))
    tally.count('servers killed')
  }
  console.log(`taking over: at most ${Math.round(heard.longest())} ms without a packet`)
  heard.close()
  for (const server of servers) await server.stop()
  await cluster.stop()
  // Where everything else is tested at the same time it may take longer: there it only has to go on.
  if (times > 1) expect(heard.longest()).toBeLessThan(WITHIN)
})
