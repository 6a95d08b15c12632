/** What this window is doing on the stage: its tool, a drag of the light, a palette looked at. */
import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, shallowRef, ref, watch } from 'vue'
import type { Outcome } from '#core/commands/command'
import type { CommandInput, CommandName } from '#core/commands/registry'
import { pictureOfSome, stagePicture, stageWithoutHand, type StageFixture } from '#core/cues/onStage'
import { cuePictureAt, stagePictureAt } from '#core/cues/stageAt'
import type { FixtureId, PaletteId, TargetId } from '#core/show/ids'
import { ORIGIN, type Vec3 } from '#core/geometry/vector'
import type { SnappedPoint } from '#core/rig/snap'
import type { Show } from '#core/show/show'
import { useClock } from './clock'
import { useProposal } from './proposal'
import { useDeferred } from './deferred'
import { useSelection } from './selection'
import { useShow } from './show'
import { useFollowedPicture } from './tracked'

export type Tool = 'select' | 'lasso' | 'aim' | 'move' | 'lens' | 'line' | 'outline'
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

/** A line drawn on the stage, metres. */
export interface StageLine {
  readonly from: Vec3
  readonly to: Vec3
}

/** A change of the hand that is shown while it is being made, and not done yet. */
export type HandChange = Extract<
  CommandName,
  | 'changeValues'
  | 'copyValues'
  | 'fanAims'
  | 'fanValues'
  | 'goNeutral'
  | 'setColour'
  | 'setValue'
  | 'nudgeAim'
  | 'takeFromCue'
  | 'takeFromStage'
  | 'turnHeads'
  | 'turnOtherSide'
>

/** The stage, by fixture. */
type Picture = ReadonlyMap<FixtureId, StageFixture>

/** What the panels tell: the show with what is tried out and as it is, and the fixtures as they are dragged and as they stand. */
export interface PanelState {
  readonly preview: Show | null
  readonly show: Show | null
  readonly dragged: Picture
  readonly standing: Picture
}

export interface Trial {
  readonly fixtures: readonly FixtureId[]
  readonly attempt: () => Outcome
  readonly send: () => Promise<boolean>
}

/** Looks a fixture up in what is dragged, else in what stands. */
const lookIn = (dragged: Picture, standing: Picture) => (id: FixtureId) => dragged.get(id) ?? standing.get(id)

