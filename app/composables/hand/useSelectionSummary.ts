/** What the selected fixtures have in common on stage, and in words where they differ. */
import { computed } from 'vue'
import type { StageFixture } from '#core/cues/onStage'
import { length } from '#core/geometry/vector'
import { offsetInWords } from '#core/geometry/lengthInWords'
import type { TargetId } from '#core/show/ids'
import { useStage } from '../../stores/stage'
import { useSelection } from '../../stores/selection'

/** Offsets shorter than this, metres, are not worth a word. */
const NO_OFFSET = 0.005

interface AimSummary {
  readonly id: TargetId | null
  readonly name: string
  readonly offset: string
}

export function useSelectionSummary() {
  const stage = useStage()
  const selection = useSelection()
  const chosen = computed(() => {
    const { seenInPanels } = stage
    return selection.fixtures.flatMap((id) => seenInPanels(id) ?? [])
  })
  const none = computed(() => chosen.value.length === 0)

  /** One value for the whole selection, or null where it differs. */
  function shared<T>(of: (fixture: StageFixture) => T): T | null {
    const [first] = chosen.value
    if (!first) return null
    const value = of(first)
    return chosen.value.every((fixture) => of(fixture) === value) ? value : null
  }

  const aim = computed<AimSummary>(() => {
    const value = chosen.value[0]?.positionValue
    const kind = shared((fixture) => fixture.positionValue?.kind ?? 'none')
    if (none.value) return { id: null, name: 'Select fixtures to aim', offset: '' }
    if (kind === 'angles') return { id: null, name: 'Raw angles, no target', offset: '' }
    if (kind === 'none') return { id: null, name: 'Not aimed yet', offset: '' }
    if (value?.kind !== 'aim' || kind !== 'aim') return { id: null, name: 'Aimed in different ways', offset: '' }
    const isOne = chosen.value.every(({ positionValue: v }) => v?.kind === 'aim' && v.target === value.target)
    if (!isOne) return { id: null, name: 'Different targets', offset: '' }
    if (value.target === null) return { id: null, name: 'A free place', offset: offsetInWords(value.offset) }
    const offset = length(value.offset) < NO_OFFSET ? '' : `${offsetInWords(value.offset)} of it`
    return { id: value.target, name: stage.panelState.show?.all.target.get(value.target)?.name ?? 'Target', offset }
  })

  const positionSummary = computed(() => {
    const short = chosen.value.filter(({ position }) => position.state === 'out of reach').length
    if (short > 0) return `${short} of ${chosen.value.length} out of reach`
    return !none.value && shared(({ positionValue }) => positionValue?.kind) === 'aim'
      ? `${chosen.value.length} solved, all reach`
      : ''
  })

  const zoom = computed(() => {
    const angles = chosen.value.map((fixture) => fixture.zoom.angle)
    const low = Math.min(...angles).toFixed(1)
    const high = Math.max(...angles).toFixed(1)
    return {
      span: low === high ? `${low}°` : `${low}° to ${high}°`,
      pool: shared(({ zoomValue }) => (zoomValue?.kind === 'pool' ? zoomValue.diameter : null)),
      unfit: chosen.value.filter((fixture) => !fixture.zoom.fits).length,
    }
  })
  const intensity = computed(() => shared((fixture) => Math.round(fixture.intensity * 100)))

  return { chosen, none, shared, aim, positionSummary, zoom, intensity }
}
