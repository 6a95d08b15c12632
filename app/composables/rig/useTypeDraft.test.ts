import { describe, expect, it } from 'vitest'
import { nextTick, shallowRef } from 'vue'
import { asFixtureTypeId } from '#core/show/ids'
import { Desk } from '../../../tests/support/smallShow'
import { BLANK, draftOf, useTypeDraft, type TypeDraft } from './useTypeDraft'

const desk = new Desk()
const someType = asFixtureTypeId([...desk.show.all.fixtureType.keys()][0] ?? '')

function begun(from: TypeDraft = BLANK) {
  const stored = shallowRef(from)
  return { stored, ...useTypeDraft(() => stored.value) }
}

describe('a fixture type that is worked on', () => {
  it('begins as what is stored, with its modes in order; nothing of a type that is not there', () => {
    const draft = draftOf(desk.show, someType)
    expect(draft).toMatchObject(desk.show.all.fixtureType.get(someType) ?? {})
    expect(draft?.modes.length).toBeGreaterThan(0)
    expect(draft?.modes.every(({ id }) => id && desk.show.all.fixtureMode.get(id)?.type === someType)).toBe(true)
    expect(draftOf(desk.show, asFixtureTypeId('none'))).toBeNull()
  })

  it('takes what would do, and leaves the rest with its reason', async () => {
    const { draft, set, isChanged } = begun()
    expect(isChanged.value).toBe(false)
    expect(await set({ name: 'Heron' }, 'name')).toBeNull()
    expect([draft.value.name, isChanged.value]).toEqual(['Heron', true])
    expect(await set({ optics: [] }, 'optics')).toMatch(/^[A-Z].*\.$/)
    expect(await set({ modes: [] }, 'modes')).toContain('at least one mode')
    expect(draft.value.optics).toEqual(BLANK.optics)
  })

  it('does not hold what is wrong elsewhere against a field', async () => {
    const { draft, set } = begun({ ...BLANK, name: '' })
    expect(await set({ maker: 'Ostrel' }, 'maker')).toBeNull()
    expect(draft.value.maker).toBe('Ostrel')
    const [first] = BLANK.optics
    if (!first) throw new Error('the blank has no optics')
    expect(await set({ optics: [{ ...first, beam: -5 }] }, 'optics.0.beam')).not.toBeNull()
  })

  it('takes in what somebody else does to the type until something is begun here', async () => {
    const { stored, draft, set, putBack } = begun()
    stored.value = { ...BLANK, name: 'Theirs' }
    await nextTick()
    expect(draft.value.name).toBe('Theirs')
    await set({ name: 'Ours' }, 'name')
    stored.value = { ...BLANK, name: 'Theirs again' }
    await nextTick()
    expect(draft.value.name).toBe('Ours')
    putBack()
    expect(draft.value.name).toBe('Theirs again')
  })
})
