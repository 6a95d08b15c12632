/** The keys of the Rig room: arrows move what is looked at. */
import { placeId } from '#core/show/compositeIds'
import { fineMetres } from '#core/geometry/fineMetres'
import { vec3, add } from '#core/geometry/vector'
import { showRecordOf } from '#core/show/show'
import { targetsOf } from '#core/show/targets'
import { useChosen } from '../../stores/chosen'
import { useStage } from '../../stores/stage'
import { useProposal } from '../../stores/proposal'
import { useRigRoom } from '../../stores/rigRoom'
import { useStageKeys, type StageKeys } from './useStageKeys'

/** Metres an arrow key moves by, and with Shift. */
const COARSE = 0.1
const FINE = 0.01

export function useRigKeys(drawing: () => StageKeys | null) {
  const chosen = useChosen()
  const stage = useStage()
  const rigRoom = useRigRoom()
  const proposal = useProposal()

  /** Moves what is looked at; steps add up while they are only proposed. */
  function nudge(by: { readonly x: number; readonly y: number }, isFine: boolean): boolean {
    const { thing } = chosen
    const show = proposal.drawn
    if (!thing || !show) return false
    const step = isFine ? FINE : COARSE
    const way = stage.view === 'section' ? upright(by.x * step, by.y * step) : vec3(by.x * step, by.y * step, 0)
    const { venue } = showRecordOf(show)
    if (thing.kind === 'hang') {
      const place = show.all.hangPlace.get(placeId(venue, thing.id))
      if (place) void proposal.offerOrSay('moveHang', { hang: thing.id, origin: rounded(add(place.origin, way)) })
    } else if (thing.kind === 'setPiece') {
      const place = show.all.setPiecePlace.get(placeId(venue, thing.id))
      if (place)
        void proposal.offerOrSay('moveSetPiece', {
          setPiece: thing.id,
          position: rounded(add(place.position, way)),
          yaw: place.yaw,
        })
    } else {
      const placed = targetsOf(show).get(thing.id)
      if (placed)
        void proposal.offerOrSay('moveTarget', { target: thing.id, position: rounded(add(placed.position, way)) })
    }
    return true
  }

  /** Across and up in a section, as the section is looked at. */
  function upright(across: number, up: number) {
    return stage.section === 'side' ? vec3(0, across, up) : vec3(across, 0, up)
  }

  useStageKeys(drawing, {
    acts: {
      'select tool': () => (stage.tool = 'select'),
      'lasso tool': () => (stage.tool = 'lasso'),
      'move tool': () => (stage.tool = 'move'),
      'lens tool': () => (stage.tool = 'lens'),
    },
    arrow: nudge,
    letGo: () => {
      chosen.clear()
      rigRoom.form = null
    },
  })
}

/** Tenths of a millimetre: sums of steps stay what they read. */
function rounded({ x, y, z }: { x: number; y: number; z: number }) {
  return vec3(fineMetres(x), fineMetres(y), fineMetres(z))
}
