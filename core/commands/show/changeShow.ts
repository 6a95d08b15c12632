/** Says how colours go over in fades, and how cues move heads where nothing else is said. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { showRecord } from '../../show/entities'
import { command, done } from '../command'

const WORDS = {
  'by look': 'colours fade as they look',
  'by parts': 'colours fade part by part',
  angle: 'light travels by angle',
  straight: 'light travels straight',
} as const

export const changeShow = command({
  input: z
    .strictObject({ colourFade: showRecord.shape.colourFade.unwrap(), travel: showRecord.shape.travel.unwrap() })
    .partial(),
  undoable: true,
  run(show, { colourFade, travel }) {
    const draft = new Draft(show)
    if (colourFade) draft.set('show', show.id, 'colourFade', colourFade)
    if (travel) draft.set('show', show.id, 'travel', travel)
    const said = [colourFade, travel].flatMap((choice) => (choice ? WORDS[choice] : []))
    return done(draft, said.join(', '))
  },
})
