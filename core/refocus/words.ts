/** Effects in words, as they are said before a change is made. */
import type { Effects } from './effects'
import { counted, plural } from '../show/counted'

/** "2 palettes, 14 cues follow; 1 fixture falls out of reach; 3 values stay behind". */
export function effectsInWords(effects: Effects): string {
  const { cues, losingReach, absent, staysBehind, looks, members } = effects
  const palettes = new Set([...effects.palettes, ...effects.changed, ...members].map(({ palette }) => palette))
  const parts =
    palettes.size + cues.length === 0 ? [looksInWords(looks.length)] : [followInWords(palettes.size, cues.length)]
  const joining = new Set(members.flatMap((palette) => palette.joining)).size
  const leaving = new Set(members.flatMap((palette) => palette.leaving)).size
  if (joining > 0) parts.push(counted(joining, 'fixture comes in', 'fixtures come in'))
  if (leaving > 0) parts.push(counted(leaving, 'fixture is taken out', 'fixtures are taken out'))
  if (losingReach.length > 0)
    parts.push(`${counted(losingReach.length, 'fixture falls', 'fixtures fall')} out of reach`)
  if (absent.length > 0) parts.push(`${counted(absent.length, 'fixture does not hang', 'fixtures do not hang')} there`)
  if (staysBehind.length > 0)
    parts.push(`${counted(staysBehind.length, 'value stays', 'values stay')} behind (raw angles)`)
  return parts.join('; ')
}

function followInWords(palettes: number, cues: number): string {
  if (cues === 0) return `${counted(palettes, 'palette changes', 'palettes change')}, no cue follows`
  const following = counted(cues, 'cue', 'cues')
  if (palettes === 0) return `${following} ${plural(cues, 'follows', 'follow')}`
  return `${counted(palettes, 'palette', 'palettes')}, ${following} follow`
}

function looksInWords(looks: number): string {
  return looks === 0 ? 'nothing aimed changes' : `${counted(looks, 'cue looks', 'cues look')} different`
}
