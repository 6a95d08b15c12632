/** The rooms of a show, by their paths. */
export const ROOMS = [
  { path: 'rig', name: 'Rig' },
  { path: 'focus', name: 'Focus' },
  { path: 'cues', name: 'Cues' },
  { path: 'refocus', name: 'Refocus' },
  { path: 'output', name: 'Output' },
  { path: 'paper', name: 'Paper' },
] as const

export const RIG_PARTS = [
  { path: '', name: 'Stage' },
  { path: '/types', name: 'Types' },
  { path: '/patch', name: 'Patch' },
  { path: '/check', name: 'Check' },
] as const
