/**
 * Pools on the floor and the set, in one draw call. Which parts of which faces are lit comes from
 * core; how bright each pixel of them is, by the fall-off beside the axis, the angle and the
 * distance, is worked out here as core/light/optics does.
 */
import { AdditiveBlending, BufferGeometry, DoubleSide, Float32BufferAttribute, Mesh, ShaderMaterial } from 'three'
import type { LitFace } from '#core/venue/litFaces'
import { LAYERS } from './exposure'
import type { SpaceLight } from './lights'
import { triangles } from './stageModel'

const VERTEX = /* glsl */ `
  attribute vec3 lens;
  attribute vec3 axis;
  attribute vec3 tint;
  attribute vec3 shape;
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
  void main() {
    vec3 ray = vAt - vLens;
    float far = length(ray);
    vec3 way = ray / far;
    float off = acos(clamp(dot(way, vAxis), -1.0, 1.0));
    float candela = vShape.z * exp2(-pow(off / vShape.x, vShape.y));
    float lux = candela * max(0.0, -dot(way, vNormal)) / (far * far);
    gl_FragColor = vec4(vTint * (1.0 - exp(-lux / 2600.0)) * 0.55, 1.0);
  }
`

export interface Lit {
  readonly light: SpaceLight
  readonly faces: readonly LitFace[]
}

const NAMES = ['position', 'normal', 'lens', 'axis', 'tint', 'shape'] as const

export function poolModel(lit: readonly Lit[]): Mesh {
  const values: Record<(typeof NAMES)[number], number[]> = {
    position: [],
    normal: [],
    lens: [],
    axis: [],
    tint: [],
    shape: [],
  }
  for (const { light, faces } of lit) {
    const { lens, direction } = light.beam
    const half = (light.beamAngle * Math.PI) / 360
    for (const { rim, normal } of faces)
      for (const { x, y, z } of triangles(rim, normal)) {
        values.position.push(x, y, z)
        values.normal.push(normal.x, normal.y, normal.z)
        values.lens.push(lens.x, lens.y, lens.z)
        values.axis.push(direction.x, direction.y, direction.z)
        values.tint.push(...light.colour)
        values.shape.push(half, light.power, light.candela)
      }
  }
  const geometry = new BufferGeometry()
  for (const name of NAMES) geometry.setAttribute(name, new Float32BufferAttribute(values[name], 3))
  const pools = new Mesh(
    geometry,
    new ShaderMaterial({
      vertexShader: VERTEX,
      fragmentShader: FRAGMENT,
      blending: AdditiveBlending,
      transparent: true,
      depthWrite: false,
      side: DoubleSide,
    }),
  )
  pools.layers.set(LAYERS.light)
  return pools
}