export const useStage = defineStore('stage', () => {
  const show = useShow()
  const selection = useSelection()
  const proposal = useProposal()
  const clock = useClock()
  const [handAt, cuesAt] = [useFollowedPicture(stagePictureAt), useFollowedPicture(cuePictureAt)]
  const room = ref<StageRoom>('focus')
  const tool = ref<Tool>('select')
  const view = useLocalStorage<StageView>('rhopander-stage-view', 'plan')
  const section = useLocalStorage<SectionSide>('rhopander-section', 'side')
  const guides = shallowRef<Guides | null>(null)
  const lensPlace = shallowRef<LensPlace | null>(null)
  const aimDrag = shallowRef<AimDrag | null>(null)
  const trial = shallowRef<Trial | null>(null)
  /** The axes that stay while heads are turned by dragging. */
  const locked = ref<'none' | 'pan' | 'tilt' | 'both'>('none')
  /** Whether the light is dragged to one place, or each light by the same. */
  const dragging = ref<'together' | 'each'>('together')
  /** A fan is armed until something else is changed or selected. */
  const isFanArmed = ref(false)
  const disarmFan = () => (isFanArmed.value = false)
  watch(() => selection.whole, disarmFan)
  /** The line drawn on the stage to spread places along. */
  const line = shallowRef<StageLine | null>(null)
  const hoveredPalette = ref<PaletteId | null>(null)
  /** What an entry being typed would select. */
  const entryPreview = shallowRef<readonly FixtureId[]>([])

  /** The stage as it stands, by fixture: with what is proposed, without a drag of the light. */
  const settled = computed<Picture>(() =>
    proposal.drawn && show.person ? stagePicture(proposal.drawn, show.person) : new Map(),
  )
  /** The same turned after what follows trackers, on its way there while cues or a recall take their time. */
  const standing = computed(() =>
    proposal.drawn && show.person ? handAt(proposal.drawn, show.person, settled.value, clock.now) : settled.value,
  )

  /** What the stage shows without the hand. */
  const onStage = computed<Picture>(() =>
    show.view && show.person
      ? cuesAt(show.view, show.person, stageWithoutHand(show.view, show.person), clock.now)
      : new Map(),
  )

  /** Several fixtures sent to a target with stations spread over them in the order of selection. */
  function alongOf(target: TargetId | null): 'stations' | null {
    const form = target && show.view?.all.target.get(target)?.form
    const hasStations = form && form.kind !== 'point' && form.stations > 0
    return hasStations && selection.fixtures.length > 1 ? 'stations' : null
  }

  const aimTo = (aim: AimDrag) => ({ fixtures: [...selection.fixtures], ...aim, along: alongOf(aim.target) })

  /** The show with what is being tried out in the hand; null while nothing is, or where it is refused. */
  const preview = computed<Show | null>(() => {
    const drag = aimDrag.value
    if (drag && selection.fixtures.length > 0) return show.preview('aimAtTarget', aimTo(drag))
    const outcome = trial.value?.attempt()
    return outcome?.ok ? outcome.after() : null
  })
  const isPreviewing = computed(() => preview.value !== null)
  /** The fixtures something is tried out on: only what changes is worked out anew. */
  const dragged = computed<Picture>(() => {
    if (!preview.value || !show.person) return new Map()
    return pictureOfSome(preview.value, show.person, aimDrag.value ? selection.fixtures : (trial.value?.fixtures ?? []))
  })

  /** Shows a change of the hand without doing it, instead of what was tried out before. */
  function tryOut<N extends HandChange>(fixtures: readonly FixtureId[], name: N, input: CommandInput<N>): Trial {
    if (name !== 'fanValues' && name !== 'fanAims') disarmFan()
    return (trial.value = { fixtures, attempt: () => show.attempt(name, input), send: () => show.send(name, input) })
  }

  /** Does what was tried out. */
  async function commitTrial() {
    const kept = trial.value
    trial.value = null
    await kept?.send()
  }

  /** Puts back what is tried out; given one, only if it is still that. */
  function endTrial(only: Trial | null = trial.value) {
    if (trial.value === only) trial.value = null
  }

  /** What the stage shows of a fixture now. Not an action: it is asked for hundreds of fixtures a frame. */
  const seen = computed(() => lookIn(dragged.value, standing.value))

  /** Panels are read from here: just after the light, and every now and then while it is dragged or on its way. */
  const latest = computed<PanelState>(() => ({
    preview: preview.value ?? show.view,
    show: show.view,
    dragged: dragged.value,
    standing: standing.value,
  }))
  const panelState = useDeferred(latest, (now, before) => {
    if (before.show?.id !== now.show?.id) return 'at once'
    return isPreviewing.value || now.standing !== settled.value ? 'now and then' : 'after the light'
  })

  /** What the panels tell of a fixture: as the stage shows it, a frame later, or a few while it moves. */
  const seenInPanels = computed(() => lookIn(panelState.value.dragged, panelState.value.standing))

  /** Sends the selection to a target with an offset, or to a free place. */
  function sendTo(aim: AimDrag) {
    disarmFan()
    return show.send('aimAtTarget', aimTo(aim))
  }

  /** Lets the light go where it was dragged to. */
  async function dropAim() {
    const drag = aimDrag.value
    if (!drag || selection.fixtures.length === 0) return
    const sent = sendTo(drag)
    aimDrag.value = null
    await sent
  }

  /** Aims the selection at a target. */
  const aimAt = (target: TargetId) => sendTo({ target, offset: ORIGIN })

  return {
    room,
    tool,
    view,
    section,
    guides,
    lensPlace,
    aimDrag,
    hoveredPalette,
    entryPreview,
    locked,
    dragging,
    isFanArmed,
    line,
    onStage,
    panelState,
    trial,
    tryOut,
    commitTrial,
    endTrial,
    standing,
    isPreviewing,
    seen,
    seenInPanels,
    dropAim,
    aimAt,
  }
})
