/** Packets as a capture file that Debian's tshark reads: an independent eye on what is sent. */
import { spawnSync } from 'node:child_process'
import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { installPackages } from '../../scripts/packages'

const TSHARK = '/usr/bin/tshark'
/** Frames begin with an address header, no hardware in between. */
const RAW_IP = 101

/** Whether tshark is there, or can be had. */
export function hasTshark(): boolean {
  if (existsSync(TSHARK)) return true
  if (process.getuid?.() !== 0) return false
  installPackages(['tshark'])
  return existsSync(TSHARK)
}

/** What tshark says of packets sent to a port, each in whole. */
export function dissected(port: number, packets: readonly Uint8Array[]): string[] {
  const folder = mkdtempSync(join(tmpdir(), 'rhopander-capture-'))
  const file = join(folder, 'packets.pcap')
  try {
    writeFileSync(file, captureOf(port, packets))
    const { stdout } = spawnSync(TSHARK, ['-r', file, '-o', 'acn.dmx_enable:TRUE', '--enable-heuristic', 'acn', '-V'], {
      encoding: 'utf8',
      maxBuffer: 1 << 30,
    })
    return stdout.split(/^Frame \d+: /m).slice(1)
  } finally {
    rmSync(folder, { recursive: true })
  }
}

function captureOf(port: number, packets: readonly Uint8Array[]): Buffer {
  const head = Buffer.alloc(24)
  head.writeUInt32LE(0xa1b2c3d4, 0)
  head.writeUInt16LE(2, 4)
  head.writeUInt16LE(4, 6)
  head.writeUInt32LE(65_535, 16)
  head.writeUInt32LE(RAW_IP, 20)
  return Buffer.concat([head, ...packets.flatMap((packet) => [recordOf(packet), addressed(port, packet), packet])])
}

const HEADERS = 28

function recordOf({ length }: Uint8Array): Buffer {
  const record = Buffer.alloc(16)
  record.writeUInt32LE(length + HEADERS, 8)
  record.writeUInt32LE(length + HEADERS, 12)
  return record
}

/** The headers of the internet and of datagrams, from this machine to itself. */
function addressed(port: number, { length }: Uint8Array): Buffer {
  const headers = Buffer.alloc(HEADERS)
  headers[0] = 0x45
  headers.writeUInt16BE(length + HEADERS, 2)
  headers[8] = 64
  headers[9] = 17
  headers.set([127, 0, 0, 1], 12)
  headers.set([127, 0, 0, 1], 16)
  headers.writeUInt16BE(40_000, 20)
  headers.writeUInt16BE(port, 22)
  headers.writeUInt16BE(length + 8, 24)
  return headers
}
