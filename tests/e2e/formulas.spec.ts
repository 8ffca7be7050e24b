import { expect, test, type Page } from '@playwright/test'
import sharp from 'sharp'
import { hexToLab } from '@/core/colour/lab'
import { deltaE00 } from '@/core/colour/deltaE00'
import { readerAddress } from '@/devices/reader/read'
import { startStandIn, type StandIn } from '@/devices/reader/standIn'
import { choose, openDemo, pick } from '../support/people'
import { random } from '../support/random'

/** A photo with two painted patches on white card. */
const photo = () =>
  sharp({ create: { width: 900, height: 600, channels: 3, background: '#e8e6e0' } })
    .composite([
      { input: { create: { width: 300, height: 300, channels: 3, background: '#5f9ea0' } }, left: 100, top: 150 },
      { input: { create: { width: 300, height: 300, channels: 3, background: '#b5533c' } }, left: 500, top: 150 },
    ])
    .jpeg()
    .toBuffer()

async function matchFromPhoto(page: Page): Promise<void> {
  await page.goto('/formulas/match')
  await page.getByText('Photo', { exact: true }).click()
  await page
    .getByLabel('Photo to pick from')
    .setInputFiles({ name: 'card.jpg', mimeType: 'image/jpeg', buffer: await photo() })
  const canvas = page.getByRole('img', { name: 'Click the colour to match' })
  const box = (await canvas.boundingBox())!
  await canvas.click({ position: { x: box.width * (250 / 900), y: box.height * 0.5 } })
  await expect(page.getByText('from the photo')).toBeVisible()
}

test('a colour from a photo is matched from the drawer, kept under a name, painted out and mixed', async ({ page }) => {
  await openDemo(page)
  await matchFromPhoto(page)
  const hex = (await page
    .getByText(/^#[0-9a-f]{6}$/)
    .first()
    .textContent())!
  expect(deltaE00(hexToLab(hex), hexToLab('#5f9ea0'))).toBeLessThan(1.5)
  await page.getByText('Drawer', { exact: true }).click()
  await page.getByRole('button', { name: 'Find formulas' }).click()
  const first = page.locator('[data-testid="candidate"]').first()
  await expect(first).toContainText('cannot tell')
  await first.getByRole('link', { name: 'Open' }).click()
  await page.waitForURL(/\/formulas\/new/)
  await expect(page.getByRole('region', { name: 'Mixed colour' })).toContainText('cannot tell')
  await page.getByLabel('Name').fill('Harbour haze')
  await page.getByRole('button', { name: 'Keep the colour' }).click()
  await page.waitForURL(/\/formulas\/[0-9a-f-]{36}/)
  await expect(page.getByRole('heading', { name: /Harbour haze/ })).toContainText('version 1 of 1')

  // Another ratio is another version; the first is still there.
  const amount = page.getByLabel(/^Amount of/).first()
  await amount.fill(String(Number(await amount.inputValue()) + 1))
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('heading', { name: /Harbour haze/ })).toContainText('version 2 of 2')
  await expect(page.getByRole('region', { name: 'Versions' }).getByRole('row')).toHaveCount(3)

  // A bottle mixed from here remembers its formula.
  await page.getByRole('link', { name: 'Mix it at the bench' }).click()
  await page.waitForURL(/\/bench/)
  await page.getByRole('button', { name: /^Book/ }).click()
  await page.waitForURL(/\/rack\/[0-9a-f-]{36}/)
  await page.goto('/formulas')
  await page
    .getByRole('link', { name: /Harbour haze/ })
    .first()
    .click()
  await expect(page.getByRole('region', { name: 'Used in' })).toContainText('Harbour haze version 2')
})

test('a taken name is refused with a sentence, and what was typed stays', async ({ page }) => {
  await openDemo(page)
  await page.goto('/formulas/new')
  await page.getByRole('button', { name: 'Add a paint' }).click()
  await choose(page, 'Choose a paint', 'Canal Teal')
  await page.getByLabel('Name').fill('night TEAL')
  await page.getByRole('button', { name: 'Keep the colour' }).click()
  await expect(page.getByText('There is a formula called “night TEAL” already')).toBeVisible()
  await expect(page.getByLabel('Name')).toHaveValue('night TEAL')
})

test('a cup that came out wrong is mended by adding', async ({ page }) => {
  await openDemo(page)
  await page.goto('/formulas/mend')
  await choose(page, 'A bottle from the rack', 'Bakery teal')
  await page.waitForURL(/bottle=/)
  await expect(page.getByLabel('Amount of Canal Teal')).toHaveValue(/^\d/)
  const should = page.getByRole('region', { name: 'What it should be' })
  const typed = should.getByLabel('Colour as six digits or L a b')
  await typed.fill('#1c5f70')
  await typed.press('Enter')
  await pick(page, 'Good when', 'only side by side')
  await should.getByLabel('Room left in the cup').fill('500 ml')
  await should.getByRole('button', { name: 'What to add' }).click()
  const result = page.getByRole('region', { name: 'What to add' })
  await expect(result).toContainText('The least that mends it')
  await expect(result.locator('[data-testid="mend-add"]').first()).toContainText('+')
  await expect(result).toContainText(/its carriers go in too: [\d.]+.ml Kvarnby Flow, .* more in all/)

  // A target no addition reaches is said to be one, with the nearest that can.
  await typed.fill('#ffffff')
  await typed.press('Enter')
  await pick(page, 'Good when', 'nobody can tell')
  await should.getByRole('button', { name: 'What to add' }).click()
  await expect(result).toContainText('It cannot be brought all the way by adding')
})

