/** What a route answers, asked over a real connection. */
import { createServer, type Server } from 'node:http'
import { createApp, createError, createRouter, toNodeListener } from 'h3'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { z } from 'zod'
import { cueId } from '#core/show/ids'
import { ApiError, defineOpenApi, paramOf, queryOf } from './api'
import { bodyOf } from './body'
import { log } from './log'

const body = z.strictObject({ name: z.string().min(1), numbers: z.array(z.number()).default([]) })
const query = z.object({ since: z.coerce.number().int().min(0) })
/** What the handler of /falls throws. */
let fault: unknown

const router = createRouter()
  .post(
    '/echo',
    defineOpenApi((event) => bodyOf(event, body)),
  )
  .get(
    '/since',
    defineOpenApi((event) => queryOf(event, query)),
  )
  .get(
    '/cues/:cue',
    defineOpenApi((event) => ({ cue: paramOf(event, 'cue', cueId) })),
  )
  .get(
    '/falls',
    defineOpenApi(() => {
      throw fault
    }),
  )

let server: Server
let url: string
const level = log.level
beforeAll(async () => {
  log.level = 'silent'
  server = createServer(toNodeListener(createApp().use(router)))
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
  const address = server.address()
  if (!address || typeof address === 'string') throw new Error('it listens nowhere')
  url = `http://127.0.0.1:${address.port}`
})
afterAll(async () => {
  log.level = level
  await new Promise((done) => server.close(done))
})

async function ask(path: string, init?: RequestInit) {
  const response = await fetch(url + path, init)
  return { status: response.status, body: await response.json() }
}
const post = (text: string | Uint8Array<ArrayBuffer>) => ask('/echo', { method: 'POST', body: text })
const refused = (status: number, code: string, message: RegExp, field?: string) => ({
  status,
  body: { error: { code, message: expect.stringMatching(message), ...(field && { field }) } },
})

describe('a request', () => {
  it('is read and checked: its body, its query and the parts of its route', async () => {
    expect(await post('{"name":"Bow"}')).toEqual({ status: 200, body: { name: 'Bow', numbers: [] } })
    expect(await ask('/since?since=12')).toEqual({ status: 200, body: { since: 12 } })
    expect(await ask(`/cues/${encodeURIComponent('cue-1')}`)).toEqual({ status: 200, body: { cue: 'cue-1' } })
  })

  it('that is not understood is answered with the place and the reason', async () => {
    expect(await post('{"name":')).toEqual(refused(400, 'bad input', /not valid JSON/))
    expect(await post('{"name":""}')).toMatchObject(refused(400, 'bad input', /^name: .+\.$/, 'name'))
    expect(await post('{"name":"Bow","numbers":[1,"2"]}')).toMatchObject(
      refused(400, 'bad input', /^numbers\.1: /, 'numbers.1'),
    )
    expect(await ask('/since?since=-1')).toMatchObject(refused(400, 'bad input', /^since: /, 'since'))
    expect(await ask('/cues/a%20b')).toEqual(refused(404, 'not found', /under this cue/))
  })

  it('may hold no text a database cannot keep', async () => {
    expect(await post(JSON.stringify({ name: 'B\u0000w' }))).toMatchObject(refused(400, 'bad input', /^name /, 'name'))
    expect(await post('{"name":"\\ud800"}')).toMatchObject(refused(400, 'bad input', /^name /, 'name'))
  })

  it('is cut off as soon as it is more than the server takes', async () => {
    const much = new Uint8Array(8_000_001).fill(32)
    expect(await post(much)).toEqual(refused(413, 'too large', /8 MB/))
    // Sent without its length it is counted as it comes.
    const drip = new ReadableStream({
      start(controller) {
        controller.enqueue(much)
        controller.close()
      },
    })
    const init = { method: 'POST', body: drip, duplex: 'half' } as const
    expect(await ask('/echo', init)).toEqual(refused(413, 'too large', /8 MB/))
  })
})

describe('a fault', () => {
  const falls = (thrown: unknown) => {
    fault = thrown
    return ask('/falls')
  }
  const ofDatabase = (code: string) => Object.assign(new Error(`what only a log should tell, ${code}`), { code })

  it('the caller can mend is told as it is', async () => {
    expect(await falls(new ApiError(409, { code: 'changed meanwhile', message: 'Look again.' }))).toEqual(
      refused(409, 'changed meanwhile', /^Look again\.$/),
    )
    expect(await falls(createError({ statusCode: 405, statusMessage: 'No', message: 'No' }))).toMatchObject({
      status: 405,
      body: { error: { code: 'bad request' } },
    })
  })

  it('of a database that is away may be tried again; of what it cannot hold, not as it is', async () => {
    for (const code of ['53100', '25006', '57P03', '53300', '08006', 'ECONNREFUSED'])
      expect(await falls(ofDatabase(code))).toEqual(refused(503, 'database away', /goes on by itself/))
    expect(await falls(new AggregateError([ofDatabase('ECONNREFUSED')]))).toMatchObject({ status: 503 })
    for (const code of ['22003', '23503', '23505'])
      expect(await falls(ofDatabase(code))).toEqual(refused(422, 'cannot be kept', /Nothing was changed/))
  })

  it('nobody foresaw tells nothing of what went on inside', async () => {
    for (const thrown of [new Error('secret password'), 'a word', null, ofDatabase('42P01')]) {
      const answered = await falls(thrown)
      expect(answered).toEqual(refused(500, 'internal', /nothing was changed/))
      expect(JSON.stringify(answered)).not.toContain('secret')
    }
  })
})
