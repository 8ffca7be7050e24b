// Takes one picture of each main view from the demo studio at FIKA_URL. Called by npm run screenshots.
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import type { Page } from '@playwright/test'
import { launch } from '../tests/support/chromium'
import { choose, pick } from '../tests/support/people'

const url = process.env.FIKA_URL
if (!url) throw new Error('FIKA_URL names no running Fika')
const folder = process.env.FIKA_SHOTS ?? join(process.cwd(), 'docs/screenshots')
const only = process.argv.slice(2)
mkdirSync(folder, { recursive: true })

const browser = await launch()
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' })

/** Goes to a screen and waits until it is drawn. */
async function open(path: string): Promise<void> {
  await page.goto(`${url}${path}`, { waitUntil: 'load' })
  await page.evaluate(() => document.fonts.ready)
  // Screens that listen for news never fall silent, so it is not waited for.
  await page.waitForTimeout(900)
}
/** Follows the first link whose text matches, from a list screen. */
async function into(list: string, text: string | RegExp): Promise<void> {
  await open(list)
  await page.getByRole('link', { name: text }).first().click()
  await page.waitForTimeout(1200)
}

const SHOTS: Record<string, (page: Page) => Promise<void>> = {
  paints: () => open('/paints'),
  paint: () => into('/paints', /Canal Teal/),
  formula: () => into('/formulas', /Night teal/),
  match: async () => {
    await open('/formulas/match?hex=5f9ea0')
    await page.getByText('Drawer', { exact: true }).click()
    await page.getByRole('button', { name: 'Find formulas' }).click()
    await page.locator('[data-testid="candidate"]').first().waitFor()
    await page.evaluate(() => window.scrollTo(0, 0))
  },
  mend: async () => {
    await open('/formulas/mend')
    await choose(page, 'A bottle from the rack', 'Bakery teal')
    await page.waitForURL(/bottle=/)
    const should = page.getByRole('region', { name: 'What it should be' })
    await should.getByLabel('Colour as six digits or L a b').fill('#1c5f70')
    await should.getByLabel('Colour as six digits or L a b').press('Enter')
    await pick(page, 'Good when', 'only side by side')
    await should.getByLabel('Room left in the cup').fill('500 ml')
    await page.getByRole('button', { name: 'What to add' }).click()
    await page.locator('[data-testid="mend-way"]').waitFor()
    await page.evaluate(() => window.scrollTo(0, 0))
  },
  batch: async () => {
    await open('/formulas/batch/new')
    await choose(page, 'Colour', 'Bakery teal')
    await page.getByRole('button', { name: 'Begin the batch' }).click()
    await page.waitForURL(/\/batch\/[0-9a-f-]{36}/)
    for (const n of [1, 2]) {
      const container = page.getByRole('region', { name: `Container ${n}`, exact: true })
      for (const step of await container
        .getByRole('checkbox')
        .all()
        .then((all) => all.slice(0, n === 1 ? 4 : 2))) {
        await step.click()
        await page.waitForTimeout(400)
      }
      await container.getByRole('button', { name: 'Read this one' }).click()
      await container.getByText(/readings agree/).waitFor()
      await page.waitForTimeout(600)
    }
    await page.evaluate(() => window.scrollTo(0, 0))
  },
  palette: async () => {
    await open('/paints?tag=night+ferries')
    for (const name of ['Canal Teal', 'Ferry Navy', 'Sluice White', 'Old Gold'])
      await page.getByRole('button', { name: `Tray: ${name}` }).click()
    for (const name of ['Marigold', 'Plum Shed']) {
      await open(`/paints?q=${encodeURIComponent(name)}`)
      await page.getByRole('button', { name: `Tray: ${name}` }).click()
    }
    await open('/formulas/palette')
  },
  bench: async () => {
    await into('/rack', /Night teal/)
    await page.getByRole('link', { name: 'Mix more of it' }).click()
    await page.waitForTimeout(1200)
    await page.getByLabel('Really poured: Canal Teal').fill('68 ml')
  },
  rack: async () => {
    await open('/rack?by=palette')
    for (const name of ['Bakery cream', 'Bakery teal', 'Bakery crust'])
      await page.getByRole('button', { name: `Tray: ${name}` }).click()
  },
  bottle: () => into('/rack', /Night teal/),
  guide: async () => {
    await into('/rack', /Bakery teal/)
    await page.getByRole('link', { name: 'Mix more of it' }).click()
    await page.waitForTimeout(1200)
    await page.getByLabel('Cup holds').fill('400 ml')
    await page.getByRole('button', { name: 'Mix step by step' }).click()
    await page.waitForURL(/guide/)
    const here = async (text: string) => {
      await page.locator('ol[aria-label="Steps"] [aria-current]', { hasText: text }).waitFor()
      await page.waitForTimeout(1500)
    }
    await here('Shake')
    await page.keyboard.press('Space')
    await page.getByRole('button', { name: 'Cup on' }).click()
    await here('Cup')
    await page.waitForTimeout(1200)
    await page.keyboard.press('Space')
    for (const n of [1, 2]) {
      await here(`Pour ${n}`)
      await page.getByRole('button', { name: 'Pour', exact: true }).click()
      await page.waitForTimeout(5500)
      await page.keyboard.press('Space')
    }
    await here('Pour 3')
    await page.getByRole('button', { name: 'Pour', exact: true }).click()
    await page.waitForTimeout(1300)
  },
  consistency: () => open('/bench/consistency'),
  stocktake: async () => {
    await open('/rack/stocktake')
    for (const n of [1, 2, 3]) {
      await page.getByRole('button', { name: 'Set it on the stand-in' }).click()
      await page.waitForTimeout(2400)
      if (n === 2) {
        await page.evaluate(() =>
          fetch('/scale', {
            method: 'POST',
            headers: { 'content-type': 'application/json' },
            body: JSON.stringify({ do: 'place', grams: -3 }),
          }),
        )
        await page.waitForTimeout(2200)
      }
      await page.getByRole('button', { name: /Take the weight/ }).click()
      await page.getByRole('heading', { name: new RegExp(`${n} of`) }).waitFor()
    }
    await page.evaluate(() => window.scrollTo(0, 0))
  },
  labels: async () => {
    await open('/rack/labels')
    await page.getByRole('button', { name: 'All' }).click()
    await page.waitForTimeout(1800)
  },
  plan: () => into('/plan', /Bakery commission/),
  pour: () => into('/pour', /Bakery commission/),
  wall: () => open('/wall'),
  piece: () => into('/wall', /Night Ferries 2/),
  notebook: () => open('/notebook'),
}

await open('/sign-in')
await page.getByRole('button', { name: 'Open the demo studio' }).click()
await page.waitForURL('**/rack')
for (const [name, arrange] of Object.entries(SHOTS)) {
  if (only.length && !only.includes(name)) continue
  await arrange(page)
  await page.waitForTimeout(400)
  await page.screenshot({ path: join(folder, `${name}.png`) })
  await page.evaluate(() => localStorage.clear())
  console.log(name)
}
await browser.close()
