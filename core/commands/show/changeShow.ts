/** Says how colours go over in fades, how cues move heads where nothing else is said, and when moves in the dark are made. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { showRecord } from '../../show/entities'
import { command, done } from '../command'

const WORDS = {
  'by look': 'colours fade as they look',
  'by parts': 'colours fade part by part',
  angle: 'light travels by angle',
  straight: 'light travels straight',
  early: 'moves in the dark early',
  late: 'moves in the dark late',
} as const

export const changeShow = command({
  input: z
    .strictObject({
      colourFade: showRecord.shape.colourFade.unwrap(),
      travel: showRecord.shape.travel.unwrap(),
      darkWhen: showRecord.shape.darkWhen.unwrap(),
      darkMargin: showRecord.shape.darkMargin.unwrap(),
    })
    .partial(),
  undoable: true,
  run(show, { colourFade, travel, darkWhen, darkMargin }) {
    const draft = new Draft(show)
    if (colourFade) draft.set('show', show.id, 'colourFade', colourFade)
    if (travel) draft.set('show', show.id, 'travel', travel)
    if (darkWhen) draft.set('show', show.id, 'darkWhen', darkWhen)
    if (darkMargin !== undefined) draft.set('show', show.id, 'darkMargin', darkMargin)
    const said = [colourFade, travel, darkWhen].flatMap((choice) => (choice ? WORDS[choice] : []))
    const margin = darkMargin === undefined ? [] : [`${darkMargin} s between light and moves in the dark`]
    return done(draft, [...said, ...margin].join(', '))
  },
})
