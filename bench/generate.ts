/** A large show for benchmarks: every palette aims every fixture at one of its targets. */
import { paletteValueId } from '#core/show/compositeIds'
import { ShowBuilder } from '#demo/builder'
import { harbourHall } from '#demo/stage'
import { OSTREL_TYPES } from '#demo/types'
import { solveAim } from '#core/kinematics/inverse'
import { putCueValue } from '#core/cues/marks'
import { PLAIN_LIST } from '#core/commands/cues/addCueList'
import { Draft } from '#core/show/draft'
import { asCueId, asCueListId, asPaletteId, asTargetId, personId } from '#core/show/ids'
import { rigOf } from '#core/show/rig'
import { targetsOf } from '#core/show/targets'
import type { Show } from '#core/show/show'
import { vec3 } from '#core/geometry/vector'
import { seededRandom } from '#core/standIn/seededRandom'

export const PERSON = personId.parse('bench')
const TARGETS = 40
const ON_A_BAR = 20

/** Those that turn. */
const HEADS = OSTREL_TYPES.filter(({ has }) => has.includes('position'))

/** Of each of some types as many as of the others. */
export function generateShow(fixtures: number, palettes: number, types = HEADS): Show {
  const random = seededRandom(3)
  const builder = new ShowBuilder('bench', PERSON)
  builder.run('beginShow', { name: 'Bench', venue: harbourHall, types: [...OSTREL_TYPES] })
  const bars = Math.ceil(fixtures / ON_A_BAR)
  builder.run('importTables', {
    hangs: Array.from({ length: bars }, (_, i) => ({
      name: `Bar ${i + 1}`,
      form: 'bar' as const,
      origin: vec3(0, i - 4, 6 + random()),
      yaw: 0,
      rise: 0,
      length: 16,
    })),
    fixtures: Array.from({ length: fixtures }, (_, i) => ({
      number: i + 1,
      name: '',
      type: types[i % types.length]?.name ?? '',
      mode: null,
      hang: `Bar ${Math.floor(i / ON_A_BAR) + 1}`,
      along: (i % ON_A_BAR) * 0.75 - 7.2,
      out: 0,
      drop: 0.1,
      yaw: 0,
      pitch: 0,
      roll: 0,
      universe: null,
      address: null,
      note: '',
    })),
    targets: Array.from({ length: TARGETS }, (_, i) => ({
      name: `Place ${i + 1}`,
      position: vec3(random() * 12 - 6, random() * 9, random() * 2),
    })),
  })
  return withPalettes(builder.show, palettes)
}

function withPalettes(show: Show, palettes: number): Show {
  const draft = new Draft(show)
  const targets = [...targetsOf(show).values()]
  for (let i = 0; i < palettes; i++) {
    const id = asPaletteId(`p${i}`)
    const placed = targets[i % targets.length]
    if (!placed) continue
    draft.put('palette', id, {
      number: i + 1,
      name: `Palette ${i + 1}`,
      colour: 'brass',
      symbol: null,
      shelf: 'position',
      take: ['position'],
      heldBack: [],
      note: '',
      time: null,
    })
    for (const rigged of rigOf(show).values()) {
      const { side, pan } = solveAim(rigged.mount, placed.position)
      draft.put('paletteValue', paletteValueId(id, 'position', { own: rigged.id }), {
        palette: id,
        fixture: rigged.id,
        fixtureType: null,
        attribute: 'position',
        value: { kind: 'aim', target: asTargetId(placed.id), at: null, offset: vec3(0, 0, 0), choice: { side, pan } },
      })
    }
  }
  return draft.result()
}

/** Cues that each set the place, the intensity and the zoom of a part of the rig. */
export function withCues(show: Show, cues: number, setInEach: number): Show {
  const random = seededRandom(5)
  const draft = new Draft(show)
  const list = asCueListId('long')
  draft.put('cueList', list, { ...PLAIN_LIST, number: 2, name: 'Long' })
  const rigged = [...rigOf(show).values()]
  const palettes = [...show.all.palette.keys()].map(asPaletteId)
  const pick = <T>(all: readonly T[]) => all[Math.floor(random() * all.length)]
  for (let i = 0; i < cues; i++) {
    const cue = asCueId(`c${i}`)
    draft.put('cue', cue, {
      list,
      number: i + 1,
      name: `Cue ${i + 1}`,
      note: '',
      rise: 3,
      fall: 3,
      move: null,
      delay: 0,
      follow: 'wait',
      travel: 'angle',
      quiet: false,
    })
    const palette = pick(palettes)
    for (let n = 0; n < setInEach; n++) {
      const fixture = pick(rigged)?.id
      if (!fixture || !palette) continue
      putCueValue(draft, { cue, fixture, attribute: 'position', value: { kind: 'link', palette } })
      putCueValue(draft, { cue, fixture, attribute: 'intensity', value: { kind: 'number', number: random() } })
      putCueValue(draft, { cue, fixture, attribute: 'zoom', value: { kind: 'number', number: 8 + random() } })
    }
  }
  return draft.result()
}
