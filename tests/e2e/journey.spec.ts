import { expect, test } from '@playwright/test'
import sharp from 'sharp'
import { BAD_LINES, drawerCsv } from '../support/drawerCsv'
import { choose, comeThroughTheDoor } from '../support/people'

/**
 * One maker's way from an empty studio to a dry piece. The numbers are worked by hand:
 *
 * 12 fl oz = 12 × 29.5735295625 ml = 354.882 ml. In parts 1 : 2 : 0.25 (sum 3.25) that is 109.194 + 218.389 + 27.299.
 * The paint is overshot to 115 ml: the rest rises to 230 and 28.75 ml, 373.75 ml in all.
 * Cost: tube 9.60 for 120 ml = 8 ct/ml; flow 20.00 for 1 l = 2 ct/ml: 115 × 8 + 230 × 2 = 13.80.
 * 16 × 20 in: 320 / 28 fl oz = 337.983 ml, poured as 337.9. Left: 373.75 − 337.9 = 35.85 ml.
 * Of 337 900 µl: paint × 115/373.75 = 103 969.2, flow × 230/373.75 = 207 938.5, water 25 992.3; whole µl by largest
 * remainder: 103 969 + 207 939 + 25 992. Cost 103.969 × 8 + 207.939 × 2 = 1247.6 ct = 12.48; with a surface of 7.50: 19.98.
 */
