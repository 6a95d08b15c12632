/** What the selected fixtures have in common on stage, and in words where they differ. */
import { computed } from 'vue'
import type { StageFixture } from '#core/cues/onStage'
import { length } from '#core/geometry/vector'
import { offsetInWords } from '#core/geometry/lengthInWords'
import { isHead } from '#core/show/rig'
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
  /** Those that turn. */
  const heads = computed(() => chosen.value.filter(({ rigged }) => isHead(rigged)))

  /** One value for all of them, or null where it differs. */
  function shared<T>(of: (fixture: StageFixture) => T, fixtures = chosen.value): T | null {
    const [first] = fixtures
    if (!first) return null
    const value = of(first)
    return fixtures.every((fixture) => of(fixture) === value) ? value : null
  }

  const aim = computed<AimSummary>(() => {
    const value = heads.value[0]?.positionValue
    const kind = shared((fixture) => fixture.positionValue?.kind ?? 'none', heads.value)
    if (none.value) return { id: null, name: 'Select fixtures to aim', offset: '' }
    if (heads.value.length === 0) return { id: null, name: 'Nothing here turns', offset: '' }
    if (kind === 'angles') return { id: null, name: 'Raw angles, no target', offset: '' }
    if (kind === 'none') return { id: null, name: 'Not aimed yet', offset: '' }
    if (value?.kind !== 'aim' || kind !== 'aim') return { id: null, name: 'Aimed in different ways', offset: '' }
    const isOne = heads.value.every(({ positionValue: v }) => v?.kind === 'aim' && v.target === value.target)
    if (!isOne) return { id: null, name: 'Different targets', offset: '' }
    if (value.target === null) return { id: null, name: 'A free place', offset: offsetInWords(value.offset) }
    const offset = length(value.offset) < NO_OFFSET ? '' : `${offsetInWords(value.offset)} of it`
    return { id: value.target, name: stage.panelState.show?.all.target.get(value.target)?.name ?? 'Target', offset }
  })

  const positionSummary = computed(() => {
    const count = heads.value.length
    const short = heads.value.filter(({ position }) => position.state === 'out of reach').length
    if (short > 0) return `${short} of ${count} out of reach`
    if (shared(({ positionValue }) => positionValue?.kind, heads.value) === 'aim') return `${count} solved, all reach`
    const among = selection.step === null ? selection.count : chosen.value.length
    return count > 0 && count < among ? `${count} of ${among} turn` : ''
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

  return { chosen, none, heads, shared, aim, positionSummary, zoom, intensity }
}
