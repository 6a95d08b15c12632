/** What a function of a channel can do: turn an axis, drive an attribute, or something we do not drive. */
import { z } from 'zod'
import { colourPartName, isColourPart, type ColourPart } from './colourPart'
import {
  attributeName,
  isAttribute,
  isNumberAttribute,
  kindOf,
  LISTED_ATTRIBUTES,
  type NumberAttribute,
} from './attribute'

export type ChannelRole = NumberAttribute | ColourPart | 'pan' | 'tilt' | 'other'

function isChannelRole(text: string): text is ChannelRole {
  if (text === 'pan' || text === 'tilt' || text === 'other') return true
  return isColourPart(text) || (isAttribute(text) && isNumberAttribute(text))
}

export const channelRole = z.custom<ChannelRole>(
  (text) => typeof text === 'string' && isChannelRole(text),
  'nothing a channel can drive',
)

/** Whether what a channel drives can turn and go on turning. */
export function canSpin(role: ChannelRole): boolean {
  if (role === 'pan' || role === 'tilt' || role === 'other') return false
  return !isColourPart(role) && kindOf(role).unit === 'turn'
}

/** The roles of the catalogue, axes first. */
export const LISTED_ROLES: readonly ChannelRole[] = [
  'pan',
  'tilt',
  ...LISTED_ATTRIBUTES.filter(isNumberAttribute),
  'other',
]

export function roleName(role: ChannelRole): string {
  if (role === 'pan' || role === 'tilt' || role === 'other') return role
  return isColourPart(role) ? colourPartName(role) : attributeName(role)
}
