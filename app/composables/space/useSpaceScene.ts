/** The scene of Space: its parts are made anew when what they show changes, and drawn only then. */
import { useEventListener } from '@vueuse/core'
import { Raycaster, Vector2, type Object3D } from 'three'
import { computed, onMounted, onUnmounted, ref, shallowRef, watch, type Ref } from 'vue'
import type { StageFixture } from '#core/cues/onStage'
import type { FixtureId } from '#core/show/ids'
import { entity, showRecordOf, type Show } from '#core/show/show'
import { DEGREE } from '#core/geometry/rotation'
import { isTurning, widestOf } from '#core/light/gate'
import { landingOn } from '#core/venue/landing'
import { litFaces, type LitFace } from '#core/venue/litFaces'
import { surfacesOf } from '#core/venue/surfaces'
import { beamModel } from '../../space/beamModel'
import { headModel, type HeadModel } from '../../space/headModel'
import { spaceLights, type SpaceLight } from '../../space/lights'
import { poolModel } from '../../space/poolModel'
import { SpaceView } from '../../space/spaceView'
import { disposeModel, shownFaces, stageModel } from '../../space/stageModel'
import { wayModel, type SpaceWay } from '../../space/wayModel'
import { viewFromFixture, viewOf, type SetView } from '../../space/viewPoints'
import { useStage } from '../../stores/stage'
import { useTurningSeconds } from '../stage/useTurningSeconds'
import { useSelection } from '../../stores/selection'

/** How far light without anything to land on is drawn, metres. */
const FURTHEST = 30
/** A light is followed no wider than this, degrees. */
const MOST_OPEN = 160
/** What the bodies of the stage are made from, and what light can fall on. */
const STAGE = [
  'hang',
  'hangPlace',
  'setPiece',
  'setPiecePlace',
  'layer',
  'target',
  'targetPlace',
  'surveyed',
  'venue',
  'show',
] as const
const LIT = ['setPiece', 'setPiecePlace', 'layer', 'venue', 'show'] as const

/** The full angle, degrees, that a light reaches with all the pools of its prism. */
function widened(angle: number, { shape }: SpaceLight): number {
  if (!shape.prism) return angle
  return Math.min(MOST_OPEN, (2 * Math.atan(widestOf(shape) * Math.tan((angle / 2) * DEGREE))) / DEGREE)
}

/** What is drawn where it is not what stands on the stage. */
export interface SpacePicture {
  readonly fixtures: readonly StageFixture[]
  readonly ways: readonly SpaceWay[]
}

/** `picture` is null for what stands on the stage. */
export function useSpaceScene(
  canvas: Readonly<Ref<HTMLCanvasElement | null>>,
  show: () => Show,
  isHazy: Ref<boolean>,
  picture: () => SpacePicture | null,
) {
  const stage = useStage()
  const selection = useSelection()
  const space = shallowRef<SpaceView | null>(null)
  const trouble = ref('')
  /** How often it was drawn. */
  const pictures = ref(0)
  const parts = new Map<string, Object3D>()
  let heads: HeadModel | null = null

  const venue = computed(() => entity(show(), 'venue', showRecordOf(show()).venue))
  const fixtures = computed(
    () => picture()?.fixtures ?? [...stage.standing.keys()].flatMap((id) => stage.seen(id) ?? []),
  )
  const ways = computed(() => picture()?.ways ?? null)
  const chosen = computed(() => new Set(selection.fixtures))
  const lights = computed(() => spaceLights(fixtures.value, chosen.value))
  const looking = computed(() => selection.fixtures.flatMap((id) => stage.seen(id) ?? [])[0])

  function replacePart(name: string, part: Object3D | null) {
    const view = space.value
    if (!view) return
    const old = parts.get(name)
    if (old) {
      view.scene.remove(old)
      disposeModel(old)
    }
    if (part) {
      parts.set(name, part)
      view.scene.add(part)
    } else parts.delete(name)
    view.draw()
  }

  /** The clock of what turns in the light; only the picture is drawn anew by it. */
  const turning = { value: 0 }
  const seconds = useTurningSeconds(() => lights.value.some(({ shape }) => isTurning(shape)))
  watch(seconds, (now) => {
    turning.value = now
    space.value?.draw()
  })

  /** Lit faces of each light, kept as long as neither it nor what stands there changes. */
  const known = new Map<string, { readonly key: string; readonly faces: readonly LitFace[] }>()

  function facesOf(light: SpaceLight): readonly LitFace[] {
    const field = widened(light.field, light)
    const key = JSON.stringify([light.beam, field])
    const before = known.get(light.id)
    if (before?.key === key) return before.faces
    const faces = shownFaces(show(), litFaces(light.beam, field, surfacesOf(show())))
    known.set(light.id, { key, faces })
    return faces
  }

  function drawLights() {
    const reach = (light: SpaceLight) => landingOn(surfacesOf(show()), light.beam)?.distance ?? FURTHEST
    replacePart(
      'pools',
      poolModel(
        lights.value.map((light) => ({ light, faces: facesOf(light) })),
        turning,
      ),
    )
    replacePart('beams', isHazy.value ? beamModel(lights.value, reach) : null)
  }
  function drawHeads() {
    heads = headModel(fixtures.value, chosen.value)
    replacePart('heads', heads.heads)
    replacePart('bases', heads.bases)
  }
  function drawWays() {
    replacePart('ways', ways.value && wayModel(ways.value))
  }
  function drawStage() {
    replacePart('stage', stageModel(show()))
  }

  function look(view: SetView) {
    space.value?.look(viewOf(view, venue.value))
  }
  function lookFromFixture() {
    if (looking.value) space.value?.look(viewFromFixture(looking.value))
  }

  const raycaster = new Raycaster()
  /** The fixture drawn at a place of the canvas, -1 to 1 across and up. */
  function fixtureAt(across: number, up: number): FixtureId | null {
    if (!space.value || !heads) return null
    raycaster.setFromCamera(new Vector2(across, up), space.value.camera)
    const [hit] = raycaster.intersectObjects([heads.heads, heads.bases])
    return hit?.instanceId === undefined ? null : heads.fixtureOf(hit.object, hit.instanceId)
  }

  onMounted(() => {
    if (!canvas.value) return
    try {
      space.value = new SpaceView(canvas.value, () => (pictures.value += 1))
    } catch (error) {
      trouble.value = `Space needs WebGL, which this browser does not give: ${String(error)}. Plan and Section show the same stage.`
      return
    }
    look('house')
    drawStage()
    drawHeads()
    drawLights()
    drawWays()
  })
  onUnmounted(() => {
    for (const part of parts.values()) disposeModel(part)
    space.value?.dispose()
  })
  useEventListener(canvas, 'webglcontextlost', () => {
    trouble.value = 'The graphics card let go of the picture. Leave Space and come back to draw it anew.'
  })
  watch(
    STAGE.map((kind) => () => show().all[kind]),
    drawStage,
  )
  watch(
    LIT.map((kind) => () => show().all[kind]),
    () => {
      known.clear()
      drawLights()
    },
  )
  watch([fixtures, chosen], drawHeads)
  watch([lights, isHazy], drawLights)
  watch(ways, drawWays)

  return { space, pictures, lights, looking, trouble, fixtureAt, look, lookFromFixture }
}
