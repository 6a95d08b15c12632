import { describe, expect, it } from 'vitest'
import {
  attributeId,
  attributeName,
  extraAttribute,
  familyOf,
  inCatalogueOrder,
  isAttribute,
  kindOf,
  LISTED_ATTRIBUTES,
  nthOf,
} from './attribute'
import { CATALOGUE } from './catalogue'

describe('the catalogue', () => {
  it('has every attribute once, by id and by name, and each takes its resting value', () => {
    expect(new Set(LISTED_ATTRIBUTES).size).toBe(LISTED_ATTRIBUTES.length)
    expect(new Set(LISTED_ATTRIBUTES.map(attributeName)).size).toBe(LISTED_ATTRIBUTES.length)
    const wanted = Object.values(CATALOGUE).reduce((sum, kind) => sum + ('most' in kind ? (kind.most ?? 1) : 1), 0)
    expect(LISTED_ATTRIBUTES).toHaveLength(wanted)
    for (const attribute of LISTED_ATTRIBUTES) {
      const { min, max, rest, unit } = kindOf(attribute)
      expect([
        attribute,
        unit === 'slot' || unit === 'place' || (rest >= min && rest <= max) || attribute === 'zoom',
      ]).toEqual([attribute, true])
    }
  })

  it('numbers what there may be several of, and keeps together what belongs together', () => {
    expect([attributeName('gobo'), attributeName('goboTurn2'), nthOf('goboTurn2')]).toEqual(['gobo', 'gobo 2 turn', 2])
    const gobos = LISTED_ATTRIBUTES.filter((attribute) => /^gobo(?!Pace)/.test(attribute))
    expect(gobos.slice(0, 5)).toEqual(['gobo', 'goboTurn', 'goboShake', 'goboSpin', 'gobo2'])
    expect([isAttribute('gobo5'), isAttribute('gobo1'), isAttribute('zoom2'), isAttribute('smell')]).toEqual([
      false,
      false,
      false,
      false,
    ])
  })

  it('takes others in under a name of their own, which ids and tables can hold', () => {
    const fan = extraAttribute('beam', ' Fan  pace ')
    expect(fan).toBe('extra:beam:Fan_pace')
    expect(fan && [attributeName(fan), familyOf(fan), kindOf(fan).unit]).toEqual(['Fan pace', 'beam', 'level'])
    for (const name of ['', '  ', 'a/b', 'a.b', 'a_b', 'x'.repeat(80)]) expect(extraAttribute('beam', name)).toBeNull()
    expect(attributeId.safeParse('extra:smell:Salt').success).toBe(false)
    expect(fan && (['zoom', fan, 'intensity'] as const).toSorted(inCatalogueOrder)).toEqual(['intensity', 'zoom', fan])
  })
})
