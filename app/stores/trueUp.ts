/** Truing up: which hang is looked at, which head is steered onto which surveyed target, and what all sightings tell. */
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { LEADING } from '#core/attributes/catalogue'
import { pictureOf, stageLookup } from '#core/cues/onStage'
import { vec3 } from '#core/geometry/vector'
import { allWays } from '#core/kinematics/inverse'
import { handValueId, placeId } from '#core/show/compositeIds'
import type { FixtureId, HangId, SightingId, TargetId } from '#core/show/ids'
import { asHangId } from '#core/show/ids'
import { rigOf, RIG_KINDS } from '#core/show/rig'
import { showRecordOf, type Show } from '#core/show/show'
import { pointOn, TARGET_KINDS, targetsOf } from '#core/show/targets'
import { fixtureCorrectionOf, type Mistakes } from '#core/survey/corrections'
import { hangTruth, headsOn, isNews } from '#core/survey/hangTruth'
import { nextSighting } from '#core/survey/nextSighting'
import { isSurveyed } from '#core/survey/sightings'
import { useProposal } from './proposal'
import { useShow } from './show'

/** How far a nudge steers, metres. */
export const STEERING = [0.01, 0.05, 0.2] as const

/** What truths are worked out from: not from where lights stand, which changes with every nudge. */
const TOLD_BY = [
  ...(['sighting', 'surveyed', 'touchUp', 'pass', 'passCheck', 'paletteValue', 'hang'] as const),
  ...TARGET_KINDS,
  ...RIG_KINDS,
] as const

export const useTrueUp = defineStore('trueUp', () => {
  const store = useShow()
  const proposal = useProposal()
  const askedHang = ref<HangId | null>(null)
  const askedHead = ref<FixtureId | null>(null)
  const askedTarget = ref<TargetId | null>(null)
  const nudge = ref(1)

  /** The show as it was when anything that tells of the rig changed last. */
  const telling = computed<Show | null>((before) => {
    const { view } = store
    return before && view && TOLD_BY.every((kind) => before.all[kind] === view.all[kind]) ? before : view
  })
  const hangs = computed(() => {
    const show = telling.value
    if (!show) return []
    return [...show.all.hang].flatMap(([id, { name }]) => {
      const heads = headsOn(show, asHangId(id))
      const seen = [...show.all.sighting.values()].filter(({ fixture }) =>
        heads.some((one) => (one.by ?? one.id) === fixture),
      )
      return heads.length > 0 ? [{ id: asHangId(id), name, heads, sightings: seen.length }] : []
    })
  })
  const hang = computed(() => hangs.value.find(({ id }) => id === askedHang.value) ?? hangs.value[0] ?? null)
  const truth = computed(() => (telling.value && hang.value ? hangTruth(telling.value, hang.value.id) : null))
  const next = computed(() => (telling.value && truth.value ? nextSighting(telling.value, truth.value) : null))
  const surveyed = computed(() => {
    const show = telling.value
    if (!show) return []
    return [...targetsOf(show).values()].filter(({ id }) => isSurveyed(show, id))
  })
  const head = computed(() => truth.value?.heads.find(({ rigged }) => rigged.id === askedHead.value) ?? null)
  const target = computed(() => surveyed.value.find(({ id }) => id === askedTarget.value) ?? null)
  /** The head that is steered as it stands; null while none is in hand on the target. */
  const steered = computed(() => {
    const { view: show, person } = store
    const rigged = head.value && show ? rigOf(show).get(head.value.rigged.id) : undefined
    if (!show || !person || !rigged || !target.value) return null
    const held = show.all.handValue.get(handValueId(person, rigged.id, LEADING.place))?.value
    if (held?.kind !== 'aim' || held.target !== target.value.id) return null
    return pictureOf(show, rigged, stageLookup(show, person))
  })
  /** Whether the head that is steered can be turned to its cross the other way round. */
  const hasOtherWay = computed(() => {
    const { value: light } = steered
    if (!light || !target.value) return false
    const ways = allWays(light.rigged.mount, pointOn(target.value, null))
    return ways.some(({ side }) => side !== light.position.side)
  })
  const news = computed(() => (telling.value && truth.value ? isNews(telling.value, truth.value) : false))

  /** Whether anything of the hang is corrected over its drawing. */
  const isCorrected = computed(() => {
    const { value: show } = telling
    if (!show || !truth.value) return false
    const { venue } = showRecordOf(show)
    const fixtures = truth.value.heads.map(({ fixture }) => placeId(venue, fixture))
    return (
      show.all.hangCorrection.has(placeId(venue, truth.value.hang)) ||
      fixtures.some((id) => show.all.fixtureCorrection.has(id))
    )
  })

  function look(id: HangId) {
    askedHang.value = id
    askedHead.value = null
  }

  /** Takes a head in hand, its light on a surveyed target; one steered before is let go of. */
  function steer(fixture: FixtureId, onto: TargetId, isOtherWay = false) {
    const letGo = askedHead.value
    askedHead.value = fixture
    askedTarget.value = onto
    return store.send('steerOnto', { fixture, target: onto, isOtherWay, letGo })
  }

  /** Moves the light that is steered, metres to stage left and upstage. */
  async function nudgeBy(x: number, y: number) {
    if (steered.value) await store.send('nudgeAim', { fixtures: [steered.value.rigged.id], by: vec3(x, y, 0) })
  }

  /** Notes that the light is on its cross. */
  async function note(): Promise<boolean> {
    if (!steered.value || !target.value) return false
    return store.send('noteSighting', { fixtures: [steered.value.rigged.id], target: target.value.id })
  }
  const change = (sightings: readonly SightingId[], what: 'drop' | 'count again' | 'delete') =>
    store.send('changeSightings', { sightings: [...sightings], what })

  /** Shows what would follow were the hang and its heads set so. */
  function set(as: 'correction' | 'drawing') {
    if (!truth.value) return
    const { hang: id, estimate, heads } = truth.value
    const told = heads.filter(({ suspicion }) => suspicion === null)
    const fixtures = told.map(({ fixture, estimate: own }) => ({ fixture, error: own.error }))
    proposal.propose('correctRig', { hangs: [{ hang: id, error: estimate.error }], fixtures, as }, true)
  }

  /** Sets what is suspected of a head the other way than it is known. */
  function setMistake(fixture: FixtureId, kind: keyof Mistakes) {
    const show = store.view
    if (!show) return
    const { venue } = showRecordOf(show)
    const { along, out, drop, yaw, pitch, roll, tiltZero, ...known } = fixtureCorrectionOf(show, venue, fixture)
    const { isTurnedRound, isPanInverted, isTiltInverted } = known
    const mistakes = { isTurnedRound, isPanInverted, isTiltInverted, [kind]: !known[kind] }
    const error = { along, out, drop, yaw, pitch, roll, tiltZero }
    proposal.propose('correctRig', { hangs: [], fixtures: [{ fixture, error, mistakes }], as: 'correction' }, true)
  }

  return {
    ...{ nudge, hangs, hang, truth, next, surveyed, head, target, steered, hasOtherWay, news, isCorrected },
    ...{ look, steer, nudgeBy, note, change, set, setMistake },
  }
})
