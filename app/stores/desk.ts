/** What this window is doing on the stage: its tool, a drag of the light, a palette looked at. */
import { defineStore } from 'pinia'
import { computed, shallowRef, ref } from 'vue'
import { pictureOfSome, stagePicture, type StageFixture } from '#core/cues/onStage'
import type { FixtureId, PaletteId, TargetId } from '#core/show/ids'
import type { Vec3 } from '#core/geometry/vector'
import { useProposal } from './proposal'
import { useSelection } from './selection'
import { useShow } from './show'

export type Tool = 'select' | 'aim' | 'move'

/** Where the light is being dragged: at a target with an offset, or at a free place. */
export interface AimDrag {
  readonly target: TargetId | null
  readonly offset: Vec3
}

export const useDesk = defineStore('desk', () => {
  const show = useShow()
  const selection = useSelection()
  const proposal = useProposal()
  const tool = ref<Tool>('select')
  const aimDrag = shallowRef<AimDrag | null>(null)
  const hoveredPalette = ref<PaletteId | null>(null)

  /** The stage as it stands, by fixture: with what is proposed, without a drag of the light. */
  const standing = computed<ReadonlyMap<FixtureId, StageFixture>>(() =>
    proposal.drawn && show.person ? stagePicture(proposal.drawn, show.person) : new Map(),
  )

  /** The selection while its light is dragged: only what moves is worked out anew. */
  const dragged = computed<ReadonlyMap<FixtureId, StageFixture>>(() => {
    const drag = aimDrag.value
    const fixtures = [...selection.fixtures]
    if (!drag || !show.person || fixtures.length === 0) return new Map()
    const aimed = show.preview('aimAtTarget', { fixtures, ...drag, along: null })
    return aimed ? pictureOfSome(aimed, show.person, fixtures) : new Map()
  })

  /** What the stage shows of a fixture now. */
  function seen(id: FixtureId): StageFixture | undefined {
    return dragged.value.get(id) ?? standing.value.get(id)
  }

  /** Lets the light go where it was dragged to. */
  async function dropAim() {
    const drag = aimDrag.value
    if (!drag || selection.fixtures.length === 0) return
    const sent = show.send('aimAtTarget', { fixtures: [...selection.fixtures], ...drag, along: null })
    aimDrag.value = null
    await sent
  }

  return { tool, aimDrag, hoveredPalette, standing, seen, dropAim }
})
