/**
 * Light adds up beyond what a screen can show. The scene is drawn into a wide range first and then
 * brought down so that every pixel keeps its colour: overlapping beams grow brighter, not white.
 */
import {
  HalfFloatType,
  Mesh,
  OrthographicCamera,
  PlaneGeometry,
  Scene,
  ShaderMaterial,
  WebGLRenderTarget,
  type Camera,
  type WebGLRenderer,
} from 'three'

const VERTEX = /* glsl */ `
  varying vec2 vUv;
  void main() {
    vUv = uv;
    gl_Position = vec4(position.xy, 0.0, 1.0);
  }
`
const FRAGMENT = /* glsl */ `
  uniform sampler2D drawn;
  varying vec2 vUv;
  void main() {
    vec3 light = texture2D(drawn, vUv).rgb;
    float most = max(max(light.r, light.g), max(light.b, 1e-4));
    float shown = most < 0.4 ? most : 0.4 + 0.52 * (1.0 - exp(-(most - 0.4) / 0.9));
    gl_FragColor = vec4(light * shown / most, 1.0);
    #include <colorspace_fragment>
  }
`
/** Samples a pixel: edges stay smooth in the wide range too. */
const SAMPLES = 4

export interface Exposure {
  /** Draws a scene; tells how many draw calls it took. */
  render(renderer: WebGLRenderer, scene: Scene, camera: Camera): number
  /** Pixels of the screen. */
  resize(width: number, height: number): void
  dispose(): void
}

export function openExposure(): Exposure {
  const target = new WebGLRenderTarget(1, 1, { type: HalfFloatType, samples: SAMPLES })
  const material = new ShaderMaterial({
    vertexShader: VERTEX,
    fragmentShader: FRAGMENT,
    uniforms: { drawn: { value: target.texture } },
    depthTest: false,
    depthWrite: false,
  })
  const sheet = new Mesh(new PlaneGeometry(2, 2), material)
  sheet.frustumCulled = false
  const screen = new Scene()
  screen.add(sheet)
  const eye = new OrthographicCamera()

  return {
    render(renderer, scene, camera) {
      renderer.setRenderTarget(target)
      renderer.render(scene, camera)
      const { calls } = renderer.info.render
      renderer.setRenderTarget(null)
      renderer.render(screen, eye)
      return calls + renderer.info.render.calls
    },
    resize(width, height) {
      target.setSize(Math.max(1, Math.floor(width)), Math.max(1, Math.floor(height)))
    },
    dispose() {
      target.dispose()
      material.dispose()
      sheet.geometry.dispose()
    },
  }
}
