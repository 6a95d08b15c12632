/**
 * How Space is drawn. Light adds up beyond what a screen can show, so it is drawn into a wide range
 * and then brought down with every pixel keeping its colour: overlapping beams grow brighter, not
 * white. Beams and pools are soft and cover much of the picture many times over, so they are drawn
 * smaller, behind the same bodies, and laid over the rest.
 */
import {
  HalfFloatType,
  Mesh,
  MeshBasicMaterial,
  OrthographicCamera,
  PlaneGeometry,
  Scene,
  ShaderMaterial,
  WebGLRenderTarget,
  type Camera,
  type WebGLRenderer,
} from 'three'

/** What a part of the scene is drawn with: bodies hide light, lines do not. */
export const LAYERS = { bodies: 0, light: 1, lines: 2 } as const

const VERTEX = /* glsl */ `
  varying vec2 vUv;
  void main() {
    vUv = uv;
    gl_Position = vec4(position.xy, 0.0, 1.0);
  }
`
const FRAGMENT = /* glsl */ `
  uniform sampler2D drawn;
  uniform sampler2D lit;
  varying vec2 vUv;
  void main() {
    vec3 light = texture2D(drawn, vUv).rgb + texture2D(lit, vUv).rgb;
    float most = max(max(light.r, light.g), max(light.b, 1e-4));
    float shown = most < 0.4 ? most : 0.4 + 0.52 * (1.0 - exp(-(most - 0.4) / 0.9));
    gl_FragColor = vec4(light * shown / most, 1.0);
    #include <colorspace_fragment>
  }
`
/** Samples a pixel: edges stay smooth in the wide range too. */
const SAMPLES = 4
/** The parts of the picture's size that light is drawn at, from sharp to coarse. */
const LIGHT_SIZES = [0.7, 0.5, 0.35, 0.25] as const

function pixels(length: number): number {
  return Math.max(1, Math.floor(length))
}

export class Exposure {
  readonly #solid = new WebGLRenderTarget(1, 1, { type: HalfFloatType, samples: SAMPLES })
  readonly #lit = new WebGLRenderTarget(1, 1, { type: HalfFloatType })
  readonly #hiding = new MeshBasicMaterial({ colorWrite: false })
  readonly #sheet = new Mesh(
    new PlaneGeometry(2, 2),
    new ShaderMaterial({
      vertexShader: VERTEX,
      fragmentShader: FRAGMENT,
      uniforms: { drawn: { value: this.#solid.texture }, lit: { value: this.#lit.texture } },
      depthTest: false,
      depthWrite: false,
    }),
  )
  readonly #screen = new Scene()
  readonly #eye = new OrthographicCamera()
  #level = 0

  constructor() {
    this.#sheet.frustumCulled = false
    this.#screen.add(this.#sheet)
  }

  /** Draws a scene; tells how many draw calls it took. */
  render(renderer: WebGLRenderer, scene: Scene, camera: Camera): number {
    renderer.setRenderTarget(this.#solid)
    const bodies = draw(renderer, scene, camera, LAYERS.bodies, LAYERS.lines)
    const light = this.#drawLight(renderer, scene, camera)
    renderer.setRenderTarget(null)
    return bodies + light + draw(renderer, this.#screen, this.#eye, 0)
  }

  /** Bodies first, as what hides; then the light that is not behind them. */
  #drawLight(renderer: WebGLRenderer, scene: Scene, camera: Camera): number {
    const { background } = scene
    renderer.setRenderTarget(this.#lit)
    renderer.setClearColor(0, 0)
    scene.background = null
    scene.overrideMaterial = this.#hiding
    const hidden = draw(renderer, scene, camera, LAYERS.bodies)
    scene.overrideMaterial = null
    renderer.autoClear = false
    const drawn = draw(renderer, scene, camera, LAYERS.light)
    renderer.autoClear = true
    scene.background = background
    return hidden + drawn
  }

  /** Pixels of the screen. */
  resize(width: number, height: number): void {
    this.#solid.setSize(pixels(width), pixels(height))
    this.#fitLight()
  }

  /** Draws light coarser than it was, for machines that cannot keep up; at the coarsest it stays. */
  coarsen(): void {
    this.#level = Math.min(this.#level + 1, LIGHT_SIZES.length - 1)
    this.#fitLight()
  }

  /** Draws light as sharp as it can be. */
  sharpen(): void {
    this.#level = 0
    this.#fitLight()
  }

  #fitLight(): void {
    const part = LIGHT_SIZES[this.#level] ?? 1
    this.#lit.setSize(pixels(this.#solid.width * part), pixels(this.#solid.height * part))
  }

  dispose(): void {
    this.#solid.dispose()
    this.#lit.dispose()
    this.#hiding.dispose()
    this.#sheet.material.dispose()
    this.#sheet.geometry.dispose()
  }
}

/** Draws what is on some layers of a scene; tells how many draw calls it took. */
function draw(renderer: WebGLRenderer, scene: Scene, camera: Camera, ...layers: number[]): number {
  camera.layers.disableAll()
  for (const layer of layers) camera.layers.enable(layer)
  renderer.render(scene, camera)
  return renderer.info.render.calls
}
