/** A message of OSC, as controls say and are told it. */
export interface OscMessage {
  readonly address: string
  readonly args: readonly (number | string | boolean | null)[]
}

/** A name as a part of an address: whatever may not stand in one is a low line. */
export const addressPart = (name: string): string => name.trim().replace(/[\s#*,/?[\]{}]+/g, '_')
