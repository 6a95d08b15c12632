/** The everyday jobs: how they are done with the fewest gestures, and what must have come of it. */
import type { Page } from '@playwright/test'
import { choose } from '#demo/choices'
import { rigOf } from '#core/show/rig'
import { entity, showRecordOf, type Show } from '#core/show/show'
import { middleOf, type GestureCounter } from './counter'

export interface Job {
  readonly name: string
  readonly room: 'focus' | 'cues'
  /** How many gestures it may take. */
  readonly wanted: number
  readonly play: (hand: GestureCounter) => Promise<void>
  /** What is not as it should be; null where everything is. `read` asks the server for the show. */
  readonly check: (read: () => Promise<Show>) => Promise<string | null>
}

const panel = (page: Page) => page.getByRole('complementary', { name: 'In hand' })
const targetMark = (page: Page, name: string) =>
  page
    .getByRole('img', { name: `Target ${name}`, exact: true })
    .locator('circle')
    .last()
const proposal = (page: Page) => page.getByRole('region', { name: 'Proposed change' })
const palettesNamed = (show: Show, name: RegExp) =>
  [...show.all.palette].filter(([, palette]) => name.test(palette.name)).map(([id]) => id)
const valuesOf = (show: Show, palette: string | undefined) =>
  [...show.all.paletteValue.values()].filter((stored) => stored.palette === palette)

/** Draws the rim of the pool by a part of its radius. */
async function drawRim(hand: GestureCounter, by: number): Promise<void> {
  const rim = hand.page.getByRole('img', { name: 'Rim of the pool' })
  await rim.waitFor()
  const box = await rim.boundingBox()
  if (!box) throw new Error('there is no pool')
  const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 }
  // A place on the rim, whatever way the ellipse lies.
  const at = await rim.evaluate((ellipse) => {
    if (!(ellipse instanceof SVGEllipseElement)) throw new Error('it is no ellipse')
    const matrix = ellipse.getScreenCTM()
    if (!matrix) throw new Error('it is not drawn')
    const [cx, cy, rx] = [ellipse.cx, ellipse.cy, ellipse.rx].map((length) => length.baseVal.value)
    const point = new DOMPoint((cx ?? 0) + (rx ?? 0), cy ?? 0).matrixTransform(matrix)
    return { x: point.x, y: point.y }
  })
  await hand.drag(at, { x: middle.x + (at.x - middle.x) * (1 + by), y: middle.y + (at.y - middle.y) * (1 + by) })
}

