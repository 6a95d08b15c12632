/**
 * Turns away requests another site makes a browser send: the Host must be one we serve (a foreign
 * name pointed at this machine is not), and a write must come from our own page.
 */
import { defineEventHandler, getRequestHeader, setResponseStatus } from 'h3'
import { isForeignHost, isForeignOrigin } from '../http/origin'

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS'])

export default defineEventHandler((event) => {
  const host = getRequestHeader(event, 'host')
  const allowed = useRuntimeConfig(event).allowedHosts.split(',')
  const isForeign =
    isForeignHost(host, allowed, event.node.req.socket.localAddress) ||
    (!SAFE.has(event.method) &&
      isForeignOrigin(getRequestHeader(event, 'origin'), host, getRequestHeader(event, 'sec-fetch-site')))
  if (!isForeign) return
  setResponseStatus(event, 403)
  return {
    error: {
      code: 'foreign',
      message: 'This request does not come from Rhopander’s own page; it was not carried out.',
    },
  }
})
