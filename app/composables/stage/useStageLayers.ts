/** What every drawing of the stage shows of the show: set, targets, and the light of those lit, chosen or looked at. */
import { computed } from 'vue'
import type { StageFixture } from '#core/cues/onStage'
import { paletteGhost } from '#core/cues/paletteGhost'
import type { FixtureId } from '#core/show/ids'
import { rigOf } from '#core/show/rig'
import { setPiecesOf } from '#core/show/setPieces'
import { entity, showRecordOf, type Show } from '#core/show/show'
import { targetsOf } from '#core/show/targets'
import { useCompared } from '../../stores/compared'
import { useStage } from '../../stores/stage'
import { useProposal } from '../../stores/proposal'
import { useDeferred } from '../../stores/deferred'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import { computedStable } from '../hand/computedStable'

/** Below this a fixture counts as dark. */
const DARK = 0.01

/** Which picture a drawing shows: what is worked on, what the stage shows while one works blind, or a pair alone. */
export type Picture = 'worked on' | 'on stage' | 'compared'

export function useStageLayers(show: () => Show, picture: () => Picture = () => 'worked on') {
  const stage = useStage()
  const compared = useCompared()
  const selection = useSelection()
  const proposal = useProposal()
  const store = useShow()

  const venue = computed(() => entity(show(), 'venue', showRecordOf(show()).venue))
  const pieces = computedStable(() => setPiecesOf(show()).filter(({ piece }) => isSeen(piece.layer)))
  const targets = computed(() => targetsOf(show()))
  const targetsBefore = computed(() => (store.view ? targetsOf(store.view) : targets.value))
  const isStage = () => picture() === 'on stage'
  const chosen = computed<readonly StageFixture[]>(() => {
    if (compared.pictures) return compared.pictures.after
    const { seen } = stage
    return isStage() ? [] : selection.fixtures.flatMap((id) => seen(id) ?? [])
  })
  /** What is lit besides the selection. In the Rig room one looks at the rig, not at the picture. */
  const lit = computed<readonly StageFixture[]>(() => {
    if (compared.pictures) return compared.pictures.around
    if (isStage()) return [...stage.onStage.values()].filter(({ seen }) => seen > DARK)
    if (stage.room === 'rig') return []
    const { order } = selection
    return [...stage.standing.values()].filter(({ seen, rigged }) => seen > DARK && !order.has(rigged.id))
  })
  /** What the marks over the light show, its handle and its targets: with a drag at once, else a frame after the light. */
  const handled = useDeferred(chosen, () => (stage.isPreviewing ? 'at once' : 'after the light'))
  const litTargets = computedStable<ReadonlySet<string>>(() => {
    const aimedAt = new Set<string>()
    for (const { positionValue } of handled.value)
      if (positionValue?.kind === 'aim' && positionValue.target) aimedAt.add(positionValue.target)
    return aimedAt
  })
  /** A palette looked at but not recalled, for the selection or, without one, for all it serves. */
  const ghost = computed<readonly StageFixture[]>(() => {
    if (compared.pictures) return compared.pictures.before
    const palette = stage.hoveredPalette
    if (!palette || !store.person || isStage()) return []
    const { seen } = stage
    const { fixtures, order } = selection
    const isInLight = (id: FixtureId) => order.has(id) || (seen(id)?.seen ?? 0) > DARK
    return paletteGhost(
      show(),
      store.person,
      palette,
      fixtures.length > 0 ? fixtures : [...rigOf(show()).keys()],
      isInLight,
    )
  })
  /** Those who lose their place by what is proposed. */
  const marked = computed(() => new Set(proposal.current?.effects.losingReach ?? []))

  function isSeen(layer: string | null): boolean {
    return layer === null || show().all.layer.get(layer)?.visible !== false
  }

  return { venue, pieces, targets, targetsBefore, chosen, lit, handled, litTargets, ghost, marked }
}
