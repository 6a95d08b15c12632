/** Units of attributes as they are said and as they are written after a number. */
import type { AttributeRange } from '#core/show/attributeRange'

type Unit = AttributeRange['unit']

export const UNIT_NAMES: Readonly<Record<Unit, string>> = {
  level: 'per cent',
  degrees: 'degrees',
  turn: 'degrees',
  rpm: 'turns a minute',
  hertz: 'hertz',
  kelvin: 'kelvin',
  slot: 'slot',
  metres: 'metres',
}

export const UNIT_SIGNS: Readonly<Record<Unit, string>> = {
  level: '%',
  degrees: '°',
  turn: '°',
  rpm: 'rpm',
  hertz: 'Hz',
  kelvin: 'K',
  slot: 'slot',
  metres: 'm',
}
