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
import { add, scale } from '#core/geometry/vector'
import { LAYERS } from './exposure'
import type { SpaceLight } from './lights'
import { stretched } from './stageModel'

const VERTEX = /* glsl */ `
  attribute vec4 light;
  varying vec4 vLight;
  varying float vAlong;
  varying vec3 vNormal;
  varying vec3 vToEye;
  void main() {
    vLight = light;
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
  varying float vAlong;
  varying vec3 vNormal;
  varying vec3 vToEye;
  void main() {
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
    lights.length,
  )
  const share = HAZE * Math.min(1, Math.sqrt(MANY / Math.max(1, lights.length)))
  const values = new Float32Array(lights.length * 4)
  lights.forEach((light, i) => {
    const { lens, direction } = light.beam
    const far = reach(light) * BEYOND
    const radius = far * Math.tan((light.beamAngle * Math.PI) / 360)
    // The cone's point is at its +y end, so it is stretched from its far end to the lens.
    mesh.setMatrixAt(i, stretched(add(lens, scale(direction, far)), lens, radius))
    values.set([...light.colour, share * Math.sqrt(light.strength)], i * 4)
  })
  mesh.geometry.setAttribute('light', new InstancedBufferAttribute(values, 4))
  mesh.layers.set(LAYERS.light)
  mesh.frustumCulled = false
  return mesh
}
