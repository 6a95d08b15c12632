/** A show as plain JSON, checked by a validator that is not ours. */
import Ajv from 'ajv/dist/2020'
import { beforeAll, describe, expect, it } from 'vitest'
import { richDesk } from '../../tests/support/richShow'
import { buildSaltLantern } from '#demo/saltLantern'
import { showId } from '../show/ids'
import type { Show } from '../show/show'
import { openShowDocument, openShowSchema } from './openShow'
import { readShowDocument } from './showFile'

const MADE_AT = '2031-05-02T18:00:00.000Z'
/** As it comes out of a file. */
const written = (show: Show): unknown => JSON.parse(JSON.stringify(openShowDocument(show, MADE_AT)))
const SHOWS = [
  ['the demo', buildSaltLantern('open')],
  ['a show with everything in it', richDesk().show],
] as const

let isValid: (document: unknown) => boolean
beforeAll(() => {
  const validate = new Ajv({ allErrors: true, validateFormats: false, strict: false }).compile(openShowSchema())
  isValid = (document) => validate(document) === true
})

describe.each(SHOWS)('%s', (_, show) => {
  it('is what the schema says', () => {
    expect(isValid(written(show))).toBe(true)
  })

  it('is the same after it was written and read, and written again', () => {
    const read = readShowDocument(written(show), showId.parse(show.id))
    if (!read.ok) throw new Error(read.message)
    expect(written(read.show)).toEqual(written(show))
  })
})

it('what is no show is told from one', () => {
  const text = JSON.stringify(written(SHOWS[1][1]))
  const broken = [
    text.replace('"rhopander show"', '"another show"'),
    text.replace(/"intensityRule":"(highest|latest)"/, '"intensityRule":"loudest"'),
    text.replace(/"isOn":true/, '"isOn":"yes"'),
    text.replace(/"number":11,/, ''),
    text.replace('"contents":{', '"contents":{"ghost":[],'),
  ]
  for (const one of broken) {
    expect(one).not.toBe(text)
    expect(isValid(JSON.parse(one))).toBe(false)
  }
})
