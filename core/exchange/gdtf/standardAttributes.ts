/** Between what channels do here and the attributes of DIN SPEC 15800. */
import { kindOf, LISTED_ATTRIBUTES, nthOf, type Attribute } from '../../attributes/attribute'
import { canSpin, type ChannelRole } from '../../attributes/channelRole'
import { colourPart, isColourPart, USUAL_EMITTERS, USUAL_FLAGS, type UsualPart } from '../../attributes/colourPart'
import type { Family } from '../../attributes/families'

/** What an attribute of the standard is here; `turns` where its numbers are speeds of turning. */
export interface StandardRole {
  readonly role: ChannelRole
  readonly turns: boolean
}

const standardOf = (attribute: Attribute) => kindOf(attribute).standard.replaceAll('(n)', String(nthOf(attribute)))
/** What goes on turning is an attribute of its own there. */
const turning = (standard: string) => `${standard}Rotate`

const isCorner = (attribute: Attribute) => kindOf(attribute).seenAs?.endsWith('corner') === true

/** Blades by their corners are told apart from those by depth and angle by what else a mode drives. */
function rolesWhere(cornered: boolean): ReadonlyMap<string, StandardRole> {
  const roles = new Map<string, StandardRole>([
    ['Pan', { role: 'pan', turns: false }],
    ['Tilt', { role: 'tilt', turns: false }],
  ])
  for (const attribute of LISTED_ATTRIBUTES) {
    if (attribute === 'position' || attribute === 'colour') continue
    const standard = standardOf(attribute)
    if (standard.startsWith('Blade') && isCorner(attribute) !== cornered) continue
    roles.set(standard, { role: attribute, turns: false })
    if (canSpin(attribute)) roles.set(turning(standard), { role: attribute, turns: true })
  }
  return roles
}
const BY_DEPTH = rolesWhere(false)
const BY_CORNERS = rolesWhere(true)

/** Other names the same things go by. */
const ALSO: Readonly<Record<string, string>> = {
  CTO: 'CTC',
  CTB: 'CTC',
  PanTiltMSpeed: 'PositionMSpeed',
}

/** What attributes of the standard do here, for a mode that drives all of `present`. */
export function rolesOf(present: ReadonlySet<string>): (standard: string) => StandardRole | null {
  const roles = [...present].some((one) => /^Blade[1-4]B$/.test(one)) ? BY_CORNERS : BY_DEPTH
  return (standard) => roles.get(standard) ?? roles.get(ALSO[standard] ?? '') ?? null
}

/** A part that mixes colour, as the standard calls it: an emitter adds, a flag takes away; null for anything else. */
export function partOfStandard(
  standard: string,
): { kind: 'emitters' | 'flags'; usual: UsualPart | null; ending: string } | null {
  const [, way, ending = ''] = /^Color(Add|Sub)_(\w+)$/.exec(standard) ?? []
  if (!way) return null
  const usual = [...USUAL_EMITTERS, ...USUAL_FLAGS].find((part) => part.standard === standard) ?? null
  return { kind: way === 'Add' ? 'emitters' : 'flags', usual, ending }
}

/** The attribute of the standard a role goes out as, and what turns as its speed. What only we know goes by its own name. */
export function standardName(role: Exclude<ChannelRole, 'other'>, turns: boolean, flags: boolean): string {
  if (role === 'pan') return 'Pan'
  if (role === 'tilt') return 'Tilt'
  if (isColourPart(role)) {
    const usual = (flags ? USUAL_FLAGS : USUAL_EMITTERS).find(({ name }) => colourPart(name) === role)
    return (
      usual?.standard ?? `Color${flags ? 'Sub' : 'Add'}_${role.slice('part:'.length).replaceAll(/[^A-Za-z0-9]/g, '')}`
    )
  }
  if (role.startsWith('extra:')) return customName(role)
  const standard = standardOf(role)
  return turns ? turning(standard) : standard
}

const customName = (role: string) =>
  `Own_${role
    .split(':')
    .slice(1)
    .join('_')
    .replaceAll(/[^A-Za-z0-9_]/g, '')}`

/** The feature group of the standard a family is in. */
export const FEATURE_OF: Readonly<Record<Family, string>> = {
  intensity: 'Dimmer.Dimmer',
  position: 'Position.PanTilt',
  beam: 'Beam.Beam',
  colour: 'Color.Color',
  gobo: 'Gobo.Gobo',
  shutters: 'Shapers.Shapers',
}

/** The family of a feature of the standard; null for control and what has none. */
export function familyOfFeature(feature: string): Family | null {
  const group = feature.split('.')[0] ?? ''
  const known: Readonly<Record<string, Family>> = {
    Dimmer: 'intensity',
    Position: 'position',
    Beam: 'beam',
    Focus: 'beam',
    Color: 'colour',
    Gobo: 'gobo',
    Shapers: 'shutters',
  }
  return known[group] ?? null
}