export const JOBS: readonly Job[] = [
  {
    name: 'aim six fixtures at one place and store it as a focus palette with its pool size',
    room: 'focus',
    wanted: 6,
    play: async (hand) => {
      const { page } = hand
      await hand.select('12-17')
      const handle = page.getByRole('img', { name: 'Handle of the light' })
      await handle.waitFor()
      await hand.drag(await middleOf(handle), await middleOf(targetMark(page, 'Moon path')))
      await drawRim(hand, 0.25)
      await hand.key('Alt+p')
      await page.getByRole('form', { name: 'Record a palette' }).waitFor()
      await hand.key('Enter')
      await page.getByRole('button', { name: /^Palette \d+ Moon path/ }).waitFor()
    },
    check: async (read) => {
      const show = await read()
      const made = palettesNamed(show, /^Moon path$/).find((id) => show.all.palette.get(id)?.shelf === 'focus')
      const values = valuesOf(show, made)
      const aims = values.filter(
        ({ value }) => value.kind === 'aim' && value.target === choose(show).target('Moon path'),
      )
      if (made === undefined) return 'no focus palette was made'
      const recorded = [...show.all.recordedFixture.values()].filter(({ palette }) => palette === made)
      if (aims.length === 0) return 'it holds no aim at the place'
      if (recorded.length !== 6) return `it was recorded with ${recorded.length} fixtures, not 6`
      return values.some(({ value }) => value.kind === 'pool') ? null : 'it holds no pool'
    },
  },
  {
    name: 'one symmetric fan into a palette',
    room: 'focus',
    wanted: 6,
    play: async (hand) => {
      const { page } = hand
      await hand.select('12-17')
      await hand.key('Alt+u')
      const spread = page.getByRole('slider', { name: 'Spread' })
      await spread.waitFor()
      const middle = await middleOf(spread)
      await hand.drag(middle, { x: middle.x + 24, y: middle.y })
      await hand.key('Alt+p')
      await page.getByRole('form', { name: 'Record a palette' }).waitFor()
      await hand.key('Enter')
      await page.getByRole('button', { name: /^Palette \d+ Mid bar profiles/ }).waitFor()
    },
    check: async (read) => {
      const show = await read()
      const [made] = palettesNamed(show, /^Mid bar profiles$/)
      const pans = valuesOf(show, made).flatMap(({ fixture, value }) =>
        fixture && value.kind === 'angles'
          ? [{ number: show.all.fixture.get(fixture)?.number ?? 0, pan: value.pan }]
          : [],
      )
      if (pans.length !== 6) return `it holds ${pans.length} angles, not 6`
      return new Set(pans.map(({ pan }) => pan.toFixed(2))).size > 1 ? null : 'nothing is spread'
    },
  },
  {
    name: 'tighten the pool in a stored palette, with all cues following',
    room: 'focus',
    wanted: 4,
    play: async (hand) => {
      const { page } = hand
      await hand.press(page.getByRole('button', { name: /^Palette 1 Dory bow/ }))
      await page.getByText('In hand: ').waitFor()
      await drawRim(hand, -0.3)
      await page.getByRole('button', { name: /^Update/ }).waitFor()
      await hand.key('Alt+j')
      await proposal(page).waitFor()
      await hand.key('Enter')
      await proposal(page).waitFor({ state: 'hidden' })
    },
    check: async (read) => {
      const show = await read()
      const [bow] = palettesNamed(show, /^Dory bow$/)
      const pools = valuesOf(show, bow).flatMap(({ value }) => (value.kind === 'pool' ? [value.diameter] : []))
      const inCues = [...show.all.cueValue.values()].filter(
        ({ attribute, value }) => attribute === 'zoom' && value.kind === 'link' && value.palette === bow,
      )
      if (pools.length === 0 || pools.some((diameter) => diameter > 1.5)) return `its pools are ${pools.join(', ')}`
      return inCues.length > 0 ? null : 'no cue uses it'
    },
  },
  {
    name: 'a set piece moved, all right',
    room: 'focus',
    wanted: 2,
    play: async (hand) => {
      const { page } = hand
      const hull = await middleOf(page.getByRole('img', { name: 'Set piece Jetty', exact: true }))
      await hand.drag({ x: hull.x + 30, y: hull.y - 12 }, { x: hull.x + 46, y: hull.y - 30 })
      await proposal(page).waitFor()
      await hand.key('Enter')
      await proposal(page).waitFor({ state: 'hidden' })
    },
    check: async (read) => {
      const show = await read()
      const jetty = choose(show).setPiece('Jetty')
      const moved = [...show.all.setPiecePlace.values()].filter(
        ({ setPiece, venue }) => setPiece === jetty && venue === showRecordOf(show).venue,
      )
      const before = [...show.all.setPiecePlace.values()].filter(({ setPiece }) => setPiece === jetty)
      return before.length > 1 && moved.some(({ position }) => position.y > 0.9)
        ? null
        : 'the jetty stands where it stood'
    },
  },
  {
    name: 'the next room',
    room: 'focus',
    wanted: 3,
    play: async (hand) => {
      const { page } = hand
      await hand.press(page.getByRole('button', { name: /show menu/ }))
      await hand.press(page.getByRole('menuitem', { name: 'Quarry Playhouse' }))
      await proposal(page).waitFor()
      await hand.key('Enter')
      await page.getByRole('button', { name: /at Quarry Playhouse.*show menu/ }).waitFor()
    },
    check: async (read) => {
      const show = await read()
      return entity(show, 'venue', showRecordOf(show).venue).name === 'Quarry Playhouse'
        ? null
        : 'it plays where it played'
    },
  },
  {
    name: 'straight instead of an arc for a cue',
    room: 'cues',
    wanted: 2,
    play: async (hand) => {
      const { page } = hand
      await hand.press(page.getByRole('button', { name: 'Wave one' }))
      await hand.choose(page.getByLabel('Light travels'), 'straight')
      await page.getByRole('button', { name: /^Undo: / }).waitFor()
    },
    check: async (read) => {
      const show = await read()
      return show.all.cue.get(choose(show).cue(1, 14.5))?.travel === 'straight' ? null : 'it goes by angle'
    },
  },
  {
    name: 'only the positions of some fixtures from an old cue',
    room: 'focus',
    wanted: 5,
    play: async (hand) => {
      const { page } = hand
      await hand.select('11-14')
      await hand.key('Alt+Shift+i')
      const take = page.getByRole('form', { name: 'Take into the hand' })
      await hand.choose(take.getByLabel('Cue', { exact: true }), 'Main 8 Down to the jetty')
      await hand.press(take.getByRole('button', { name: 'Take only position' }))
      await panel(page).getByText('4 fixtures, position').waitFor()
    },
    check: async (read) => {
      const show = await read()
      const held = [...show.all.handValue.values()]
      const numbers = held.map(({ fixture }) => rigOf(show).get(fixture)?.fixture.number ?? 0).sort((a, b) => a - b)
      if (held.some(({ attribute }) => attribute !== 'position')) return 'more than positions came'
      return numbers.join() === '11,12,13,14' ? null : `it came for ${numbers.join(', ')}`
    },
  },
]
