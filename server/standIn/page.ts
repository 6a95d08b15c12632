/** The stand-in's own page and what it asks for, on this machine alone. */
import { createServer, type Server } from 'node:http'
import {
  createApp,
  createError,
  createEventStream,
  createRouter,
  defineEventHandler,
  fromNodeMiddleware,
  getRequestHeader,
  readBody,
  toNodeListener,
} from 'h3'
import sirv from 'sirv'
import { LOOPBACK } from '#core/show/entities'
import { howOff } from '#core/standIn/hiddenErrors'
import { movesToTell } from '#core/standIn/scene'
import { isForeignHost, isForeignOrigin } from '../http/origin'
import type { Practice } from './practice'

const PAGE = '/stand-in/'

/** Turns away what another site makes a browser send. */
const guard = defineEventHandler((event) => {
  const host = getRequestHeader(event, 'host')
  const isForeign =
    isForeignHost(host, [], undefined) ||
    (event.method !== 'GET' &&
      isForeignOrigin(getRequestHeader(event, 'origin'), host, getRequestHeader(event, 'sec-fetch-site')))
  if (isForeign) throw createError({ statusCode: 403, message: 'This request does not come from the stand-in’s page.' })
})

function apiOf(practice: Practice) {
  return createRouter()
    .get(
      '/',
      defineEventHandler(({ node: { res } }) => {
        res.writeHead(302, { location: PAGE }).end()
      }),
    )
    .get(
      '/api/stand-in',
      defineEventHandler(() => practice.scene()),
    )
    .put(
      '/api/stand-in',
      defineEventHandler(async (event) => {
        const read = howOff.safeParse(await readBody(event))
        if (!read.success) throw createError({ statusCode: 400, message: 'It cannot be off like that.' })
        practice.hangAnew(read.data)
        return read.data
      }),
    )
    .get(
      '/api/stand-in/moves',
      defineEventHandler((event) => {
        const stream = createEventStream(event)
        const stop = practice.subscribe({
          begun: () => void stream.push({ event: 'begun', data: '' }),
          moved: (values, turning) =>
            void stream.push({ event: 'moves', data: JSON.stringify({ moves: movesToTell(values), turning }) }),
        })
        stream.onClosed(stop)
        return stream.send()
      }),
    )
}

/** So many ports are tried. */
const PORTS = 20

/** Serves the page from the folder `files` on the first free port from one on; resolves to its address once it answers. */
export async function servePage(practice: Practice, files: string, first: number): Promise<string> {
  const app = createApp()
    .use(guard)
    .use(apiOf(practice))
    .use(fromNodeMiddleware(sirv(files, { dev: false, etag: true })))
  const server = createServer(toNodeListener(app))
  for (let port = first; port < first + PORTS; port += 1)
    if (await listensOn(server, port)) return `http://${LOOPBACK}:${port}`
  throw new Error(`Ports ${first} to ${first + PORTS - 1} are all taken. Stop something that listens there.`)
}

function listensOn(server: Server, port: number): Promise<boolean> {
  return new Promise((resolve, reject) => {
    const fail = (error: NodeJS.ErrnoException) => (error.code === 'EADDRINUSE' ? resolve(false) : reject(error))
    server.once('error', fail)
    server.listen(port, LOOPBACK, () => {
      server.off('error', fail)
      resolve(true)
    })
  })
}
