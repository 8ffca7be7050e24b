import { expect, test } from '@playwright/test'
import sharp from 'sharp'
import { MESSY_BAD, MESSY_GOOD, messyCsv } from '../support/messyCsv'
import { choose, openDemo, startStudio } from '../support/people'

test('a messy list of 300 rows is mapped, checked, brought in, mended and brought in again', async ({ page }) => {
  await startStudio(page, 'Old lists')
  await page.goto('/paints/import')
  const bring = (name: string, buffer: Buffer) =>
    page.locator('input[type=file]').setInputFiles({ name, mimeType: 'text/csv', buffer })
  await bring('old.csv', messyCsv())
  await expect(
    page.getByRole('heading', { name: `${MESSY_GOOD} new, 0 changed, 0 here already, ${MESSY_BAD} that cannot` }),
  ).toBeVisible()
  // Every column was guessed but the shop, which the maker maps; the choice is kept.
  await page.getByText('Columns', { exact: true }).click()
  await expect(page.getByText('12 of 13 are read')).toBeVisible()
  await choose(page, 'Column for Bought at', 'supplier')
  await expect(page.getByText('13 of 13 are read')).toBeVisible()
  const bad = page.locator('tr[data-state=bad]')
  await expect(bad).toHaveCount(MESSY_BAD)
  await expect(bad.first()).toContainText('and an amount is not')
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Download those to mend' }).click()
  const mend = (await (await download).createReadStream()).setEncoding('utf8')
  let text = ''
  for await (const part of mend) text += part
  expect(text).toContain('what_is_wrong')
  expect(text).toContain("'-3 ml")

  await page.getByRole('button', { name: `Import ${MESSY_GOOD} good rows` }).click()
  await expect(
    page.getByText(`${MESSY_GOOD} added, 0 changed, 0 here already, ${MESSY_BAD} not imported.`),
  ).toBeVisible()
  await page.goto('/paints/import')
  await bring('old.csv', messyCsv())
  await expect(
    page.getByRole('heading', { name: `0 new, 0 changed, ${MESSY_GOOD} here already, ${MESSY_BAD} that cannot` }),
  ).toBeVisible()
  await expect(page.getByText('13 of 13 are read')).toBeVisible()

  // The mended rows come in; nothing is doubled.
  const mended = text
    .replaceAll("'-3 ml", '3 ml')
    .replaceAll('bluish', '#3366aa')
    .replaceAll('19,3', '1,3')
    .replaceAll('a lot', '9')
  await page.goto('/paints/import')
  await bring('mended.csv', Buffer.from(mended))
  await page.getByRole('button', { name: `Import ${MESSY_BAD} good rows` }).click()
  await expect(page.getByText(`${MESSY_BAD} added`)).toBeVisible()
  await page.goto('/paints?q=torvald+works+nuance')
  await expect(page.getByRole('heading', { name: 'Paints 75 paints' })).toBeVisible()

  // A file that is none is refused, and nothing changes.
  await page.goto('/paints/import')
  await bring('photo.csv', Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 0]))
  await expect(page.getByText('This is not a list Fika reads.')).toBeVisible()
})

test('the drawer narrows by facets, the address keeps the view, and far cards come as they are scrolled to', async ({
  page,
}) => {
  await openDemo(page)
  await page.goto('/paints')
  await page.getByRole('checkbox', { name: 'blue 11' }).check()
  await expect(page).toHaveURL(/hue=blue/)
  await page.getByRole('checkbox', { name: /^opaque/ }).check()
  await expect(page).toHaveURL(/opacity=opaque/)
  const heading = page.getByRole('heading', { level: 1 })
  const narrowed = await heading.textContent()
  const url = page.url()
  await page.goto('/rack')
  await page.goto(url)
  await expect(heading).toHaveText(narrowed!)
  await page.getByRole('button', { name: /^blue/ }).click()
  await page.getByRole('button', { name: 'Clear all' }).click()
  await expect(heading).toHaveText('Paints 60 paints')
  await page.getByLabel('Search paints').fill('turkoise lok')
  await expect(page.getByText('These are the nearest.')).toBeVisible()
  await expect(page.getByRole('link', { name: /Turquoise Lock/ })).toBeVisible()
  await page.goto('/paints?view=table')
  await page.keyboard.press('End')
  await expect(page.getByRole('link', { name: 'Ready Lagoon' })).toBeVisible()
})

test('a card opened while the search still waits for letters stays open', async ({ page }) => {
  await page.clock.install()
  await openDemo(page)
  await page.goto('/paints')
  await page.keyboard.press('/')
  await page.keyboard.type('teal')
  await expect(page).toHaveURL(/q=teal/)
  await page.keyboard.type(' pg')
  await page.getByRole('link', { name: /Teal/ }).first().click()
  const card = page.getByRole('button', { name: 'Put it away' })
  await expect(card).toBeVisible()
  // Longer than the search waits for a further letter.
  await page.clock.runFor(1000)
  await expect(card).toBeVisible()
  await expect(page).toHaveURL(/\/paints\/[0-9a-f-]{36}/)
})

