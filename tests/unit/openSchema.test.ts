import { readFileSync } from 'node:fs'
import { text } from 'node:stream/consumers'
import { expect, it } from 'vitest'
import { openShowDocument, openShowSchema } from '#core/exchange/openShow'
import { richDesk } from '../support/richShow'
import { openJson } from '../../server/live/openJson'

it('the schema that is published is the one that is meant; npm run schema writes it anew', () => {
  const published: unknown = JSON.parse(readFileSync('docs/show.schema.json', 'utf8'))
  expect(published).toEqual(openShowSchema())
})

it('a show written piece by piece is the whole document', async () => {
  const { show } = richDesk()
  const madeAt = '2031-05-02T18:00:00.000Z'
  expect(JSON.parse(await text(openJson(show, new Map(), madeAt)))).toEqual(openShowDocument(show, madeAt))
})
