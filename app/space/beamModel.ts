/**
 * Beams in haze: one open cone, drawn once for every light in one call. Where many overlap each is
 * fainter, or the middle of the stage would wash out to white.
 */
import type { BufferGeometry } from 'three'
import {
  AdditiveBlending,
  ConeGeometry,
  BackSide,
  InstancedBufferAttribute,
  InstancedMesh,
  ShaderMaterial,
} from 'three'
import { add, scale, type Vec3 } from '#core/geometry/vector'
import { irisRadius, poolOffsets } from '#core/light/gate'
import { LAYERS } from './exposure'
import type { SpaceLight } from './lights'
import { stretched } from './stageModel'

const VERTEX = /* glsl */ `
  attribute vec4 light;
  attribute float bands;
  varying vec4 vLight;
  varying float vBands;
  varying float vAlong;
  varying vec3 vNormal;
  varying vec3 vToEye;
  void main() {
    vLight = light;
    vBands = bands;
    vAlong = 0.5 - position.y;
    vec4 at = modelViewMatrix * instanceMatrix * vec4(position, 1.0);
    vNormal = normalize((modelViewMatrix * instanceMatrix * vec4(normal, 0.0)).xyz);
    vToEye = normalize(-at.xyz);
    gl_Position = projectionMatrix * at;
  }
`
/** Bright towards the lens and down the middle, soft at the rim of the cone. */
const FRAGMENT = /* glsl */ `
  varying vec4 vLight;
  varying float vBands;
  varying float vAlong;
  varying vec3 vNormal;
  varying vec3 vToEye;
  void main() {
    // Light that strobes is marked by bands along it; nothing flashes.
    if (vBands > 0.5 && fract(vAlong * 14.0) > 0.55) discard;
    float facing = abs(dot(normalize(vNormal), normalize(vToEye)));
    float fade = pow(1.0 - vAlong, 1.4) * 0.85 + 0.15 * (1.0 - vAlong);
    gl_FragColor = vec4(vLight.rgb * vLight.a * fade * smoothstep(0.0, 0.9, facing), 1.0);
  }
`
const ROUND = 40
/** Haze of one beam at full, and the number of beams from which each is drawn fainter. */
const HAZE = 0.2
const MANY = 5
/** Cones run a little into what they land on, which hides their ends. */
const BEYOND = 1.06

/** `reach` is how far a light goes before it lands; metres. */
export function beamModel(lights: readonly SpaceLight[], reach: (light: SpaceLight) => number): InstancedMesh {
  const cones = lights.flatMap((light) => conesOf(light, reach(light) * BEYOND))
  const share = HAZE * Math.min(1, Math.sqrt(MANY / Math.max(1, lights.length)))
  const mesh = new InstancedMesh<BufferGeometry, ShaderMaterial>(
    new ConeGeometry(1, 1, ROUND, 1, true),
    new ShaderMaterial({
      vertexShader: VERTEX,
      fragmentShader: FRAGMENT,
      blending: AdditiveBlending,
      transparent: true,
      depthWrite: false,
      // The far side of a cone is seen from outside and from within alike.
      side: BackSide,
    }),
    cones.length,
  )
  const values = new Float32Array(cones.length * 4)
  cones.forEach(({ light, from, to, radius, part }, i) => {
    // The cone's point is at its +y end, so it is stretched from its far end to the lens.
    mesh.setMatrixAt(i, stretched(to, from, radius))
    values.set([...light.colour, share * part * Math.sqrt(light.strength)], i * 4)
  })
  const bands = Float32Array.from(cones, ({ light }) => +(light.shape.strobe > 0))
  mesh.geometry.setAttribute('bands', new InstancedBufferAttribute(bands, 1))
  mesh.geometry.setAttribute('light', new InstancedBufferAttribute(values, 4))
  mesh.layers.set(LAYERS.light)
  mesh.frustumCulled = false
  return mesh
}

interface Cone {
  readonly light: SpaceLight
  readonly from: Vec3
  readonly to: Vec3
  readonly radius: number
  /** Its part of the light, 0 to 1. */
  readonly part: number
}

/** The cones of a light: one, or one for each pool of its prism, as wide as its iris leaves it. */
function conesOf(light: SpaceLight, far: number): Cone[] {
  const { beam, axes, shape } = light
  const radius = far * Math.tan((light.beamAngle * Math.PI) / 360)
  const offsets = poolOffsets(shape)
  return offsets.map(([x, y]) => {
    const aside = add(scale(axes.right, x * radius), scale(axes.up, y * radius))
    return {
      light,
      from: beam.lens,
      to: add(add(beam.lens, scale(beam.direction, far)), aside),
      radius: radius * irisRadius(shape),
      part: 1 / Math.sqrt(offsets.length),
    }
  })
}
