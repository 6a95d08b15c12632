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
/** Light is drawn at this part of the picture's size. */
const LIGHT_SIZE = 0.7

export interface Exposure {
  /** Draws a scene; tells how many draw calls it took. */
  render(renderer: WebGLRenderer, scene: Scene, camera: Camera): number
  /** Pixels of the screen. */
  resize(width: number, height: number): void
  dispose(): void
}

export function openExposure(): Exposure {
  const solid = new WebGLRenderTarget(1, 1, { type: HalfFloatType, samples: SAMPLES })
  const lit = new WebGLRenderTarget(1, 1, { type: HalfFloatType })
  const hiding = new MeshBasicMaterial({ colorWrite: false })
  const material = new ShaderMaterial({
    vertexShader: VERTEX,
    fragmentShader: FRAGMENT,
    uniforms: { drawn: { value: solid.texture }, lit: { value: lit.texture } },
    depthTest: false,
    depthWrite: false,
  })
  const sheet = new Mesh(new PlaneGeometry(2, 2), material)
  sheet.frustumCulled = false
  const screen = new Scene()
  screen.add(sheet)
  const eye = new OrthographicCamera()

  function draw(renderer: WebGLRenderer, scene: Scene, camera: Camera, ...layers: number[]): number {
    camera.layers.disableAll()
    for (const layer of layers) camera.layers.enable(layer)
    renderer.render(scene, camera)
    return renderer.info.render.calls
  }

  /** Bodies first, as what hides; then the light that is not behind them. */
  function drawLight(renderer: WebGLRenderer, scene: Scene, camera: Camera): number {
    const { background } = scene
    renderer.setRenderTarget(lit)
    renderer.setClearColor(0, 0)
    scene.background = null
    scene.overrideMaterial = hiding
    const hidden = draw(renderer, scene, camera, LAYERS.bodies)
    scene.overrideMaterial = null
    renderer.autoClear = false
    const drawn = draw(renderer, scene, camera, LAYERS.light)
    renderer.autoClear = true
    scene.background = background
    return hidden + drawn
  }

  return {
    render(renderer, scene, camera) {
      renderer.setRenderTarget(solid)
      const calls = draw(renderer, scene, camera, LAYERS.bodies, LAYERS.lines)
      const lightCalls = drawLight(renderer, scene, camera)
      renderer.setRenderTarget(null)
      return calls + lightCalls + draw(renderer, screen, eye, 0)
    },
    resize(width, height) {
      const pixels = (length: number) => Math.max(1, Math.floor(length))
      solid.setSize(pixels(width), pixels(height))
      lit.setSize(pixels(width * LIGHT_SIZE), pixels(height * LIGHT_SIZE))
    },
    dispose() {
      solid.dispose()
      lit.dispose()
      hiding.dispose()
      material.dispose()
      sheet.geometry.dispose()
    },
  }
}
