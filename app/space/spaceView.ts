/**
 * The window into Space: renderer, camera and orbiting. It draws when something changed and at no
 * other time.
 */
import { Color, PerspectiveCamera, Scene, Vector3, WebGLRenderer } from 'three'
import { Exposure } from './exposure'
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js'
import type { Vec3 } from '#core/geometry/vector'

export interface ViewPoint {
  readonly from: Vec3
  readonly to: Vec3
  /** Vertical opening, degrees. */
  readonly opening: number
}

/** A stage is dark, whatever theme the office likes. */
const DARK = '#0b1112'
const MOST_PIXELS = 2
/** Milliseconds to the frame after a picture of a moved view from which its light is drawn coarser. */
const TOO_SLOW = 24

export class SpaceView {
  readonly scene = new Scene()
  readonly camera = new PerspectiveCamera(45, 1, 0.2, 200)
  readonly #renderer: WebGLRenderer
  readonly #controls: OrbitControls
  readonly #exposure = new Exposure()
  #frame = 0
  #count = 0
  #isMoving = false

  /** Throws where the browser gives no WebGL. `drawn` is told of every picture. */
  constructor(
    canvas: HTMLCanvasElement,
    readonly drawn: () => void = () => undefined,
  ) {
    this.#renderer = new WebGLRenderer({ canvas })
    this.#renderer.setPixelRatio(Math.min(MOST_PIXELS, window.devicePixelRatio))
    this.scene.background = new Color(DARK)
    this.camera.up.set(0, 0, 1)
    this.#controls = new OrbitControls(this.camera, canvas)
    this.#controls.minDistance = 0.2
    this.#controls.maxDistance = 80
    this.#controls.addEventListener('change', () => this.draw())
    this.#controls.addEventListener('start', () => (this.#isMoving = true))
    this.#controls.addEventListener('end', () => this.#rest())
  }

  /** Asks for one picture, with the next frame. */
  draw(): void {
    if (this.#frame !== 0) return
    this.#frame = requestAnimationFrame(() => this.#render())
  }

  #render(): void {
    this.#frame = 0
    const began = performance.now()
    const calls = this.#exposure.render(this.#renderer, this.scene, this.camera)
    // What was drawn can be read off the canvas: by tests, and by whoever measures.
    this.#count += 1
    this.drawn()
    const { dataset } = this.#renderer.domElement
    dataset['frames'] = String(this.#count)
    dataset['drawCalls'] = String(calls)
    dataset['submitMs'] = (performance.now() - began).toFixed(2)
    if (this.#isMoving) requestAnimationFrame(() => this.#keepUp(began))
  }

  /** The frame after one that was drawn: when it is late, the machine cannot keep up. */
  #keepUp(began: number): void {
    if (this.#isMoving && performance.now() - began > TOO_SLOW) this.#exposure.coarsen()
  }

  /** The view has come to rest: it is drawn as sharp as it can be. */
  #rest(): void {
    this.#isMoving = false
    this.#exposure.sharpen()
    this.draw()
  }

  resize(width: number, height: number): void {
    const ratio = this.#renderer.getPixelRatio()
    this.#renderer.setSize(width, height, false)
    this.#exposure.resize(width * ratio, height * ratio)
    this.camera.aspect = width / Math.max(1, height)
    this.camera.updateProjectionMatrix()
    this.draw()
  }

  look({ from, to, opening }: ViewPoint): void {
    this.camera.position.set(from.x, from.y, from.z)
    this.camera.fov = opening
    this.camera.updateProjectionMatrix()
    this.#controls.target.set(to.x, to.y, to.z)
    this.#controls.update()
    this.draw()
  }

  zoomBy(factor: number): void {
    const { target } = this.#controls
    const away = new Vector3().subVectors(this.camera.position, target).multiplyScalar(1 / factor)
    this.camera.position.copy(target).add(away)
    this.#controls.update()
    this.draw()
  }

  /** Where a point of the stage is in the picture, parts of its width and height from the top left; null behind whoever looks. */
  onScreen({ x, y, z }: Vec3): { readonly x: number; readonly y: number } | null {
    const seen = new Vector3(x, y, z).applyMatrix4(this.camera.matrixWorldInverse)
    if (seen.z > -this.camera.near) return null
    seen.applyMatrix4(this.camera.projectionMatrix)
    return { x: (seen.x + 1) / 2, y: (1 - seen.y) / 2 }
  }

  dispose(): void {
    cancelAnimationFrame(this.#frame)
    this.#controls.dispose()
    this.#exposure.dispose()
    this.#renderer.dispose()
  }
}
