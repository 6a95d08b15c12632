/** What this window is doing on the stage: its tool, a drag of the light, a palette looked at. */
import { defineStore } from 'pinia'
import { computed, shallowRef, ref } from 'vue'
import { stagePicture, type StageFixture } from '#core/cues/onStage'
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

  const drawn = computed(() => {
    const drag = aimDrag.value
    if (!drag || selection.fixtures.length === 0) return proposal.drawn
    return show.preview('aimAtTarget', { fixtures: [...selection.fixtures], ...drag, along: null }) ?? proposal.drawn
  })

  /** The stage as drawn, by fixture. */
  const picture = computed<ReadonlyMap<FixtureId, StageFixture>>(() =>
    drawn.value && show.person ? stagePicture(drawn.value, show.person) : new Map(),
  )

  /** Lets the light go where it was dragged to. */
  async function dropAim() {
    const drag = aimDrag.value
    if (!drag || selection.fixtures.length === 0) return
    const sent = show.send('aimAtTarget', { fixtures: [...selection.fixtures], ...drag, along: null })
    aimDrag.value = null
    await sent
  }

  return { tool, aimDrag, hoveredPalette, drawn, picture, dropAim }
})
