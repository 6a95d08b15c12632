import type { Page } from '@playwright/test'
import { FIXTURES, HANGS } from '#demo/rig'
import { harbourHall, SET_PIECES, TARGETS, type SetPieceAt, type TargetAt } from '#demo/stage'
import { buildSaltLantern } from '#demo/saltLantern'
import { add, type Vec3 } from '#core/geometry/vector'
import { solveAim } from '#core/kinematics/inverse'
import type { HangRow } from '#core/commands/shared/tableRows'
import type { Solid } from '#core/show/entities'
import { rigOf } from '#core/show/rig'
import { entity, showRecordOf, type Show } from '#core/show/show'
import { pointOn, targetsOf } from '#core/show/targets'
import { prismsOnStage } from '#core/venue/solids'
import { readSnapshot } from '../../app/session/responses'
import { outlineInWords } from '#core/venue/outlineText'
import { drag, expect, middle, test } from './app'

const panel = (page: Page) => page.getByRole('complementary', { name: 'Properties' })
const n = (value: number) => String(Number(value.toFixed(6)))

/** Fills fields of a form by their labels, as a person tabbing through it. */
async function fill(page: Page, form: string, fields: Readonly<Record<string, string>>): Promise<void> {
  for (const [label, text] of Object.entries(fields))
    await panel(page).getByRole('form', { name: form }).getByLabel(label, { exact: true }).fill(text)
}

/** Types into a field that keeps by itself, and waits until it stands. */
async function keep(page: Page, label: string, text: string): Promise<void> {
  const field = panel(page).getByLabel(label, { exact: true })
  await field.fill(text)
  await field.blur()
  await expect(field).toHaveAttribute('aria-invalid', 'false')
}

async function add1(page: Page, what: string): Promise<void> {
  await page.keyboard.press('Escape')
  await page.keyboard.press('Escape')
  await panel(page).getByRole('button', { name: what, exact: true }).click()
}

const FORMS = { bar: 'Bar', bridge: 'Bridge', boom: 'Boom', floor: 'Floor row' } as const

async function hang(page: Page, { name, form, origin, yaw, rise, length }: HangRow): Promise<void> {
  await add1(page, 'Hang')
  await panel(page).getByLabel('Kind').selectOption(FORMS[form])
  await fill(page, 'New hang', {
    Name: name,
    'Middle, across, m': n(origin.x),
    'Upstage, m': n(origin.y),
    'Trim height, m': n(origin.z),
    'Length, m': n(length),
    'Turned, °': n(yaw),
    'Rising, °': n(rise),
  })
  await panel(page).getByRole('button', { name: 'Hang it' }).click()
  await expect(panel(page).getByRole('heading', { name })).toBeVisible()
}

async function row(page: Page, hangName: string): Promise<void> {
  const fixtures = FIXTURES.filter((fixture) => fixture.hang === hangName)
  const [first, second] = fixtures
  if (!first) throw new Error(`nothing hangs on ${hangName}`)
  await add1(page, 'Row of fixtures')
  const form = panel(page).getByRole('form', { name: 'Row of fixtures' })
  await form.getByLabel('Along').selectOption(hangName)
  await form.getByLabel('Type').selectOption(`Ostrel ${first.type}`)
  await form.getByLabel('Mounted').selectOption(first.roll === 180 ? 'Standing' : 'Hung')
  await fill(page, 'Row of fixtures', {
    'Numbered from': n(first.number),
    'How many': n(fixtures.length),
    ...(second ? { 'Apart, m': n(second.along - first.along) } : {}),
    'Drop, m': n(first.drop),
    'Turned, °': n(first.yaw),
    'Pitched, °': n(first.pitch),
  })
  await form.getByRole('button', { name: /^Place/ }).click()
  const placed = second ? `${fixtures.length} fixtures` : `Fixture ${first.number}`
  await expect(panel(page).getByRole('heading', { name: placed, exact: true })).toBeVisible()
}

const SOLIDS = {
  box: 'Box',
  cylinder: 'Cylinder',
  prism: 'Prism',
  steps: 'Steps',
  flat: 'Flat',
  person: 'Stand-in person',
}
const SIZES = { width: 'Width, m', depth: 'Depth, m', height: 'Height, m', radius: 'Radius, m' } as const

async function sizes(page: Page, solid: Solid, nth: number): Promise<void> {
  for (const [key, label] of Object.entries(SIZES)) {
    const value = Object.entries(solid).find(([name]) => name === key)?.[1]
    if (typeof value !== 'number') continue
    // A set piece's own height field comes before its solids'.
    const fields = panel(page).getByLabel(label, { exact: true })
    const field = fields.nth(nth)
    await field.fill(n(value))
    await field.blur()
  }
  if (solid.kind !== 'prism') return
  const outline = panel(page).getByLabel('Outline', { exact: true }).first()
  await outline.fill(outlineInWords(solid.outline))
  await outline.blur()
}

