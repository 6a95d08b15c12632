/** What stands in the light, for the shader of pools: the numbers of a light, and how they shade it. */
import { bladeEdges, irisRadius, poolOffsets, PRISM_SPREAD, type LightShape } from '#core/light/gate'
import { GOBO_PATTERNS } from '#core/light/goboOpenings'
import { GOBO_COUNT } from './goboSheet'

/** The numbers of a light by attribute of the shader. */
export const GATE_SIZES = { blade0: 3, blade1: 3, blade2: 3, blade3: 3, gobos: 4, prism: 4, gate: 4 } as const
export type GateName = keyof typeof GATE_SIZES
const NAMES = ['blade0', 'blade1', 'blade2', 'blade3', 'gobos', 'prism', 'gate'] as const
const varying = (name: GateName) => `v${name.charAt(0).toUpperCase()}${name.slice(1)}`

/** What the shader of corners declares of them, and hands on. */
export const GATE_ATTRIBUTES = NAMES.map(
  (name) => `attribute vec${GATE_SIZES[name]} ${name}; varying vec${GATE_SIZES[name]} ${varying(name)};`,
).join('\n  ')
export const GATE_PASSED_ON = NAMES.map((name) => `${varying(name)} = ${name};`).join(' ')

/** An edge no light is beyond. */
const FREE = [0, 0, 1]

/**
 * blade: normal and reach of an edge. gobos: pattern and angle in radians of two, 0 for open. prism:
 * facets (0 for none), angle, place. gate: radius of the iris, softness, and turns a second of the
 * first gobo and the prism.
 */
export function gateNumbers(shape: LightShape): ReadonlyMap<GateName, readonly number[]> {
  const edges = bladeEdges(shape)
  const edge = (i: number) => {
    const found = edges[i]
    return found ? [...found.normal, found.reach] : FREE
  }
  const gobo = (i: number) => {
    const found = shape.gobos[i]
    return found ? [GOBO_PATTERNS.indexOf(found.pattern), radians(found.turn.degrees)] : [0, 0]
  }
  const { prism } = shape
  const spins = [shape.gobos[0]?.turn.rpm ?? 0, prism?.turn.rpm ?? 0].map((rpm) => rpm / 60)
  return new Map<GateName, readonly number[]>([
    ['blade0', edge(0)],
    ['blade1', edge(1)],
    ['blade2', edge(2)],
    ['blade3', edge(3)],
    ['gobos', [...gobo(0), ...gobo(1)]],
    [
      'prism',
      [poolOffsets(shape).length * +(prism !== null), radians(prism?.turn.degrees ?? 0), prism?.place ?? 0.5, 0],
    ],
    ['gate', [irisRadius(shape), shape.softness, ...spins]],
  ])
}

const radians = (degrees: number) => (degrees * Math.PI) / 180

/**
 * How much light passes the gate at a point of it, as `gatePass(at, softness of edges)`, and where the
 * pools of a prism stand; as core/light/gate works it out.
 */
export const GATE_SHADER = /* glsl */ `
  uniform sampler2D goboSheet;
  uniform float seconds;
  varying vec3 vBlade0;
  varying vec3 vBlade1;
  varying vec3 vBlade2;
  varying vec3 vBlade3;
  varying vec4 vGobos;
  varying vec4 vPrism;
  varying vec4 vGate;
  const float ROUND = 6.28318530718;
  const float SPREAD = ${PRISM_SPREAD.toFixed(3)};

  vec2 turned(vec2 at, float angle) {
    float c = cos(angle);
    float s = sin(angle);
    return vec2(at.x * c + at.y * s, at.y * c - at.x * s);
  }
  float blade(vec3 edge, vec2 at, float soft) {
    return 1.0 - smoothstep(-soft, soft, dot(edge.xy, at) - edge.z);
  }
  /** A point of the picture is lit from where the gobo, turned back, is open. */
  float gobo(float pattern, float angle, vec2 at) {
    if (pattern < 0.5) return 1.0;
    vec2 on = turned(at, -angle);
    if (dot(on, on) > 1.0) return 0.0;
    return texture2D(goboSheet, vec2((floor(pattern + 0.5) + 0.5 + on.x * 0.49) / ${GOBO_COUNT}.0, 0.5 + on.y * 0.49)).r;
  }
  float gatePass(vec2 at) {
    float soft = 0.015 + 0.5 * vGate.y;
    float pass = blade(vBlade0, at, soft) * blade(vBlade1, at, soft) * blade(vBlade2, at, soft) * blade(vBlade3, at, soft);
    if (vGate.x < 0.999) pass *= 1.0 - smoothstep(vGate.x - soft, vGate.x + soft, length(at));
    float first = gobo(vGobos.x, vGobos.y + ROUND * vGate.z * seconds, at);
    float pattern = first * gobo(vGobos.z, vGobos.w, at);
    return pass * mix(pattern, 0.4, 0.9 * vGate.y * step(0.5, vGobos.x + vGobos.z));
  }
`
