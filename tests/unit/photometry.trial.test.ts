/** Photometric files that are good but for some places: what is read fits a type, and all else is refused in words. */
import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { readPhotometry } from '#core/exchange/photometry/photometry'
import { optics } from '#core/show/entities'
import { mutatedText } from '../support/mutations'
import { randomFrom } from '../support/randomCommands'
import { seeds, Tally } from '../support/rounds'

const FILES = ['lopsided.ies', 'lopsided.ldt'].map((name) => readFileSync(`tests/files/${name}`, 'utf8'))
const tally = new Tally('Photometry with odd places')

it('is read to what the show takes, or refused', () => {
  for (const seed of seeds(100))
    for (const file of FILES) {
      const reading = readPhotometry(mutatedText(file, randomFrom(seed)))
      tally.count(reading.ok ? 'read' : 'refused')
      if (reading.ok)
        expect([seed, optics.safeParse([reading.photometry.row]).error?.issues]).toEqual([seed, undefined])
      else expect(reading.message).toMatch(/\.$/)
    }
})
