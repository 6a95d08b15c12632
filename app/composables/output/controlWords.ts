/** What controls do, in words. */
import { CONTROL_DEEDS, NEEDED_FOR, type ControlBinding, type ControlDeed } from '#core/show/entities'
import type { Show } from '#core/show/show'

const WORDS: Readonly<Record<ControlDeed, string>> = {
  go: 'starts the next cue of',
  back: 'goes back in',
  pause: 'pauses',
  'list master': 'is the master of',
  'grand master': 'is the grand master of',
  recall: 'recalls',
  nudge: 'nudges along',
}
export const DEED_OPTIONS = CONTROL_DEEDS.map((key) => ({ key, name: WORDS[key] }))

export const AXIS_OPTIONS = [
  { key: 'x', name: 'stage left (x)' },
  { key: 'y', name: 'upstage (y)' },
  { key: 'z', name: 'up (z)' },
] as const

/** "recalls Dory bow", "nudges along x by 0.05 m for each step". */
export function bindingInWords(show: Show, binding: ControlBinding): string {
  return `${WORDS[binding.does]} ${withWhat(show, binding)}`
}

function withWhat({ all }: Show, { does, list, output, palette, axis, metres }: ControlBinding): string {
  switch (NEEDED_FOR[does]) {
    case 'list':
      return all.cueList.get(list ?? '')?.name ?? ''
    case 'output':
      return all.output.get(output ?? '')?.name ?? ''
    case 'palette':
      return all.palette.get(palette ?? '')?.name ?? ''
    case 'axis':
      return `${axis} by ${metres} m for each 1`
  }
}

/** The addresses everybody has, and what comes with them. */
export const KNOWN_ADDRESSES = [
  { address: '/list/1/go', comes: '', does: 'the next cue of list 1; runs a paused one on' },
  { address: '/list/1/back', comes: '', does: 'the cue before' },
  { address: '/list/1/pause', comes: '', does: 'stops it where it is' },
  { address: '/list/1/cue', comes: 'number', does: 'goes to a cue in its own time' },
  { address: '/list/1/master', comes: '0 to 1', does: 'the master of the list' },
  { address: '/master', comes: '0 to 1', does: 'the grand master of every output' },
  { address: '/output/Name/master', comes: '0 to 1', does: 'that of one; spaces are _' },
  { address: '/select', comes: 'text', does: 'selects, as it is typed' },
  { address: '/palette/12/recall', comes: '', does: 'for what is selected, else all it holds' },
  { address: '/nudge', comes: 'x y z', does: 'moves light by metres' },
  { address: '/nudge/x', comes: 'metres', does: 'along one axis' },
  { address: '/level', comes: '0 to 1', does: 'the intensity of what is selected' },
  { address: '/clear', comes: '', does: 'lets go of the hand' },
] as const
