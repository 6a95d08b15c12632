import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join, normalize } from 'node:path'
import { describe, expect, it } from 'vitest'

/** Lower layers know nothing of higher ones. */
const LAYERS = [
  ['geometry'],
  ['kinematics', 'light'],
  ['show', 'journal'],
  ['selection', 'palettes', 'cues'],
  ['hand'],
  ['groups'],
  ['venue', 'patch'],
  ['refocus', 'rig', 'output', 'history', 'find'],
  ['commands'],
  ['exchange', 'access'],
]
const rankOf = (folder: string) => LAYERS.findIndex((layer) => layer.includes(folder))

function sources(folder: string): string[] {
  return readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.(ts|vue)$/.test(name))
    .map((name) => join(folder, name))
}

function importsOf(file: string): string[] {
  return [...readFileSync(file, 'utf8').matchAll(/(?:from|import)\s+'([^']+)'/g)].map((match) => match[1] ?? '')
}

describe('the layers', () => {
  it('of core import downwards only, and nothing of Node, Vue or the rest of the house', () => {
    const upward: string[] = []
    for (const file of sources('core').filter((name) => !name.endsWith('.test.ts'))) {
      const folder = file.split('/')[1] ?? ''
      expect([file, rankOf(folder)]).not.toEqual([file, -1])
      for (const name of importsOf(file)) {
        if (!name.startsWith('.')) {
          if (!['zod', 'fast-deep-equal'].includes(name)) upward.push(`${file} takes ${name}`)
          continue
        }
        const imported = normalize(join(dirname(file), name)).split('/')[1] ?? ''
        if (rankOf(imported) > rankOf(folder)) upward.push(`${file} takes ${name}`)
      }
    }
    expect(upward).toEqual([])
  })

  it('of the house: the app takes nothing of the server, the server nothing of the app', () => {
    const crossing = [...sources('app'), ...sources('server')].flatMap((file) =>
      importsOf(file)
        .filter((name) => (file.startsWith('app') ? /\bserver\//.test(name) : /(^~\/|\bapp\/)/.test(name)))
        .map((name) => `${file} takes ${name}`),
    )
    expect(crossing).toEqual([])
  })
})
