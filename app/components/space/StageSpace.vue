<script setup lang="ts">
/** The whole in space: beams in haze, pools on floor and set, to be walked round. */
import { useElementSize, useEventListener, useLocalStorage } from '@vueuse/core'
import { CloudFog, Minus, Plus } from '@lucide/vue'
import { Raycaster, Vector2, type Object3D } from 'three'
import { computed, onMounted, onUnmounted, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { entity, showRecordOf, type Show } from '#core/show/show'
import { landingOf } from '#core/venue/landing'
import { groundOf, litFaces, type LitFace } from '#core/venue/litFaces'
import { beamModel } from '../../space/beamModel'
import { headModel, type HeadModel } from '../../space/headModel'
import { spaceLights, type SpaceLight } from '../../space/lights'
import { poolModel } from '../../space/poolModel'
import { openSpace, type SpaceView } from '../../space/spaceView'
import { disposeModel, shownPrisms, stageModel } from '../../space/stageModel'
import { viewFromFixture, viewOf, type SetView } from '../../space/viewPoints'
import { useDesk } from '../../stores/desk'
import { useSelection } from '../../stores/selection'

const props = defineProps<{ show: Show }>()
const desk = useDesk()
const selection = useSelection()
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const frame = useTemplateRef<HTMLElement>('frame')
const { width, height } = useElementSize(frame)
const isHazy = useLocalStorage('rhopander-haze', true)
const trouble = ref('')
const space = shallowRef<SpaceView | null>(null)
const pointed = ref<{ readonly number: number; readonly x: number; readonly y: number } | null>(null)

const VIEWS: readonly { readonly view: SetView; readonly label: string }[] = [
  { view: 'house', label: 'From the house' },
  { view: 'above', label: 'From above' },
  { view: 'stage left', label: 'From stage left' },
]
/** How far light without anything to land on is drawn, metres. */
const FURTHEST = 30

const venue = computed(() => entity(props.show, 'venue', showRecordOf(props.show).venue))
const fixtures = computed(() => [...desk.standing.keys()].flatMap((id) => desk.seen(id) ?? []))
const chosen = computed(() => new Set(selection.fixtures))
const lights = computed(() => spaceLights(fixtures.value, chosen.value))
const looking = computed(() => selection.fixtures.flatMap((id) => desk.seen(id) ?? [])[0])

/** Parts of the scene that are made anew when what they show changes. */
const parts = new Map<string, Object3D>()
let heads: HeadModel | null = null

function put(name: string, part: Object3D | null) {
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

/** Lit faces of each light, kept as long as neither it nor what stands there changes. */
let known = new Map<string, { readonly key: string; readonly faces: readonly LitFace[] }>()
let knownStage: readonly unknown[] = []

function facesOf(light: SpaceLight): readonly LitFace[] {
  const key = JSON.stringify([light.beam, light.field])
  const before = known.get(light.id)
  if (before?.key === key) return before.faces
  const faces = litFaces(light.beam, light.field, groundOf(venue.value), shownPrisms(props.show))
  known.set(light.id, { key, faces })
  return faces
}

function drawLights() {
  const stage = [props.show.all.setPiecePlace, props.show.all.setPiece, props.show.all.layer, venue.value]
  if (stage.some((part, i) => part !== knownStage[i])) known = new Map()
  knownStage = stage
  const reach = (light: SpaceLight) => landingOf(props.show, light.beam)?.distance ?? FURTHEST
  put('pools', poolModel(lights.value.map((light) => ({ light, faces: facesOf(light) }))))
  put('beams', isHazy.value ? beamModel(lights.value, reach) : null)
}
function drawHeads() {
  heads = headModel(fixtures.value, chosen.value)
  put('heads', heads.heads)
  put('bases', heads.bases)
}
function drawStage() {
  put('stage', stageModel(props.show))
}

function look(view: SetView) {
  space.value?.look(viewOf(view, venue.value))
}
function lookFromFixture() {
  if (looking.value) space.value?.look(viewFromFixture(looking.value))
}

const raycaster = new Raycaster()
function fixtureAt(event: PointerEvent) {
  const bounds = canvas.value?.getBoundingClientRect()
  if (!space.value || !heads || !bounds) return null
  const at = new Vector2(
    ((event.clientX - bounds.left) / bounds.width) * 2 - 1,
    1 - ((event.clientY - bounds.top) / bounds.height) * 2,
  )
  raycaster.setFromCamera(at, space.value.camera)
  const [hit] = raycaster.intersectObjects([heads.heads, heads.bases])
  return hit?.instanceId === undefined ? null : (heads.ids[hit.instanceId] ?? null)
}
let pressed = { x: 0, y: 0 }
function onDown(event: PointerEvent) {
  pressed = { x: event.clientX, y: event.clientY }
}
function onUp(event: PointerEvent) {
  if (event.button !== 0 || Math.hypot(event.clientX - pressed.x, event.clientY - pressed.y) > 4) return
  const id = fixtureAt(event)
  if (!id) return event.shiftKey ? undefined : selection.clear()
  if (event.shiftKey || event.ctrlKey || event.metaKey) selection.toggle([id])
  else selection.set([id])
}
function onMove(event: PointerEvent) {
  const id = event.buttons === 0 ? fixtureAt(event) : null
  const number = id && props.show.all.fixture.get(id)?.number
  const bounds = canvas.value?.getBoundingClientRect()
  pointed.value = number && bounds ? { number, x: event.clientX - bounds.left, y: event.clientY - bounds.top } : null
}

onMounted(() => {
  if (!canvas.value) return
  try {
    space.value = openSpace(canvas.value)
  } catch (error) {
    trouble.value = `Space needs WebGL, which this browser does not give: ${String(error)}. Plan and Section show the same stage.`
    return
  }
  look('house')
  drawStage()
  drawHeads()
  drawLights()
})
useEventListener(canvas, 'webglcontextlost', () => {
  trouble.value = 'The graphics card let go of the picture. Leave Space and come back to draw it anew.'
})
onUnmounted(() => {
  for (const part of parts.values()) disposeModel(part)
  space.value?.dispose()
})
watch([width, height, space], ([w, h, view]) => {
  if (view && w > 0 && h > 0) view.resize(w, h)
})
const RIG = [
  'hang',
  'hangPlace',
  'setPiece',
  'setPiecePlace',
  'layer',
  'target',
  'targetPlace',
  'venue',
  'show',
] as const
watch(
  () => RIG.map((kind) => props.show.all[kind]),
  (now, before) => {
    if (now.some((part, i) => part !== before[i])) drawStage()
  },
)
watch([fixtures, chosen], drawHeads)
watch(
  [
    lights,
    isHazy,
    () => props.show.all.setPiecePlace,
    () => props.show.all.setPiece,
    () => props.show.all.layer,
    venue,
  ],
  drawLights,
)

defineExpose({
  cancel: () => false,
  zoomIn: () => space.value?.zoomBy(1.25),
  zoomOut: () => space.value?.zoomBy(0.8),
  fit: () => look('house'),
  panBy: () => undefined,
})
</script>

<template>
  <div ref="frame" class="relative h-full min-h-0 w-full overflow-hidden bg-night contain-strict">
    <canvas
      ref="canvas"
      class="block h-full w-full touch-none outline-none"
      role="img"
      :aria-label="`The stage in space, ${lights.length} lights`"
      @pointerdown="onDown"
      @pointerup="onUp"
      @pointermove="onMove"
      @pointerleave="pointed = null"
    />
    <p
      v-if="pointed"
      class="pointer-events-none absolute rounded bg-deck px-1.5 py-0.5 font-mono text-xs text-sail"
      :style="{ left: `${pointed.x + 12}px`, top: `${pointed.y + 8}px` }"
    >
      {{ pointed.number }}
    </p>
    <p
      v-if="trouble"
      class="absolute inset-x-10 top-1/3 rounded-lg border border-coral bg-deck p-4 text-center"
      role="alert"
    >
      {{ trouble }}
    </p>
    <div class="absolute bottom-3 left-3 flex flex-wrap gap-1.5" role="group" aria-label="Views of space">
      <button v-for="item in VIEWS" :key="item.view" type="button" class="chip" @click="look(item.view)">
        {{ item.label }}
      </button>
      <button type="button" class="chip" :disabled="!looking" @click="lookFromFixture">
        From {{ looking ? `fixture ${looking.rigged.fixture.number}` : 'the selected fixture' }}
      </button>
      <button
        type="button"
        class="chip flex items-center gap-1.5"
        :class="isHazy ? 'border-kelp bg-kelp-deep' : ''"
        :aria-pressed="isHazy"
        @click="isHazy = !isHazy"
      >
        <CloudFog :size="14" aria-hidden="true" />Haze
      </button>
    </div>
    <div class="absolute right-3 bottom-3 flex flex-col gap-1" role="group" aria-label="Distance">
      <button type="button" class="chip p-1" title="Nearer (+)" aria-label="Nearer" @click="space?.zoomBy(1.25)">
        <Plus :size="14" />
      </button>
      <button type="button" class="chip p-1" title="Further (−)" aria-label="Further" @click="space?.zoomBy(0.8)">
        <Minus :size="14" />
      </button>
    </div>
  </div>
</template>
