/**
 * The view of a stage drawing: metres on the stage to pixels on the screen, by a projection. Wheel
 * and pinch zoom, the middle button or two fingers pan.
 */
import { useElementSize } from '@vueuse/core'
import { select } from 'd3-selection'
import { zoom, zoomIdentity, type ZoomTransform } from 'd3-zoom'
import { computed, onMounted, shallowRef, watch, type Ref } from 'vue'
import type { Vec3 } from '#core/geometry/vector'
import { computedStable } from '../hand/computedStable'
import type { Projection, StagePoint } from '#core/drawing/projections'
import type { DrawingPoint } from '#core/drawing/drawingPoint'

export interface Extent {
  readonly left: number
  readonly right: number
  readonly bottom: number
  readonly top: number
}

export type ScreenPoint = DrawingPoint

/** The view as it is now: no state is asked for each of thousands of points. */
export interface Sight {
  /** Pixels a metre. */
  readonly scale: number
  readonly toScreen: (point: StagePoint) => ScreenPoint
}

const MARGIN = 46
/** Room kept free above for the tool row and below for the cue stepper, pixels. */
const ABOVE = 52
const BELOW = 44
const STEP = 1.3

export function usePlanView(element: Ref<HTMLElement | null>, extent: () => Extent, projection: () => Projection) {
  const { width, height } = useElementSize(element)
  const transform = shallowRef<ZoomTransform>(zoomIdentity)

  /** Pixels a metre and the pixel of the stage's origin when the whole extent just fits. */
  const fitted = computedStable(() => {
    const { left, right, bottom, top } = extent()
    const usable = { width: width.value - 2 * MARGIN, height: height.value - ABOVE - BELOW }
    const scale = Math.max(4, Math.min(usable.width / (right - left), usable.height / (top - bottom)))
    const x = width.value / 2 - (scale * (left + right)) / 2
    const spare = usable.height - scale * (top - bottom)
    const below = projection().stands === 'below' ? 0 : spare / 2
    const y = ABOVE + usable.height - below + scale * bottom
    return { scale, x, y }
  })
  const sight = computed<Sight>(() => {
    const { k } = transform.value
    const scale = fitted.value.scale * k
    const [left, top] = transform.value.apply([fitted.value.x, fitted.value.y])
    const { project } = projection()
    return {
      scale,
      toScreen: (point) => {
        const { across, up } = project(point)
        return { x: left + scale * across, y: top - scale * up }
      },
    }
  })
  const scale = computed(() => sight.value.scale)
  const toScreen = (point: StagePoint) => sight.value.toScreen(point)

  /** The place on the stage behind a pixel; the coordinate the projection does not show is 0. */
  function toStage(screen: ScreenPoint): Vec3 {
    const { scale: base, x, y } = fitted.value
    const [fx, fy] = transform.value.invert([screen.x, screen.y])
    return projection().place((fx - x) / base, (y - fy) / base)
  }

  const behaviour = zoom<HTMLElement, unknown>()
    .scaleExtent([0.3, 14])
    .filter((event: MouseEvent | TouchEvent | WheelEvent) => {
      if (event.type === 'wheel') return true
      if ('touches' in event) return event.touches.length > 1
      return event.button === 1
    })
    .on('zoom', (event: { transform: ZoomTransform }) => (transform.value = event.transform))

  onMounted(() => {
    if (element.value) select(element.value).call(behaviour).on('dblclick.zoom', null)
  })
  watch([width, height], ([w, h]) =>
    behaviour.extent([
      [0, 0],
      [w, h],
    ]),
  )

  function onView(act: (sheet: ReturnType<typeof select<HTMLElement, unknown>>) => void) {
    if (element.value) act(select<HTMLElement, unknown>(element.value))
  }

  const zoomIn = () => onView((sheet) => behaviour.scaleBy(sheet, STEP))
  const zoomOut = () => onView((sheet) => behaviour.scaleBy(sheet, 1 / STEP))
  const fit = () => onView((sheet) => behaviour.transform(sheet, zoomIdentity))
  const panBy = (x: number, y: number) =>
    onView((sheet) => behaviour.translateBy(sheet, x / transform.value.k, y / transform.value.k))

  return { width, height, scale, sight, toScreen, toStage, zoomIn, zoomOut, fit, panBy }
}

export type PlanView = ReturnType<typeof usePlanView>
