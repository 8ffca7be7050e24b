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
  await page.goto(`${url}${path}`, { waitUntil: 'networkidle' })
  await page.evaluate(() => document.fonts.ready)
}
/** Follows the first link whose text matches, from a list screen. */
async function into(list: string, text: string | RegExp): Promise<void> {
  await open(list)
  await page.getByRole('link', { name: text }).first().click()
  await page.waitForLoadState('networkidle')
}

const SHOTS: Record<string, (page: Page) => Promise<void>> = {
  'paints': () => open('/paints'),
  'paints-table': () => open('/paints?view=table'),
  'paint': () => into('/paints', /Canal Teal/),
  'import': async () => {
    await open('/paints/import')
    const text = 'Brand;Colour;Hex;CI name;Size;Cost;Finish\nKvarnby Colour;Dawn Barge;#d9a68c;PR101 PW6;60ml;6,90;matt\nKvarnby Colour;Night Weir;#1b2a4f;blue;60ml;6,90;satin\nSallow & Finch;Kingcup;#f0b323;PY83;2 fl oz;7,50;glossy\n'
    await page.locator('input[type=file]').setInputFiles({ name: 'old-list.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
    await page.getByText('cannot be imported').waitFor()
    await page.getByText('Columns', { exact: true }).click()
  },
  'mediums': () => open('/paints/mediums'),
  'prices': () => open('/paints/prices'),
  'surfaces': () => open('/paints/surfaces'),
  'side-by-side': async () => {
    await open('/paints?tag=night+ferries')
    for (const name of ['Canal Teal', 'Ferry Navy', 'Sluice White', 'Old Gold']) await page.getByRole('button', { name: `Tray: ${name}` }).click()
    await page.getByRole('link', { name: 'Side by side' }).click()
    await page.waitForLoadState('networkidle')
  },
  'formulas': async () => {
    await open('/formulas')
    await page.getByRole('button', { name: /Night teal/ }).click()
  },
  'bench': async () => {
    await into('/rack', /Night teal/)
    await page.getByRole('link', { name: 'Mix more of it' }).click()
    await page.waitForLoadState('networkidle')
    await page.getByLabel('Really poured: Canal Teal').fill('68 ml')
  },
  'rack': async () => {
    await open('/rack')
    for (const name of ['Bakery cream', 'Bakery teal', 'Bakery crust']) await page.getByRole('button', { name: `Tray: ${name}` }).click()
  },
  'bottle': () => into('/rack', /Night teal/),
  'plan': () => into('/plan', /Bakery commission/),
  'plans': () => open('/plan'),
  'pour': () => into('/pour', /Bakery commission/),
  'wall': () => open('/wall'),
  'piece': () => into('/wall', /Night Ferries 2/),
  'notebook': () => open('/notebook'),
} // prettier-ignore

await open('/sign-in')
if (only.length === 0 || only.includes('door')) await page.screenshot({ path: join(folder, 'door.png') })
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
