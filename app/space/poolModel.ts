/**
 * Pools on the floor and the set, in one draw call. Which parts of which faces are lit comes from
 * core; how bright each pixel of them is, by the fall-off beside the axis, the angle and the
 * distance, is worked out here as core/light/optics does.
 */
import { AdditiveBlending, BufferGeometry, DoubleSide, Float32BufferAttribute, Mesh, ShaderMaterial } from 'three'
import { MOST_POOLS } from '#core/light/gate'
import type { LitFace } from '#core/venue/litFaces'
import { LAYERS } from './exposure'
import { GATE_ATTRIBUTES, GATE_PASSED_ON, GATE_SHADER, GATE_SIZES, gateNumbers } from './gateShader'
import { goboSheet } from './goboSheet'
import type { SpaceLight } from './lights'
import { PROFILE_SHADER, profilePlace, profileSheet } from './profileSheet'
import { triangles } from './stageModel'

const VERTEX = /* glsl */ `
  attribute vec3 lens;
  attribute vec3 axis;
  attribute vec3 tint;
  attribute vec3 shape;
  attribute vec3 right;
  attribute vec2 profile;
  varying vec2 vProfile;
  ${GATE_ATTRIBUTES}
  varying vec3 vRight;
  varying vec3 vAt;
  varying vec3 vNormal;
  varying vec3 vLens;
  varying vec3 vAxis;
  varying vec3 vTint;
  varying vec3 vShape;
  void main() {
    vAt = position;
    vNormal = normal;
    vLens = lens;
    vAxis = axis;
    vTint = tint;
    vShape = shape;
    vRight = right;
    vProfile = profile;
    ${GATE_PASSED_ON}
    gl_Position = projectionMatrix * modelViewMatrix * vec4(position + normal * 0.006, 1.0);
  }
`
/** shape: half the beam angle in radians, the power of the fall-off, candela. */
const FRAGMENT = /* glsl */ `
  varying vec3 vAt;
  varying vec3 vNormal;
  varying vec3 vLens;
  varying vec3 vAxis;
  varying vec3 vTint;
  varying vec3 vShape;
  varying vec3 vRight;
  ${GATE_SHADER}
  ${PROFILE_SHADER}
  float shone(vec2 at, float slope) {
    float off = atan(length(at) * slope) / vShape.x;
    float beside = vProfile.x < -0.5 ? exp2(-pow(off, vShape.y)) : measuredBeside(off, atan(at.y, at.x));
    return beside * gatePass(at);
  }
  void main() {
    vec3 ray = vAt - vLens;
    float far = length(ray);
    vec3 way = ray / far;
    float slope = tan(vShape.x);
    float forward = max(1e-4, dot(way, vAxis));
    vec2 at = vec2(dot(way, vRight), dot(way, cross(vRight, vAxis))) / (forward * slope);
    float part = 0.0;
    if (vPrism.x < 0.5) part = shone(at, slope);
    for (int i = 0; i < ${MOST_POOLS}; i++) {
      if (float(i) + 0.5 > vPrism.x) break;
      vec2 offset = turned(vec2(0.0, SPREAD), ROUND * float(i) / vPrism.x) + vec2((vPrism.z - 0.5) * 2.0 * SPREAD, 0.0);
      part += shone(at - turned(offset, vPrism.y + ROUND * vGate.w * seconds), slope) / sqrt(vPrism.x);
    }
    float lux = vShape.z * part * max(0.0, -dot(way, vNormal)) / (far * far);
    gl_FragColor = vec4(vTint * (1.0 - exp(-lux / 2600.0)) * 0.55, 1.0);
  }
`

export interface Lit {
  readonly light: SpaceLight
  readonly faces: readonly LitFace[]
}

const SIZES = {
  position: 3,
  normal: 3,
  lens: 3,
  axis: 3,
  tint: 3,
  shape: 3,
  right: 3,
  profile: 2,
  ...GATE_SIZES,
} as const
type Name = keyof typeof SIZES
const NAMES = Object.keys(SIZES).filter((name): name is Name => name in SIZES)

/** Pools of lights; `seconds` is the clock of what turns in them. */
export function poolModel(lit: readonly Lit[], seconds: { value: number }): Mesh {
  const values = new Map<Name, number[]>(NAMES.map((name) => [name, []]))
  const put = (name: Name, numbers: readonly number[]) => values.get(name)?.push(...numbers)
  for (const { light, faces } of lit) {
    const { lens, direction } = light.beam
    const { right } = light.axes
    const half = (light.beamAngle * Math.PI) / 360
    const gate = gateNumbers(light.shape)
    const { measured } = light
    // No place on the sheet: it falls off by its power.
    const profile = measured ? [profilePlace(measured), measured.spread] : [-1, 1]
    for (const { rim, normal } of faces)
      for (const { x, y, z } of triangles(rim, normal)) {
        put('position', [x, y, z])
        put('normal', [normal.x, normal.y, normal.z])
        put('lens', [lens.x, lens.y, lens.z])
        put('axis', [direction.x, direction.y, direction.z])
        put('tint', light.colour)
        put('shape', [half, light.power, light.candela])
        put('right', [right.x, right.y, right.z])
        put('profile', profile)
        for (const [name, numbers] of gate) put(name, numbers)
      }
  }
  const geometry = new BufferGeometry()
  for (const [name, numbers] of values) geometry.setAttribute(name, new Float32BufferAttribute(numbers, SIZES[name]))
  const pools = new Mesh(
    geometry,
    new ShaderMaterial({
      vertexShader: VERTEX,
      fragmentShader: FRAGMENT,
      uniforms: { goboSheet: { value: goboSheet() }, profileSheet: { value: profileSheet() }, seconds },
      blending: AdditiveBlending,
      transparent: true,
      depthWrite: false,
      side: DoubleSide,
    }),
  )
  pools.layers.set(LAYERS.light)
  return pools
}
