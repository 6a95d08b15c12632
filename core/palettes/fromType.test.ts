import { describe, expect, it } from 'vitest'
import { isNumberAttribute } from '../attributes/attribute'
import { rangeOf } from '../show/attributeRange'
import { asFixtureTypeId } from '../show/ids'
import { Desk } from '../../tests/support/smallShow'
import { palettesOfType, partsOfType } from './fromType'

const { show } = new Desk()
const types = [...show.all.fixtureType].map(([id, type]) => ({ id: asFixtureTypeId(id), type }))
const named = (name: string) => types.find(({ type }) => type.name === name) ?? { id: asFixtureTypeId('none') }

describe('palettes of a type', () => {
  it('are there for every attribute it has that can be more than one thing, from end to end, each under a name of its own', () => {
    for (const { id, type } of types)
      for (const part of type.has.filter(isNumberAttribute)) {
        const { min, max, fastest } = rangeOf(type, part)
        const offered = palettesOfType(show, id, part)
        expect([part, new Set(offered.map(({ name }) => name)).size]).toEqual([part, offered.length])
        const own = offered.flatMap(({ values }) => values.find(({ attribute }) => attribute === part)?.value ?? [])
        const numbers = own.flatMap((value) => (value.kind === 'number' ? value.number : []))
        for (const value of own)
          if (value.kind === 'spin') expect(Math.abs(value.rpm)).toBeLessThanOrEqual(fastest ?? 0)
        if (max > min && fastest === null) expect([Math.min(...numbers), Math.max(...numbers)]).toEqual([min, max])
        for (const number of numbers) expect(number >= min && number <= max).toBe(true)
      }
    expect(partsOfType(show, named('Lamp').id)).toEqual(['intensity'])
    expect(partsOfType(show, named('none').id)).toEqual([])
  })

  it('serve their kind, or anybody where the attribute usually does; what turns is offered standing and spinning', () => {
    const tern = named('Tern 700').id
    expect(palettesOfType(show, tern, 'temperature')[0]?.values[0]?.whom).toBe('any')
    expect(palettesOfType(show, tern, 'zoom')[0]?.values[0]?.whom).toEqual({ kind: tern })
    const turns = palettesOfType(show, tern, 'goboTurn').map(({ name }) => name)
    expect(turns).toEqual(expect.arrayContaining(['Gobo turn 45°', 'Gobo turn -10 rpm']))
  })
})
