/** A value of a fixture, wherever it stands. */
import type { Attribute } from '../attributes/attribute'
import type { FixtureId } from './ids'
import type { Value } from './values'

export interface FixtureValue {
  readonly fixture: FixtureId
  readonly attribute: Attribute
  readonly value: Value
}