test('a batch in two containers is split, read, boxed and told alike; the plug pulled breaks nothing', async ({
  page,
}) => {
  const address = readerAddress()!
  const plugIn = (readingMs = 120): Promise<StandIn> =>
    startStandIn({ port: address.port, random: random(5), clock: Date.now, readingMs, calibrated: false })
  await openDemo(page)
  await page.goto('/formulas/batch/new')
  await choose(page, 'Colour', 'Bakery teal')
  await page.getByLabel('Each holds').fill('100 ml')
  await page.getByRole('button', { name: 'Begin the batch' }).click()
  await expect(page.getByText('Use more containers, or larger ones')).toBeVisible()
  await page.getByLabel('Each holds').fill('1 l')
  await page.getByRole('button', { name: 'Begin the batch' }).click()
  await page.waitForURL(/\/batch\/[0-9a-f-]{36}/)
  const containers = [1, 2].map((n) => page.getByRole('region', { name: `Container ${n}`, exact: true }))
  const tick = containers[0]!.getByRole('checkbox').first()
  await tick.check()
  // Ticked in one breath: the changes queue, none is lost.
  await containers[0]!.getByRole('checkbox').nth(1).check()
  await containers[1]!.getByRole('checkbox').first().check()
  await expect(page.getByRole('button', { name: 'The batch is done' })).not.toHaveClass(/loading/)
  await page.reload()
  await expect(containers[1]!.getByRole('checkbox').first()).toBeChecked()
  await expect(containers[0]!.getByRole('checkbox').first()).toBeChecked()

  // Nothing plugged in; then a reader that has never seen its tile; then the plug pulled in the middle.
  await containers[0]!.getByRole('button', { name: 'Read this one' }).click()
  await expect(containers[0]!).toContainText('No colour reader answers')
  let reader = await plugIn(400)
  await containers[0]!.getByRole('button', { name: 'Read this one' }).click()
  await expect.poll(() => reader.given()).toBeGreaterThan(0)
  await reader.close()
  await expect(containers[0]!).toContainText('went away in the middle')
  reader = await plugIn()
  try {
    await containers[0]!.getByRole('button', { name: 'Read this one' }).click()
    await expect(containers[0]!).toContainText('never seen its white tile')
    await containers[0]!.getByRole('button', { name: 'Set it on the tile' }).click()
    await expect(containers[0]!).not.toContainText('never seen its white tile')
    const read = async (c: (typeof containers)[number]) => {
      const button = c.getByRole('button', { name: 'Read this one' })
      await button.click()
      await expect(button).toHaveClass(/loading/)
      await expect(button).not.toHaveClass(/loading/)
      await expect(c.getByRole('img', { name: 'Kept beside this container' })).toBeVisible()
    }
    for (const c of containers) await read(c)
    const alike = page.getByRole('region', { name: 'Boxing' })
    await expect(alike).toContainText('Box them')
    for (let pass = 0; pass < 4 && !(await alike.textContent())!.includes('One batch'); pass++) {
      await alike.getByRole('button', { name: 'Boxed once' }).click()
      await expect(alike).toContainText('Read every container')
      for (const c of containers) await read(c)
      await expect(alike).not.toContainText('Read every container')
    }
    await expect(alike).toContainText('One batch')
    await page.getByRole('button', { name: 'The batch is done' }).click()
    await expect(page.getByRole('button', { name: 'Open it again' })).toBeVisible()

    // On the rack with all that is in it; more than is counted in tubes is said. A double tap makes two bottles, not four.
    const shelf = page.getByRole('region', { name: 'Book the containers' })
    await choose(page, 'Medium of the batch', 'Kvarnby Flow')
    await shelf.getByRole('button', { name: 'Book 2 bottles' }).click()
    await expect(shelf).toContainText('Book a new container, or let the rest come from untracked supply')
    await shelf.getByRole('checkbox', { name: 'Book the rest from untracked supply' }).check()
    await shelf.getByRole('button', { name: 'Book 2 bottles' }).dblclick()
    const there = page.getByRole('region', { name: 'On the rack' })
    await expect(there.getByRole('link')).toHaveCount(2)
    await there.getByRole('link').first().click()
    await page.waitForURL(/\/rack\//)
    await expect(page.getByText(/2 Kvarnby Flow/).first()).toBeVisible()
  } finally {
    await reader.close()
  }
})

test('the palette says who should not touch whom, the maker’s own word first', async ({ page }) => {
  await openDemo(page)
  await page.goto('/paints?q=marigold')
  await page.getByRole('button', { name: 'Tray: Marigold' }).click()
  for (const name of ['Wisteria', 'Plum Shed', 'Sluice White']) {
    await page.goto(`/paints?q=${encodeURIComponent(name)}`)
    await page.getByRole('button', { name: `Tray: ${name}` }).click()
  }
  await page.goto('/formulas/palette')
  const apart = page.getByRole('region', { name: 'Keep apart' })
  await expect(apart.getByRole('listitem').filter({ hasText: 'Marigold and Plum Shed' })).toContainText(
    'your word: never together',
  )
  await expect(apart.getByRole('listitem').filter({ hasText: 'Marigold and Wisteria' })).toContainText('surprising')
  await expect(page.getByRole('img', { name: 'What every two paints turn into, one to one' })).toBeVisible()
})
