/** Cue text that is good but for some places: whatever is read of it can be taken, and leaves a sound show. */
import { expect, it } from 'vitest'
import { FAMILIES } from '#core/attributes/families'
import { listsInOrder } from '#core/cues/tracking'
import { cuesAsText } from '#core/exchange/cueText/cuesAsText'
import { cuesFromText } from '#core/exchange/cueText/cuesFromText'
import { readCueText, writeCueText } from '#core/exchange/cueText/cueText'
import { faultsIn } from '#core/show/soundness'
import { mutatedText } from '../support/mutations'
import { randomFrom } from '../support/randomCommands'
import { richDesk } from '../support/richShow'
import { seeds, Tally } from '../support/rounds'

const tally = new Tally('Cue text with odd places')

it('is read, told of, and taken', () => {
  const { show } = richDesk()
  const [list] = listsInOrder(show)
  if (!list) throw new Error('there is no list')
  const whole = writeCueText([...cuesAsText(show, list.id)], 'Rich', ['Something'])
  for (const seed of seeds(50)) {
    const random = randomFrom(seed)
    const desk = richDesk()
    const steps = cuesFromText(desk.show, readCueText(mutatedText(whole, random)), {
      families: FAMILIES,
      isTied: random() < 0.3,
    })
    let step = steps.next()
    while (step.done !== true) step = steps.next()
    const { cues, notes } = step.value
    tally.count('texts read')
    if (notes.length > 0) tally.count('with something said')
    if (cues.length === 0) continue
    desk.do('takeCues', { number: 777, name: 'Odd', cues: [...cues] })
    tally.count('cues taken', cues.length)
    expect([seed, faultsIn(desk.show)]).toEqual([seed, []])
  }
})
