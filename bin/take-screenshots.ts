// Takes one picture of each main view from the demo studio at FIKA_URL. Called by npm run screenshots.
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import type { Page } from '@playwright/test'
import { launch } from '../tests/support/chromium'

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
  works: () => open('/plan'),
  plan: () => into('/plan', /Bakery commission/),
  rehearse: async () => {
    await into('/plan', /Bakery commission/)
    await page.getByRole('link', { name: 'Rehearse' }).click()
    await page.getByRole('button', { name: 'Mark a keeper' }).click()
    const board = page.getByTestId('board')
    const box = (await board.boundingBox())!
    await board.click({ position: { x: box.width * 0.62, y: box.height * 0.68 } })
    await page.getByRole('button', { name: 'Run this hand' }).click()
    await page.getByText(/^1[5-9]\.\d s · leans/).waitFor({ timeout: 90_000 })
    await page.getByRole('button', { name: 'Pause' }).click()
    await page.evaluate(() => window.scrollTo(0, 0))
  },
  pour: async () => {
    await into('/pour', /Bakery commission/)
    await page.getByRole('button', { name: 'Pour it step by step' }).click()
    await page.getByRole('button', { name: /of 11/ }).click()
    await page.getByRole('navigation', { name: 'Steps' }).getByRole('button', { name: 'Load' }).click()
    for (const amount of [...Array.from({ length: 6 }, () => '70 ml'), '24 ml']) {
      await page.getByLabel(/^Typed/).fill(amount)
      await page.getByTestId('next').click()
      await page.waitForTimeout(500)
    }
  },
  wall: () => open('/wall'),
  piece: () => into('/wall', /Night Ferries 2/),
  measured: async () => {
    await into('/wall', /Bakery sketch, petals/)
    await page.getByRole('link', { name: 'Measure again' }).click()
    await page.waitForURL('**/photo/**')
    await page.getByRole('button', { name: 'Measure', exact: true }).click()
    await page.getByRole('button', { name: 'Keep it', exact: true }).waitFor({ timeout: 60_000 })
    await page.waitForTimeout(400)
  },
  notebook: () => open('/notebook'),
  traced: () => open('/notebook/faults'),
  trial: () => into('/notebook/trials', /Does gloss medium/),
  people: () => open('/studio/people'),
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
