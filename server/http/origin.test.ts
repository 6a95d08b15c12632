import { describe, expect, it } from 'vitest'
import { isForeignHost, isForeignOrigin } from './origin'

describe('the Host of a request', () => {
  it.each([
    ['127.0.0.1:4310', false],
    ['localhost', false],
    ['[::1]:4310', false],
    ['LOCALHOST:80', false],
    ['desk.example:4310', false],
    ['elsewhere.example', true],
    ['127.0.0.1.elsewhere.example', true],
    [undefined, true],
  ])('%s is foreign: %s', (host, foreign) => expect(isForeignHost(host, ['desk.example'])).toBe(foreign))
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