async function stand(page: Page, { name, solids, position, yaw }: SetPieceAt): Promise<void> {
  const [first, ...others] = solids
  if (!first) throw new Error(`${name} is made of nothing`)
  await add1(page, 'Set piece')
  await fill(page, 'New set piece', {
    Name: name,
    'Across, m': n(position.x),
    'Upstage, m': n(position.y),
    'Turned, °': n(yaw),
  })
  await panel(page).getByLabel('Solid').selectOption(SOLIDS[first.kind])
  await sizes(page, first, 0)
  await panel(page).getByRole('button', { name: 'Put it there' }).click()
  await expect(panel(page).getByRole('heading', { name })).toBeVisible()
  for (const [i, solid] of others.entries()) {
    await panel(page).getByLabel('Add a solid').selectOption(SOLIDS[solid.kind])
    const part = panel(page)
      .getByRole('group', { name: SOLIDS[solid.kind] })
      .nth(i + 1)
    for (const [label, value] of [
      ['Radius, m', solid.kind === 'cylinder' ? solid.radius : 1],
      ['Height, m', solid.height ?? 1],
      ['Above, m', solid.base],
    ] as const) {
      await part.getByLabel(label, { exact: true }).fill(n(value))
      await part.getByLabel(label, { exact: true }).blur()
    }
  }
}

async function name(page: Page, { name: called, form, on, position }: TargetAt): Promise<void> {
  await add1(page, 'Target')
  await panel(page).getByLabel('Form').selectOption({ point: 'Point', line: 'Line', ring: 'Ring' }[form.kind])
  if (on) await panel(page).getByLabel('Stands').selectOption(`On ${on}`)
  const place = (words: readonly [string, string, string], at: Vec3) => ({
    [words[0]]: n(at.x),
    [words[1]]: n(at.y),
    [words[2]]: n(at.z),
  })
  const across = form.kind === 'line' ? 'From, across, m' : 'Across, m'
  await fill(page, 'New target', { Name: called, ...place([across, 'Upstage, m', 'Height, m'], position) })
  if (form.kind === 'line')
    await fill(page, 'New target', place(['To, across, m', 'To, upstage, m', 'To, height, m'], add(position, form.to)))
  if (form.kind === 'ring') await fill(page, 'New target', { 'Radius, m': n(form.radius) })
  if (form.kind !== 'point') await fill(page, 'New target', { Stations: n(form.stations) })
  await panel(page).getByRole('button', { name: 'Name it' }).click()
  await expect(panel(page).getByRole('heading', { name: called })).toBeVisible()
}

/** Patches the fixtures of some hangs one after the other from an address. */
async function patch(page: Page, filter: string, universe: number, address: number): Promise<void> {
  await page.getByLabel('Filter patch').fill(filter)
  const grid = page.getByRole('grid', { name: 'Patch' })
  await grid.focus()
  await page.keyboard.press('Control+a')
  const form = page.getByRole('form', { name: 'Patch by rule' })
  await form.getByLabel('From universe').fill(n(universe))
  await form.getByLabel('Address').fill(n(address))
  await form.getByRole('button', { name: /^Patch/ }).click()
  await expect(grid.getByRole('row').nth(1)).toContainText(n(address))
}

async function stored(page: Page): Promise<Show> {
  const { origin, pathname } = new URL(page.url())
  const response = await page.request.get(`${origin}/api/shows/${pathname.split('/')[2]}`)
  return readSnapshot(await response.text()).show
}

/** Every fixture's pan, tilt and throw to every target, by number and name. */
function solved(show: Show): Map<string, readonly [number, number, number]> {
  const targets = [...targetsOf(show).values()]
  return new Map(
    [...rigOf(show).values()].flatMap(({ mount, fixture }) =>
      targets.map((placed) => {
        const { pan, tilt, throwMetres } = solveAim(mount, pointOn(placed, 0.25), { reference: { pan: 0, tilt: 0 } })
        return [`${fixture.number} at ${placed.target.name}`, [pan, tilt, throwMetres] as const]
      }),
    ),
  )
}

