/** What a function of a channel can do: turn an axis, drive an attribute, or something we do not drive. */
import { z } from 'zod'
import { attributeName, isAttribute, isNumberAttribute, LISTED_ATTRIBUTES, type NumberAttribute } from './attribute'

export type ChannelRole = NumberAttribute | 'pan' | 'tilt' | 'other'

function isChannelRole(text: string): text is ChannelRole {
  return text === 'pan' || text === 'tilt' || text === 'other' || (isAttribute(text) && isNumberAttribute(text))
}

export const channelRole = z.custom<ChannelRole>(
  (text) => typeof text === 'string' && isChannelRole(text),
  'nothing a channel can drive',
)

/** The roles of the catalogue, axes first. */
export const LISTED_ROLES: readonly ChannelRole[] = [
  'pan',
  'tilt',
  ...LISTED_ATTRIBUTES.filter(isNumberAttribute),
  'other',
]

export function roleName(role: ChannelRole): string {
  return role === 'pan' || role === 'tilt' || role === 'other' ? role : attributeName(role)
}
