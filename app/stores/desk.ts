/** What this window is doing on the stage: its tool, a drag of the light, a palette looked at. */
import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, shallowRef, ref } from 'vue'
import { pictureOfSome, stagePicture, type StageFixture } from '#core/cues/onStage'
import type { FixtureId, PaletteId, TargetId } from '#core/show/ids'
import { ORIGIN, type Vec3 } from '#core/geometry/vector'
import type { SnappedPoint } from '#core/rig/snap'
import { useProposal } from './proposal'
import { useSelection } from './selection'
import { useShow } from './show'

export type Tool = 'select' | 'lasso' | 'aim' | 'move' | 'lens'
/** The room that draws the stage: in Focus one aims at what one presses, in Rig one looks at it. */
export type StageRoom = 'focus' | 'rig'
export type StageView = 'plan' | 'section' | 'space'
/** Where a section is looked at from: stage left, or the house. */
export type SectionSide = 'side' | 'front'

/** Lines that what is dragged has caught on, metres; null where it caught none. */
export type Guides = SnappedPoint['lines']

/** The place a lens is chosen for: a target, or a free place on the stage. */
export interface LensPlace {
  readonly target: TargetId | null
  readonly at: Vec3
}

/** Where the light is being dragged: at a target with an offset, or at a free place. */
export interface AimDrag {
  readonly target: TargetId | null
  readonly offset: Vec3
}

export const useDesk = defineStore('desk', () => {
  const show = useShow()
  const selection = useSelection()
  const proposal = useProposal()
  const room = ref<StageRoom>('focus')
  const tool = ref<Tool>('select')
  const view = useLocalStorage<StageView>('rhopander-stage-view', 'plan')
  const section = useLocalStorage<SectionSide>('rhopander-section', 'side')
  const guides = shallowRef<Guides | null>(null)
  const lensPlace = shallowRef<LensPlace | null>(null)
  const aimDrag = shallowRef<AimDrag | null>(null)
  const hoveredPalette = ref<PaletteId | null>(null)
  /** What an entry being typed would select. */
  const meant = shallowRef<readonly FixtureId[]>([])

  /** The stage as it stands, by fixture: with what is proposed, without a drag of the light. */
  const standing = computed<ReadonlyMap<FixtureId, StageFixture>>(() =>
    proposal.drawn && show.person ? stagePicture(proposal.drawn, show.person) : new Map(),
  )

  /** Several fixtures sent to a target with stations spread over them in the order of selection. */
  function alongOf(target: TargetId | null): 'stations' | null {
    const form = target && show.view?.all.target.get(target)?.form
    const hasStations = form && form.kind !== 'point' && form.stations > 0
    return hasStations && selection.fixtures.length > 1 ? 'stations' : null
  }

  /** The selection while its light is dragged: only what moves is worked out anew. */
  const dragged = computed<ReadonlyMap<FixtureId, StageFixture>>(() => {
    const drag = aimDrag.value
    const fixtures = [...selection.fixtures]
    if (!drag || !show.person || fixtures.length === 0) return new Map()
    const aimed = show.preview('aimAtTarget', { fixtures, ...drag, along: alongOf(drag.target) })
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
    const along = alongOf(drag.target)
    const sent = show.send('aimAtTarget', { fixtures: [...selection.fixtures], ...drag, along })
    aimDrag.value = null
    await sent
  }

  /** Aims the selection at a target. */
  function aimAt(target: TargetId) {
    const fixtures = [...selection.fixtures]
    return show.send('aimAtTarget', { fixtures, target, offset: ORIGIN, along: alongOf(target) })
  }

  return {
    room,
    tool,
    view,
    section,
    guides,
    lensPlace,
    aimDrag,
    hoveredPalette,
    meant,
    standing,
    seen,
    dropAim,
    aimAt,
  }
})