test('two people change one paint: the second is told, sees both, and keeps either', async ({ page, browser }) => {
  await startStudio(page, 'Two hands')
  await page.goto('/paints/new')
  await page.getByLabel('Name', { exact: true }).fill('Loch Blue')
  await page.getByRole('button', { name: 'Add the paint' }).click()
  await page.waitForURL(/\/paints$/)
  await page.getByRole('link', { name: /Loch Blue/ }).click()
  await page.getByRole('link', { name: 'Change', exact: true }).click()
  await page.waitForURL(/tab=change/)
  const second = await browser.newPage({
    storageState: await page.context().storageState(),
    baseURL: process.env.FIKA_URL!,
  })
  await second.goto(page.url())
  await second.getByLabel('List price of it').fill('12.90')
  await page.getByLabel('Maker').fill('Torvald Works')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await page.waitForURL(/\/paints\/[0-9a-f-]{36}$/)
  await second.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(second.getByText('Somebody else changed this since you opened it.')).toBeVisible()
  await expect(second.getByLabel('List price of it')).toHaveValue('12.90')
  const both = second.getByTestId('both-versions')
  await expect(both.getByRole('row', { name: /maker/ })).toContainText('Torvald Works')
  await expect(both.getByRole('row', { name: /price/ })).toContainText('12.90')
  await second.getByRole('button', { name: 'Keep mine' }).click()
  await second.waitForURL(/\/paints\/[0-9a-f-]{36}$/)
  await expect(second.getByText('12.90')).toBeVisible()
  // Nothing is lost: the other one’s change is in the history, and comes back by undo.
  await second.getByRole('link', { name: 'History' }).click()
  await second.getByRole('button', { name: 'Undo' }).first().click()
  await second.getByRole('link', { name: 'Card', exact: true }).click()
  await expect(second.getByRole('heading', { level: 1 })).toContainText('Torvald Works')
  await second.close()
})

test('a photo of a drawdown with a card in it gives the swatch', async ({ page }) => {
  await startStudio(page, 'Photo room')
  await page.goto('/paints/new')
  await page
    .getByLabel('Photo of the drawdown')
    .setInputFiles({ name: 'x.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no photo') })
  await expect(page.getByText('This file is not a photo Fika can open.')).toBeVisible()
  // Under a warm lamp: a white card (90 %) on the left, the paint #136a78 on the right; each channel dimmed in linear light.
  const cast = [0.9, 0.7, 0.45]
  const toLinear = (c: number) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4)
  const toGamma = (c: number) => (c <= 0.0031308 ? 12.92 * c : 1.055 * c ** (1 / 2.4) - 0.055)
  const lit = (linear: number[]) => {
    const [r, g, b] = linear.map((v, k) => Math.round(255 * toGamma(v * cast[k]!)))
    return { r: r!, g: g!, b: b! }
  }
  const half = (linear: number[]) => ({
    create: { width: 2000, height: 3000, channels: 3 as const, background: lit(linear) },
  })
  const photo = await sharp(half([0.9, 0.9, 0.9]))
    .extend({ right: 2000, background: lit([0x13, 0x6a, 0x78].map((v) => toLinear(v / 255))) })
    .jpeg({ quality: 95 })
    .toBuffer()
  await page
    .getByLabel('Photo of the drawdown')
    .setInputFiles({ name: 'card.jpg', mimeType: 'image/jpeg', buffer: photo })
  const picture = page.getByRole('application')
  await expect(picture).toBeVisible()
  const box = (await picture.boundingBox())!
  await picture.click({ position: { x: box.width * 0.25, y: box.height / 2 } })
  await picture.click({ position: { x: box.width * 0.75, y: box.height / 2 } })
  const result = page.getByTestId('photo-swatch')
  await expect(result).toContainText('spread ΔE00 0.')
  const hex = (await result.locator('b').textContent())!
  const [r, g, b] = [1, 3, 5].map((k) => parseInt(hex.slice(k, k + 2), 16))
  expect([Math.abs(r! - 0x13) < 6, Math.abs(g! - 0x6a) < 4, Math.abs(b! - 0x78) < 4]).toEqual([true, true, true])
  await page.getByRole('button', { name: 'Use as masstone, dry' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Photographed')
  await page.getByRole('button', { name: 'Add the paint' }).click()
  await page.waitForURL(/\/paints$/)
  await page.getByRole('link', { name: /Photographed/ }).click()
  await expect(page.getByText(hex)).toBeVisible()
})

test('an offer, a purchase under it, a weigh-in and a finished tube', async ({ page }) => {
  await openDemo(page)
  await page.goto('/paints?q=reed')
  await page.getByRole('link', { name: /Reed/ }).click()
  await page.getByRole('link', { name: 'Containers and prices' }).click()
  const region = page.getByRole('region', { name: 'Containers' })
  await page.getByLabel('How many').fill('3')
  await region.getByRole('combobox', { name: 'Kind of offer' }).click()
  await page.locator('.ant-select-item-option', { hasText: 'n for m' }).click()
  await page.getByLabel('get').fill('3')
  await page.getByLabel('pay').fill('2')
  await expect(page.getByText('€15.80 in all')).toBeVisible()
  await page.getByRole('button', { name: 'Book a bought container' }).click()
  await expect(page.getByRole('cell', { name: 'container 3' })).toBeVisible()
  await expect(page.getByRole('cell', { name: '€5.27' })).toHaveCount(2)
  await page.getByRole('button', { name: 'Weigh or finish' }).first().click()
  await page.getByLabel(/^Weight of container . with paint/).fill('5 g')
  await page.getByLabel(/^Weight of container . empty/).fill('9 g')
  await page.getByRole('button', { name: 'The rest was used' }).click()
  await expect(page.getByText('The scale shows less than the empty container weighs.')).toBeVisible()
  await page.getByLabel(/^Residue in/).fill('2 ml')
  await page.getByRole('button', { name: 'Finish it' }).click()
  await expect(page.getByText('finished, 2\u00a0ml sticks in it')).toBeVisible()
})