test('from an empty studio to a dry piece, to the microlitre and the cent', async ({ page }) => {
  await comeThroughTheDoor(page, 'Upper lock')

  // Bring the paints in.
  await page.getByRole('link', { name: 'Bring in', exact: true }).click()
  await page.waitForURL('**/paints/import')
  const file = { name: 'drawer.csv', mimeType: 'text/csv', buffer: Buffer.from(drawerCsv()) }
  await page.locator('input[type=file]').setInputFiles(file)
  await expect(
    page.getByRole('heading', { name: '37 new, 0 changed, 0 here already, 3 that cannot be imported' }),
  ).toBeVisible()
  const bad = page.locator('tr[data-state=bad]')
  await expect(bad).toHaveCount(3)
  for (const [i, line] of BAD_LINES.entries()) await expect(bad.nth(i).locator('td').first()).toHaveText(String(line))
  await expect(bad.nth(0)).toContainText('Pick the swatch colour.')
  await expect(bad.nth(1)).toContainText('Body is one of')
  await expect(bad.nth(2)).toContainText('is not a Colour Index name')
  await page.getByRole('button', { name: 'Import 37 good rows' }).click()
  await expect(page.getByText('37 added, 0 changed, 0 here already, 3 not imported.')).toBeVisible()

  // The same file once more adds nothing.
  await page.goto('/paints/import')
  await page.locator('input[type=file]').setInputFiles(file)
  await expect(
    page.getByRole('heading', { name: '0 new, 0 changed, 37 here already, 3 that cannot be imported' }),
  ).toBeVisible()
  await expect(page.getByRole('button', { name: /Import 0 good/ })).toBeDisabled()

  // Book a tube and a bottle of medium, so that they are followed to the last drop.
  for (const [name, list] of [
    ['Canal Teal', '/paints'],
    ['Kvarnby Flow', '/paints/mediums'],
  ] as const) {
    await page.goto(list)
    await page.getByRole('link', { name: new RegExp(name) }).click()
    await page.getByRole('link', { name: 'Containers and prices' }).click()
    await page.getByRole('button', { name: 'Book a bought container' }).click()
    await expect(page.getByRole('cell', { name: 'container 1' })).toBeVisible()
  }

  // Mix 1 : 2 and a little water to 12 fl oz, with an overshoot on the way.
  await page.goto('/bench')
  await page.getByRole('button', { name: 'Add a paint' }).click()
  await choose(page, 'Choose a paint', 'Canal Teal')
  await expect(page.getByText('Kvarnby Flow · Kvarnby Colour')).toBeVisible()
  await page.getByLabel('Water, in the same parts').fill('0.25')
  await page.getByLabel('Total to mix').fill('12 fl oz')
  const planned = page.getByTestId('amount')
  await expect(planned.nth(0).locator('td').nth(1)).toHaveAttribute('title', '109194 µl')
  await expect(planned.nth(1).locator('td').nth(1)).toHaveAttribute('title', '218389 µl')
  await expect(planned.nth(2).locator('td').nth(1)).toHaveAttribute('title', '27299 µl')
  await page.getByLabel('Really poured: Canal Teal').fill('115 ml')
  await expect(planned.nth(1).locator('td').nth(1)).toHaveAttribute('title', '230000 µl')
  await expect(planned.nth(2).locator('td').nth(1)).toHaveAttribute('title', '28750 µl')
  await expect(page.getByText('the batch becomes 18.9\u00a0ml more, 374\u00a0ml in all')).toBeVisible()
  await expect(page.getByText('€13.80')).toBeVisible()
  await page.getByLabel('Name of the bottle').fill('Teal one')
  // A wet glove taps twice.
  await page.getByRole('button', { name: 'Book the bottle' }).dblclick()
  await page.waitForURL(/\/rack\/[0-9a-f-]{36}$/)
  const bottleUrl = page.url()
  await expect(page.getByTestId('bottle-ml')).toHaveAttribute('data-ul', '373750')
  await expect(page.getByText('It rests until')).toBeVisible()

  // Its label is a PDF.
  const label = await page.request.get(`${bottleUrl}/label`)
  expect(label.headers()['content-type']).toBe('application/pdf')
  expect((await label.body()).subarray(0, 5).toString()).toBe('%PDF-')

  // Plan a 16 × 20 in pour that needs it.
  await page.goto('/rack')
  await expect(page.getByRole('heading', { name: 'Rack 1 bottle' })).toBeVisible()
  await page.getByRole('button', { name: 'Tray: Teal one' }).click()
  await page.getByRole('link', { name: 'To a plan' }).click()
  await page.getByLabel('Title').fill('Ferry in fog')
  await page.getByLabel('Size of the face').fill('16 x 20 in')
  await page.getByLabel('Price of one').fill('7.50')
  await expect(page.getByTestId('cup-ml')).toHaveAttribute('data-ul', '337983')
  await page.getByRole('button', { name: 'Save, then pour' }).click()
  await page.waitForURL(/\/pour\//)

  // Pour it.
  await expect(page.getByLabel('Goes in: Teal one, cup')).toHaveValue('337.9 ml')
  await page.getByRole('button', { name: /Book the pour/ }).click()
  await page.waitForURL(/\/wall\//)
  const pieceUrl = page.url()
  const lots = page.getByTestId('lot')
  await expect(lots).toHaveCount(3)
  for (const [name, ul, from] of [
    ['Canal Teal', '103969', 'container 1'],
    ['Kvarnby Flow', '207939', 'container 1'],
    ['Distilled water', '25992', 'untracked supply'],
  ] as const) {
    const row = lots.filter({ hasText: name })
    await expect(row).toHaveAttribute('data-ul', ul)
    await expect(row).toContainText(from)
  }
  await expect(page.getByTestId('cost')).toHaveText('€12.48')
  await expect(page.getByTestId('piece-cost')).toContainText('€19.98')

  // What is left in the bottle, and in the containers.
  await page.goto(bottleUrl)
  await expect(page.getByTestId('bottle-ml')).toHaveAttribute('data-ul', '35850')
  await page.goto('/paints')
  await page.getByRole('link', { name: /Canal Teal/ }).click()
  await page.getByRole('link', { name: 'Containers and prices' }).click()
  await expect(page.getByRole('cell', { name: '5\u00a0ml of 120\u00a0ml' })).toBeVisible()

  // A photo while it is wet; what is none is said to be none.
  await page.goto(pieceUrl)
  await page.getByRole('link', { name: /^wet/ }).click()
  const photo = await sharp({ create: { width: 900, height: 700, channels: 3, background: '#136a78' } })
    .jpeg()
    .toBuffer()
  const send = (name: string, buffer: Buffer) =>
    page.getByLabel('Choose a photo').setInputFiles({ name, mimeType: 'image/jpeg', buffer })
  await send('not.jpg', Buffer.from('nothing'))
  await expect(page.getByText('This file is not a photo Fika can open.')).toBeVisible()
  await page.getByRole('button', { name: 'Another photo' }).click()
  await send('wet.jpg', photo)
  await page.getByRole('button', { name: 'Keep it as it is' }).click()
  await expect(page.getByRole('img', { name: 'Ferry in fog, wet' })).toBeVisible()

  // How it dried.
  await page.goto(`${pieceUrl}/look/dry`)
  await page.getByLabel('In words').fill('Dark at the rim; the fog held.')
  await page.getByRole('button', { name: /^Pinholes/ }).click()
  await page.locator('.ant-rate-star').nth(3).click()
  await page.getByRole('button', { name: 'Note the look' }).click()
  await expect(page.getByText('Noted', { exact: true })).toBeVisible()
  await page.goto('/wall')
  await expect(page.getByRole('link', { name: /Ferry in fog/ })).toContainText('pinholes')
  await expect(page.getByLabel('4 of 5')).toBeVisible()

  // It was another piece after all: the pour is undone, and the bottle is as it was.
  await page.goto(bottleUrl)
  await page.getByRole('button', { name: /Undo: Poured/ }).click()
  await expect(page.getByTestId('bottle-ml')).toHaveAttribute('data-ul', '373750')
  await page.goto('/wall')
  await expect(page.getByRole('heading', { name: 'Nothing hangs here yet' })).toBeVisible()
})
