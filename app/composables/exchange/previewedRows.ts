/** Rows of a table as they were understood, cell by cell, in words. */
import { shelfOf } from '#core/commands/show/putPaletteRows'
import type { TableReading } from '#core/exchange/tables'
import { counted } from '#core/show/counted'
import type { Vec3 } from '#core/geometry/vector'

const at = ({ x, y, z }: Vec3) => `${x}, ${y}, ${z} m`
const percent = (level: number | null) => (level === null ? '' : `${Math.round(level * 1000) / 10} %`)

export function previewedRows(reading: TableReading): string[][] {
  switch (reading.kind) {
    case 'unknown':
      return []
    case 'hangs':
      return reading.rows.map((r) => [r.name, r.form, at(r.origin), `yaw ${r.yaw}°`, `${r.length} m long`])
    case 'fixtures':
      return reading.rows.map((r) => [
        String(r.number),
        r.type,
        r.hang,
        `${r.along} m along`,
        `yaw ${r.yaw}°, roll ${r.roll}°`,
        r.universe === null ? 'no address' : `${r.universe}.${r.address ?? '?'}`,
      ])
    case 'setPieces':
      return reading.rows.map((r) => [
        r.name,
        at(r.position),
        `yaw ${r.yaw}°`,
        `${r.width} × ${r.depth} × ${r.height} m`,
      ])
    case 'targets':
      return reading.rows.map((r) => [r.name, at(r.position), r.on ? `on ${r.on}` : ''])
    case 'groups':
      return reading.rows.map((r) => [r.number === null ? 'next number' : String(r.number), r.name, r.fixtures])
    case 'palettes':
      return reading.rows.map((r) => [
        r.number === null ? 'next number' : String(r.number),
        r.name,
        shelfOf(r),
        r.target === null ? '' : `at ${r.target}`,
        percent(r.level),
        r.zoom === null ? (r.pool === null ? '' : `pool ${r.pool} m`) : `zoom ${r.zoom}°`,
        r.fixtures ?? 'any fixture',
      ])
    case 'cues':
      return reading.rows.map((r) => [
        `cue ${r.number}`,
        r.name,
        r.time === null ? '' : `${r.time} s`,
        r.fixtures ?? (r.palettes.length > 0 ? `all that ${counted(r.palettes.length, 'palette')} serve` : ''),
        r.palettes.join('; '),
        percent(r.level),
      ])
  }
}