test('the whole demo venue is rebuilt from an empty show in the Rig room, by pointer and keys', async ({
  showPage,
}) => {
  test.setTimeout(300_000)
  await showPage.getByRole('button', { name: /show menu/ }).click()
  await showPage.getByRole('menuitem', { name: 'New show' }).click()
  await showPage.getByLabel('Name of the show').fill('Rebuilt')
  await showPage.getByRole('button', { name: 'Make show' }).click()
  await expect(showPage.getByText('No fixtures yet.')).toBeVisible()

  await panel(showPage).getByRole('button', { name: 'Change the venue' }).click()
  await keep(showPage, 'Name', harbourHall.name)
  await keep(showPage, 'Opening, width, m', n(harbourHall.opening.width))
  await keep(showPage, 'Height, m', n(harbourHall.opening.height))
  await keep(showPage, 'Depth, m', n(harbourHall.opening.depth))
  await keep(showPage, 'Stage outline', outlineInWords(harbourHall.outline))
  for (const zone of harbourHall.keepClear) {
    await panel(showPage).getByRole('button', { name: 'Add a keep-clear zone' }).click()
    await keep(showPage, 'Keep clear', zone.name)
    await keep(showPage, `Outline of ${zone.name}`, outlineInWords(zone.outline))
  }

  // Boom left is the mirror of Boom right, with its fixtures; everything else is typed.
  const typed = HANGS.filter(({ name: called }) => called !== 'Boom left')
  for (const one of typed) await hang(showPage, one)
  for (const { name: called } of typed) await row(showPage, called)
  await showPage.keyboard.press('Escape')
  await showPage
    .getByRole('img', { name: /^Hang Boom right/ })
    .getByText('Boom right')
    .click()
  await panel(showPage).getByRole('button', { name: 'Mirror' }).click()
  await expect(panel(showPage).getByLabel('Name of the other side')).toHaveValue('Boom left')
  await panel(showPage).getByRole('form').getByLabel('Numbered from').fill('43')
  await panel(showPage).getByRole('button', { name: 'Mirror across the centre line' }).click()
  await expect(showPage.getByRole('img', { name: 'Fixture 44' })).toBeVisible()
  // The mirror turns them as mirrors do; the demo has these two with their connectors upstage.
  await showPage.keyboard.press('Escape')
  await showPage.getByRole('img', { name: 'Fixture 43' }).click()
  await showPage.getByRole('img', { name: 'Fixture 44' }).click({ modifiers: ['Shift'] })
  await keep(showPage, 'Turned, °', '90')

  for (const piece of SET_PIECES) await stand(showPage, piece)
  for (const target of TARGETS) await name(showPage, target)

  // A bar dragged away by the pointer is put back by its typed numbers.
  await showPage.keyboard.press('Escape')
  await showPage.keyboard.press('Alt+m')
  const bar = await middle(showPage.getByRole('img', { name: /^Hang Bar 2/ }).getByText('Bar 2'))
  await drag(showPage, bar, { x: bar.x + 40, y: bar.y - 40 })
  await expect(panel(showPage).getByLabel('Upstage, m')).not.toHaveValue('4.1')
  await keep(showPage, 'Middle, across, m', '0')
  await keep(showPage, 'Upstage, m', '4.1')
  await showPage.keyboard.press('Alt+c')

  await showPage.getByRole('link', { name: 'Patch' }).click()
  await patch(showPage, 'Bridge', 1, 1)
  await patch(showPage, 'Bar 1', 2, 1)
  await patch(showPage, 'Bar 2', 1, 201)
  await patch(showPage, 'Bar 3', 3, 1)
  await patch(showPage, 'Boom', 1, 401)
  await patch(showPage, 'Floor row', 3, 301)
  await patch(showPage, 'Footlights', 4, 1)
  await patch(showPage, 'Under the jetty', 4, 101)
  await showPage.getByRole('link', { name: 'Check' }).click()
  await expect(showPage.getByRole('heading', { name: 'Nothing looks wrong' })).toBeVisible()

  const wanted = buildSaltLantern('wanted')
  const built = await stored(showPage)
  const [aims, reference] = [solved(built), solved(wanted)]
  expect([...aims.keys()].sort()).toEqual([...reference.keys()].sort())
  for (const [key, [pan, tilt, far]] of reference) {
    const found = aims.get(key)
    expect([key, found?.map((x) => x.toFixed(6))]).toEqual([key, [pan, tilt, far].map((x) => x.toFixed(6))])
  }
  const venueOf = (show: Show) => entity(show, 'venue', showRecordOf(show).venue)
  expect(venueOf(built).opening).toEqual(venueOf(wanted).opening)
  const outlines = (show: Show) =>
    prismsOnStage(show).map(({ outline, bottom, top }) => [n(bottom), n(top), outlineInWords(outline)])
  expect(outlines(built)).toEqual(outlines(wanted))
  const patched = (show: Show) =>
    [...rigOf(show).values()]
      .filter(({ bar }) => bar === null)
      .map(({ fixture: f }) => [f.number, f.universe, f.address])
      .sort((a, b) => (a[0] ?? 0) - (b[0] ?? 0))
  expect(patched(built)).toEqual(patched(wanted))
})
