import { createSocket } from 'node:dgram'
import { decodeE131, type E131Levels } from '#core/output/wire/e131'
import { expect, expectAccessible, test } from './app'

/** Everything that comes to an address of this machine by E1.31. */
async function heardAt(address: string) {
  const socket = createSocket({ type: 'udp4', reuseAddr: true })
  const packets: E131Levels[] = []
  socket.on('message', (bytes) => {
    const packet = decodeE131(bytes)
    if (packet?.kind === 'levels') packets.push(packet)
  })
  await new Promise<void>((resolve) => socket.bind({ address, port: 5568 }, resolve))
  return { packets, close: () => socket.close() }
}

test('an output is added, sends what is seen, goes down with its grand master and says what is wrong', async ({
  showPage,
}, { parallelIndex }) => {
  const address = `127.0.0.${20 + parallelIndex}`
  const heard = await heardAt(address)
  await showPage.getByRole('link', { name: 'Output', exact: true }).click()
  const list = showPage.getByRole('complementary', { name: 'Outputs of the show' })
  await expect(list.getByRole('button', { name: /^Lighting network off/ })).toBeVisible()
  await list.getByRole('button', { name: 'Add', exact: true }).click()
  const form = showPage.getByRole('form', { name: 'Add an output' })
  await form.getByLabel('Name').fill('Back truss')
  await form.getByRole('button', { name: 'Add', exact: true }).click()
  const panel = showPage.getByRole('complementary', { name: 'Output looked at' })
  await expect(panel.getByRole('heading', { name: 'Back truss' })).toBeVisible()
  const addresses = panel.getByLabel('To these addresses')
  await addresses.fill('10.0.0')
  await addresses.press('Enter')
  await expect(panel.getByRole('alert')).toBeVisible()
  await addresses.fill(address)
  await addresses.press('Enter')
  await panel.getByLabel('sent as from').fill('301')
  await panel.getByLabel('sent as from').press('Enter')
  await expect(panel.getByText('They go out as E1.31 universes 301 to 304.')).toBeVisible()
  await panel.getByRole('switch', { name: 'Off' }).click()
  await expect(list.getByText('Sent from this server.')).toBeVisible()
  await expect(list.getByRole('button', { name: /^Back truss \d+ packets a second/ })).toBeVisible()
  await expectAccessible(showPage)
  const sums = () => heard.packets.slice(-4).map(({ levels }) => levels.reduce((sum, level) => sum + level, 0))
  await expect.poll(() => heard.packets.length).toBeGreaterThan(4)
  expect(new Set(heard.packets.map(({ universe }) => universe))).toEqual(new Set([301, 302, 303, 304]))
  const whole = sums().reduce((all, sum) => all + sum, 0)
  await panel.getByRole('button', { name: 'Black out' }).click()
  await expect.poll(() => sums().reduce((all, sum) => all + sum, 0)).toBeLessThan(whole)

  await panel.getByLabel('To these addresses').fill('')
  await panel.getByLabel('To these addresses').press('Enter')
  await panel.getByLabel('Network interface').selectOption({ label: 'this machine only (127.0.0.1)' })
  await panel.getByRole('radio', { name: 'Art-Net' }).click()
  await expect(panel.getByText(/port addresses 300 to 303, which are 301 to 304/)).toBeVisible()
  await panel.getByRole('button', { name: 'Delete' }).click()
  await panel.getByRole('region', { name: 'Delete Back truss' }).getByRole('button', { name: 'Delete' }).click()
  await expect(list.getByText('Nothing is sent: every output is off.')).toBeVisible()
  await showPage.getByRole('button', { name: /^Undo: delete the output Back truss/ }).click()
  await expect(list.getByRole('button', { name: /^Back truss/ })).toBeVisible()
  heard.close()
})

test('what comes in is read in words, seen beside ours, and taken into the hand linked to palettes', async ({
  showPage,
}, { parallelIndex }) => {
  const part = (name: string) =>
    showPage.getByRole('radiogroup', { name: 'Seen as' }).getByRole('radio', { name }).click()
  /** Numbers no other test on this machine sends by. */
  const number = String(5000 + 10 * parallelIndex)
  await showPage.getByRole('link', { name: 'Output', exact: true }).click()
  const panel = showPage.getByRole('complementary', { name: 'Output looked at' })
  await panel.getByLabel('sent as from').fill(number)
  await panel.getByLabel('sent as from').press('Enter')
  await panel.getByRole('switch', { name: 'Off' }).click()
  await part('As it comes in')
  const listening = showPage.getByRole('complementary', { name: 'What comes in' })
  await listening.getByLabel('Universe 1 comes in as').fill(number)
  await listening.getByLabel('Universe 1 comes in as').press('Enter')
  await expect(listening.getByRole('row', { name: new RegExp(`^${number} Rhopander, ours 100`) })).toBeVisible()
  await showPage.getByRole('img', { name: /^Fixture 12,/ }).click()
  const channels = showPage.getByRole('region', { name: 'Fixture 12 as it comes in' })
  await expect(channels.getByRole('row', { name: /^Intensity \d+ intensity 60 % intensity 60 %/ })).toBeVisible()
  await expectAccessible(showPage)
  await part('Received beside ours')
  await expect(showPage.getByText(/^\d+ fixtures stand and shine just as from here\.$/)).toBeVisible()
  await expect(showPage.getByRole('group', { name: 'Plan as received' })).toBeVisible()
  await listening.getByRole('button', { name: 'Gobo' }).click()
  await listening.getByRole('button', { name: 'Take the selected fixture' }).click()
  await expect(showPage.getByText('In hand: 1 fixture')).toBeVisible()
  await expect(
    showPage.getByRole('button', { name: /^Undo: take .* as received, \d links? to palettes/ }),
  ).toBeVisible()
  await expectAccessible(showPage)
})
