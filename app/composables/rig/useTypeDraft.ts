/** A fixture type being worked on: nothing of the show changes until it is kept. */
import fastDeepEqual from 'fast-deep-equal'
import { computed, shallowRef, watch } from 'vue'
import { z } from 'zod'
import type { FixtureType, FixtureMode } from '#core/show/entities'
import { fixtureMode, fixtureType, plainChannel } from '#core/show/entities'
import { issueInWords } from '#core/show/faults'
import { fixtureModeId, type FixtureModeId, type FixtureTypeId } from '#core/show/ids'
import { modesOf } from '#core/show/modes'
import type { Show } from '#core/show/show'
import { capitalised } from '../forms/capitalised'

export type DraftMode = Pick<FixtureMode, 'name' | 'channels'> & { readonly id: FixtureModeId | null }
export type TypeDraft = FixtureType & { readonly modes: readonly DraftMode[] }

const schema = fixtureType.extend({
  modes: z
    .array(fixtureMode.pick({ name: true, channels: true }).extend({ id: fixtureModeId.nullable() }))
    .min(1, 'a type needs at least one mode')
    .readonly(),
})

/** What a type made from nothing starts as: a plain head with the least a mode needs. */
export const BLANK: TypeDraft = {
  maker: 'Own',
  name: 'New type',
  form: 'wash',
  pan: { min: -270, max: 270, speed: 200, acceleration: 400, reversed: false },
  tilt: { min: -120, max: 120, speed: 150, acceleration: 300, reversed: false },
  pivotDrop: 0.35,
  lens: { across: 0, normal: 0, forward: 0.2 },
  optics: [{ beam: 20, field: 26, candela: 50000 }],
  wheels: [],
  has: ['intensity', 'position'],
  ranges: [],
  mixing: null,
  cells: null,
  modes: [
    {
      id: null,
      name: 'Standard',
      channels: [
        plainChannel({ name: 'Pan', does: 'pan', coarse: 1, fine: 2, from: -270, to: 270, rest: 0 }),
        plainChannel({ name: 'Tilt', does: 'tilt', coarse: 3, fine: 4, from: -120, to: 120, rest: 0 }),
        plainChannel({ name: 'Intensity', does: 'intensity', coarse: 5, fine: null, from: 0, to: 1, rest: 0 }),
      ],
    },
  ],
}

export function draftOf(show: Show, id: FixtureTypeId): TypeDraft | null {
  const type = show.all.fixtureType.get(id)
  if (!type) return null
  return {
    ...type,
    modes: modesOf(show, id).map(({ id: mode, mode: { name, channels } }) => ({ id: mode, name, channels })),
  }
}

export function useTypeDraft(stored: () => TypeDraft) {
  const draft = shallowRef(stored())
  const isChanged = computed(() => !fastDeepEqual(draft.value, stored()))

  /** Someone else's change comes in as long as nothing was begun here. */
  watch(stored, (now, before) => {
    if (fastDeepEqual(draft.value, before)) draft.value = now
  })

  /** Changes the draft, unless what stands at `path` would not do; resolves to why not. */
  async function set(change: Partial<TypeDraft>, path: string): Promise<string | null> {
    const next = { ...draft.value, ...change }
    const issue = schema.safeParse(next).error?.issues.find((found) => touches(found.path.join('.'), path))
    if (issue) return sentence(issueInWords(issue))
    draft.value = next
    return null
  }

  function putBack() {
    draft.value = stored()
  }

  return { draft, isChanged, set, putBack }
}

function touches(issuePath: string, path: string): boolean {
  return issuePath.startsWith(path) || path.startsWith(`${issuePath}.`)
}

function sentence(words: string): string {
  return `${capitalised(words)}.`
}
