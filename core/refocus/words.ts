/** Effects in words, as they are said before a change is made. */
import type { Effects } from './effects'

function count(n: number, one: string, many: string): string {
  return `${n} ${n === 1 ? one : many}`
}

/** "2 palettes, 14 cues follow; 1 fixture falls out of reach; 3 values stay behind". */
export function effectsInWords(effects: Effects): string {
  const { cues, losingReach, absent, staysBehind, looks, members } = effects
  const palettes = new Set([...effects.palettes, ...effects.changed, ...members].map(({ palette }) => palette))
  const parts =
    palettes.size + cues.length === 0 ? [looksInWords(looks.length)] : [followInWords(palettes.size, cues.length)]
  const joining = new Set(members.flatMap((palette) => palette.joining)).size
  const leaving = new Set(members.flatMap((palette) => palette.leaving)).size
  if (joining > 0) parts.push(count(joining, 'fixture comes in', 'fixtures come in'))
  if (leaving > 0) parts.push(count(leaving, 'fixture is taken out', 'fixtures are taken out'))
  if (losingReach.length > 0) parts.push(`${count(losingReach.length, 'fixture falls', 'fixtures fall')} out of reach`)
  if (absent.length > 0) parts.push(`${count(absent.length, 'fixture does not hang', 'fixtures do not hang')} there`)
  if (staysBehind.length > 0)
    parts.push(`${count(staysBehind.length, 'value stays', 'values stay')} behind (raw angles)`)
  return parts.join('; ')
}

function followInWords(palettes: number, cues: number): string {
  if (cues === 0) return `${count(palettes, 'palette changes', 'palettes change')}, no cue follows`
  const following = count(cues, 'cue', 'cues')
  if (palettes === 0) return `${following} ${cues === 1 ? 'follows' : 'follow'}`
  return `${count(palettes, 'palette', 'palettes')}, ${following} follow`
}

function looksInWords(looks: number): string {
  return looks === 0 ? 'nothing aimed changes' : `${count(looks, 'cue looks', 'cues look')} different`
}
