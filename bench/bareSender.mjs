/** The bare reference of sending: 16 packets of 638 bytes every 25 ms, and nothing worked out. */
import { createSocket } from 'node:dgram'
import { workerData } from 'node:worker_threads'

const { address, universes, every } = workerData
const sleeping = new Int32Array(new SharedArrayBuffer(4))
const socket = createSocket({ type: 'udp4', lookup: (to, _, found) => found(null, to, 4) })
const packet = Buffer.alloc(638)
let next = performance.now() + every

function plan() {
  setTimeout(send, Math.max(0, next - performance.now() - 1.6))
}
function send() {
  const left = next - performance.now()
  if (left > 0) Atomics.wait(sleeping, 0, 0, left)
  next += every
  for (let universe = 1; universe <= universes; universe++) {
    packet.writeUInt16BE(universe, 113)
    socket.send(Buffer.from(packet), 5568, address)
  }
  plan()
}
socket.bind({ address: '127.0.0.1', port: 0 }, plan)
