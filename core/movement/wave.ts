/** What a wave adds to a level. */
import type { Wave } from './movement'
import { ofRound } from './place'
import { waveOf } from './wander'

/** From -½ to ½: half a wave's size below what the level is, up to half of it above. A round begins in the middle, rising. */
function heightAt({ wave, share, lag }: Wave, rounds: number): number {
  const part = ofRound(rounds)
  switch (wave) {
    case 'swing':
      return Math.sin(2 * Math.PI * part) / 2
    case 'even':
      return part < 0.25 ? part * 2 : part < 0.75 ? 1 - part * 2 : part * 2 - 2
    case 'rise':
      return ofRound(rounds + 0.5) - 0.5
    case 'on and off':
      return part < share ? 0.5 : -0.5
    case 'by chance':
      return waveOf(Math.round(lag * 1000), rounds) / 2
  }
}

/** A level with what a wave adds after so many rounds, within the range of its attribute. */
export function levelInWave(
  level: number,
  wave: Wave,
  rounds: number,
  range: { readonly min: number; readonly max: number },
): number {
  return Math.min(range.max, Math.max(range.min, level + heightAt(wave, rounds) * wave.size))
}
