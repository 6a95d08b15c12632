import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs'
import { dirname, join, normalize } from 'node:path'
import { describe, expect, it } from 'vitest'

/** Lower layers know nothing of higher ones. */
const LAYERS = [
  ['geometry', 'attributes', 'colour'],
  ['kinematics', 'light', 'movement'],
  ['show', 'journal'],
  ['venue'],
  ['selection', 'palettes', 'cues'],
  ['hand', 'travel', 'drawing'],
  ['groups'],
  ['patch'],
  ['tracking'],
  ['refocus', 'survey', 'rig', 'output', 'history', 'find'],
  ['standIn'],
  ['commands'],
  ['exchange', 'access', 'control', 'paper'],
]
/** What core takes that is not its own: pure computation, nothing of a machine. */
const TAKEN_BY_CORE = [
  'zod',
  'fast-deep-equal',
  'd3-array',
  'd3-polygon',
  'poly-decomp-es',
  'culori/fn',
  'ml-matrix',
  '@xmldom/xmldom',
  'pdfmake/interfaces',
]
const rankOf = (folder: string) => LAYERS.findIndex((layer) => layer.includes(folder))

function sources(folder: string): string[] {
  return readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.(ts|vue)$/.test(name))
    .map((name) => join(folder, name))
}

const isTest = (file: string) => file.endsWith('.test.ts')
/** "app/stores" of "app/stores/show.ts". */
const folderOf = (file: string) => file.split('/').slice(0, 2).join('/')

/** Folders of app and server, and those they take nothing of. */
const NOT_TAKEN: Readonly<Record<string, readonly string[]>> = {
  'app/session': ['app/stores', 'app/composables', 'app/components', 'app/pages'],
  'app/keys': ['app/stores', 'app/composables', 'app/components', 'app/pages'],
  'app/space': ['app/stores', 'app/composables', 'app/components', 'app/pages'],
  'app/drawing': ['app/stores', 'app/components', 'app/pages'],
  'app/stores': ['app/components', 'app/pages'],
  'app/composables': ['app/components', 'app/pages'],
  'app/components': ['app/pages'],
  'server/database': ['server/shows', 'server/live', 'server/output', 'server/access', 'server/api'],
  'server/live': ['server/http', 'server/api'],
  'server/exchange': ['server/shows', 'server/http', 'server/api'],
  'server/shows': ['server/access', 'server/api'],
  'server/http': ['server/api'],
  'server/access': ['server/api'],
}

/** The files of the house that a file imports. */
function filesTaken(file: string): string[] {
  return importsOf(file).flatMap((name) => {
    const path = name.startsWith('.') ? join(dirname(file), name) : name.replace(/^#core\//, 'core/')
    return ['', '.ts', '.vue'].map((ending) => path + ending).filter((one) => existsSync(one) && statSync(one).isFile())
  })
}

/** One circle for each import that closes one, first and last file the same. */
function circlesIn(graph: ReadonlyMap<string, readonly string[]>): string[] {
  const circles: string[] = []
  const done = new Set<string>()
  const visit = (file: string, way: readonly string[]) => {
    const at = way.indexOf(file)
    if (at >= 0) circles.push([...way.slice(at), file].join(' → '))
    if (at >= 0 || done.has(file)) return
    for (const next of graph.get(file) ?? []) visit(next, [...way, file])
    done.add(file)
  }
  for (const file of graph.keys()) visit(file, [])
  return circles
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
          if (!TAKEN_BY_CORE.includes(name)) upward.push(`${file} takes ${name}`)
          continue
        }
        const imported = normalize(join(dirname(file), name)).split('/')[1] ?? ''
        if (rankOf(imported) > rankOf(folder)) upward.push(`${file} takes ${name}`)
      }
    }
    expect(upward).toEqual([])
  })

  it('of app and server keep to their own side of each other', () => {
    const crossing = [...sources('app'), ...sources('server')].flatMap((file) => {
      const from = folderOf(file)
      return filesTaken(file)
        .filter((taken) => (NOT_TAKEN[from] ?? []).includes(folderOf(taken)))
        .map((taken) => `${file} takes ${taken}`)
    })
    expect(crossing).toEqual([])
  })

  it('have no circles, not even of types', () => {
    const graph = new Map(
      ['core', 'server', 'app'].flatMap(sources).flatMap((file) => (isTest(file) ? [] : [[file, filesTaken(file)]])),
    )
    expect(circlesIn(graph)).toEqual([])
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
