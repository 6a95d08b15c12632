import { describe, expect, it } from 'vitest'
import { isForeignHost, isForeignOrigin, isFromThisMachine } from './origin'

describe('the Host of a request', () => {
  it.each([
    ['127.0.0.1:4310', '127.0.0.1', false],
    ['localhost', '::1', false],
    ['[::1]:4310', '::1', false],
    ['LOCALHOST:80', '127.0.0.1', false],
    ['desk.example:4310', '192.0.2.7', false],
    ['192.0.2.7:4310', '192.0.2.7', false],
    ['192.0.2.7:4310', '::ffff:192.0.2.7', false],
    ['[fd00::2]:4310', 'fd00::2', false],
    ['192.0.2.8:4310', '192.0.2.7', true],
    ['elsewhere.example', '127.0.0.1', true],
    ['127.0.0.1.elsewhere.example', '127.0.0.1', true],
    ['192.0.2.7', undefined, true],
    [undefined, '127.0.0.1', true],
  ])('%s at %s is foreign: %s', (host, cameInAt, foreign) =>
    expect(isForeignHost(host, ['desk.example'], cameInAt)).toBe(foreign),
  )
})

describe('the origin of a write', () => {
  const host = '127.0.0.1:4310'
  it.each([
    ['http://127.0.0.1:4310', undefined, false],
    ['http://127.0.0.1:9999', undefined, true],
    ['http://elsewhere.example', undefined, true],
    ['null', undefined, true],
    [undefined, undefined, false],
    [undefined, 'same-origin', false],
    [undefined, 'cross-site', true],
    [undefined, 'same-site', true],
  ])('%s with fetch site %s is foreign: %s', (origin, site, foreign) =>
    expect(isForeignOrigin(origin, host, site)).toBe(foreign),
  )
})

describe('this very machine', () => {
  const host = 'localhost:4310'
  it.each([
    ['127.0.0.1', { host }, true],
    ['::ffff:127.0.0.1', { host: '127.0.0.1:4310' }, true],
    ['::1', { host: '[::1]:4310' }, true],
    ['192.0.2.9', { host }, false],
    ['127.0.0.1', { host: '192.0.2.7:4310' }, false],
    ['127.0.0.1', { host, 'x-forwarded-for': '192.0.2.9' }, false],
    ['127.0.0.1', { host, via: '1.1 front' }, false],
    ['127.0.0.1', {}, false],
    [undefined, { host }, false],
  ])('%s asking with %o: %s', (remote, headers, isHere) => expect(isFromThisMachine(remote, headers)).toBe(isHere))
})
