/**
 * The window into Space: renderer, camera and orbiting. It draws when something changed and at no
 * other time.
 */
import { Color, PerspectiveCamera, Scene, Vector3, WebGLRenderer } from 'three'
import { openExposure } from './exposure'
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js'
import type { Vec3 } from '#core/geometry/vector'

export interface ViewPoint {
  readonly from: Vec3
  readonly to: Vec3
  /** Vertical opening, degrees. */
  readonly opening: number
}

export interface SpaceView {
  readonly scene: Scene
  readonly camera: PerspectiveCamera
  readonly canvas: HTMLCanvasElement
  /** Asks for one picture, with the next frame. */
  draw(): void
  resize(width: number, height: number): void
  look(view: ViewPoint): void
  zoomBy(factor: number): void
  dispose(): void
}

/** A stage is dark, whatever theme the office likes. */
const DARK = '#0b1112'
const MOST_PIXELS = 2

export function openSpace(canvas: HTMLCanvasElement): SpaceView {
  const renderer = new WebGLRenderer({ canvas, antialias: true })
  renderer.setPixelRatio(Math.min(MOST_PIXELS, window.devicePixelRatio))
  const scene = new Scene()
  scene.background = new Color(DARK)
  const camera = new PerspectiveCamera(45, 1, 0.2, 200)
  camera.up.set(0, 0, 1)
  const exposure = openExposure()
  const controls = new OrbitControls(camera, canvas)
  controls.minDistance = 0.2
  controls.maxDistance = 80
  let frame = 0
  let count = 0

  function render() {
    frame = 0
    const began = performance.now()
    const calls = exposure.render(renderer, scene, camera)
    // What was drawn can be read off the canvas: by tests, and by whoever measures.
    count += 1
    canvas.dataset['frames'] = String(count)
    canvas.dataset['drawCalls'] = String(calls)
    canvas.dataset['submitMs'] = (performance.now() - began).toFixed(2)
  }

  function draw() {
    if (frame === 0) frame = requestAnimationFrame(render)
  }

  controls.addEventListener('change', draw)

  return {
    scene,
    camera,
    canvas,
    draw,
    resize(width, height) {
      renderer.setSize(width, height, false)
      exposure.resize(width * renderer.getPixelRatio(), height * renderer.getPixelRatio())
      camera.aspect = width / Math.max(1, height)
      camera.updateProjectionMatrix()
      draw()
    },
    look({ from, to, opening }) {
      camera.position.set(from.x, from.y, from.z)
      camera.fov = opening
      camera.updateProjectionMatrix()
      controls.target.set(to.x, to.y, to.z)
      controls.update()
      draw()
    },
    zoomBy(factor) {
      const away = new Vector3().subVectors(camera.position, controls.target).multiplyScalar(1 / factor)
      camera.position.copy(controls.target).add(away)
      controls.update()
      draw()
    },
    dispose() {
      cancelAnimationFrame(frame)
      controls.dispose()
      exposure.dispose()
      renderer.dispose()
    },
  }
}
