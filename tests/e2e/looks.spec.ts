import { STATIONS } from '@/ui/frame/stationList'
import { expect, test, type Page } from '@playwright/test'
import { bringAxe, serious, still } from '../support/axe'
import { openDemo } from '../support/people'

/** A page at rest: loaded, in its own type, with nothing moving. */
async function drawn(page: Page): Promise<void> {
  await page.waitForLoadState('load')
  await page.evaluate(() => document.fonts.ready.then(() => undefined))
  await still(page)
}

/** Every view, by the list it is reached from. */
const VIEWS: [string, string, RegExp?, string?, RegExp?][] = [
  ['paints', '/paints'],
  ['paints as a table', '/paints?view=table'],
  ['mediums', '/paints/mediums'],
  ['one medium', '/paints/mediums', /Kvarnby Flow/],
  ['prices', '/paints/prices'],
  ['surfaces', '/paints/surfaces'],
  ['pigments', '/paints/pigments'],
  ['one paint', '/paints', /Canal Teal/],
  ['changing a paint', '/paints', /Canal Teal/, 'Change'],
  ['its containers and prices', '/paints', /Canal Teal/, 'Containers and prices'],
  ['its history', '/paints', /Winter Barge/, 'History'],
  ['a new paint', '/paints/new'],
  ['import', '/paints/import'],
  ['export', '/paints/export'],
  ['formulas', '/formulas', undefined],
  ['one formula', '/formulas', /Night teal/],
  ['a match', '/formulas/match'],
  ['mending', '/formulas/mend'],
  ['batches', '/formulas/batch'],
  ['a new batch', '/formulas/batch/new'],
  ['a palette', '/formulas/palette'],
  ['bench', '/bench', undefined],
  ['pouring first', '/bench/eye'],
  ['consistency', '/bench/consistency'],
  ['recipes and rules', '/bench/recipes'],
  ['rack', '/rack'],
  ['rack by palette', '/rack?by=palette'],
  ['what to do on the rack', '/rack/alerts'],
  ['stocktake', '/rack/stocktake'],
  ['labels', '/rack/labels'],
  ['one bottle', '/rack', /Night teal/],
  ['plans', '/plan'],
  ['a new plan', '/plan/new'],
  ['one plan', '/plan', /Bakery commission/],
  ['a plan of vases', '/plan', /Vase pair over panels/],
  ['a work', '/plan', /The bakery wall/],
  ['a new work', '/plan/work/new'],
  ['ideas', '/plan/ideas'],
  ['to buy', '/plan/buy'],
  ['the room', '/studio/room'],
  ['techniques', '/plan/techniques'],
  ['what every room has', '/plan/starter'],
  ['what to put out', '/plan', /Bakery commission/, 'Put out', /put-out/],
  ['scaling up', '/plan', /Bakery commission/, 'Scale up', /scale/],
  ['pouring again', '/wall', /Night Ferries 2/, 'Pour again, changed', /again/],
  ['pours', '/pour'],
  ['one pour', '/pour', /Bakery commission/],
  ['wall', '/wall'],
  ['one piece', '/wall', /Night Ferries 2/],
  ['notebook', '/notebook'],
  ['a fault traced', '/notebook/faults'],
  ['trials', '/notebook/trials'],
  ['a trial', '/notebook/trials', /Does gloss medium/],
  ['a new trial', '/notebook/trials/new'],
  ['what works', '/notebook/works'],
  ['amounts', '/notebook/amounts'],
  ['cracks', '/notebook/cracks'],
  ['where the paint goes', '/notebook/goes'],
  ['what runs out', '/notebook/runs-out'],
  ['cost', '/notebook/cost'],
  ['buying', '/notebook/buying'],
  ['ratios', '/notebook/ratios'],
  ['colours', '/notebook/colours'],
  ['next time', '/notebook/next-time'],
  ['journal', '/notebook/journal'],
  ['studio', '/studio'],
  ['people', '/studio/people'],
  ['keeping', '/studio/keeping'],
  ['your account', '/account'],
]

// In parts, so that both workers share the longest test there is.
test.describe.configure({ mode: 'parallel' })
const softly = expect.configure({ soft: true, timeout: 3000 })
const DESK = { width: 1280, height: 800 }
const TABLET = { width: 820, height: 1180 }
const PHONE = { width: 390, height: 844 }
/** A target in the hand, each way, px. WCAG 2.2, 2.5.5 (enhanced); 2.5.8 asks for 24, which axe looks at. */
const TARGET_PX = 44

/** Targets that are smaller than a finger needs, by their names. Links within a sentence are as large as its type. */
function tooSmall(least: number): string[] {
  const small: string[] = []
  for (const e of document.querySelectorAll<HTMLElement>(
    'button, a[href], input, select, textarea, [role="button"], [role="combobox"]',
  )) {
    if (!e.checkVisibility({ checkOpacity: true, checkVisibilityCSS: true })) continue
    // What stands inside a larger target is that target.
    const whole =
      e.closest<HTMLElement>(
        'label, .ant-select, .ant-segmented-item, .ant-input-affix-wrapper, .ant-input-number, .ant-radio-button-wrapper',
      ) ?? e
    const box = whole.getBoundingClientRect()
    if (box.width === 0 || box.height === 0 || (box.width <= 1 && box.height <= 1) || box.right < 0) continue
    const within = e.tagName === 'A' && getComputedStyle(e).display === 'inline'
    // A cup on a picture has its place said in fields beside it.
    if (within || e.closest('svg') || e.matches('button.plain') || e.closest('[data-nextjs-toast]')) continue
    if (Math.round(box.height) < least || Math.round(box.width) < 36)
      small.push(
        `${(e.getAttribute('aria-label') ?? e.textContent ?? '').trim().slice(0, 40)} ${Math.round(box.width)}×${Math.round(box.height)}`,
      )
  }
  return small
}
const PARTS = 4
for (const [part, views] of Array.from({ length: PARTS }, (_, k) => VIEWS.filter((_, i) => i % PARTS === k)).entries())
  test(`axe finds nothing serious on any view and a tablet shows it whole, part ${part + 1} of ${PARTS}`, async ({
    page,
  }) => {
    test.setTimeout(240_000)
    await bringAxe(page)
    await page.goto('/sign-in')
    expect.soft(await serious(page), 'door').toEqual([])
    await openDemo(page)
    for (const [name, path, link, tab, at = /tab=/] of views) {
      await page.goto(path)
      if (link) {
        await page.getByRole('link', { name: link }).first().click()
        await page.waitForURL(/[0-9a-f-]{36}/)
      }
      if (tab) {
        await page.getByRole('link', { name: tab, exact: true }).click()
        await page.waitForURL(at)
      }
      // Screens that listen for news never fall silent: what is drawn is waited for, not the line.
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
      await drawn(page)
      expect.soft(await serious(page), name).toEqual([])
      // A tablet held upright shows it whole: nothing has to be pushed aside.
      await page.setViewportSize(TABLET)
      await softly
        .poll(() => page.evaluate(() => document.documentElement.scrollWidth), `${name} on a tablet`)
        .toBe(TABLET.width)
      // In the hand too, and every target is large enough for a finger.
      await page.setViewportSize(PHONE)
      await softly
        .poll(() => page.evaluate(() => document.documentElement.scrollWidth), `${name} on a phone`)
        .toBe(PHONE.width)
      expect.soft(await page.evaluate(tooSmall, TARGET_PX), `${name} on a phone: small targets`).toEqual([])
      await page.setViewportSize(DESK)
    }
  })

test('what looks for faults finds them', async ({ page }) => {
  await page.setContent('<title>A page</title><main><button></button><p style="color: #bbb">Grey on white</p></main>')
  const found = await serious(page)
  for (const rule of ['html-has-lang', 'button-name', 'color-contrast'])
    expect(found.map((f) => f.split(':')[0])).toContain(rule)
  expect(await page.evaluate(tooSmall, TARGET_PX)).toHaveLength(1)
})

test('keys go through the room: stations, help, tray, new', async ({ page }) => {
  await openDemo(page)
  await page.goto('/rack')
  for (const [i, { path }] of STATIONS.entries()) {
    await page.keyboard.press(String(i + 1))
    await page.waitForURL(`**${path}`)
  }
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog')).toContainText('Put what is focused on the tray')
  await page.keyboard.press('Escape')
  await page.goto('/paints')
  await page.getByRole('link', { name: /Canal Teal/ }).focus()
  await page.keyboard.press('t')
  await page.getByRole('link', { name: /Ferry Navy/ }).focus()
  await page.keyboard.press('t')
  const tray = page.getByRole('complementary', { name: 'Tray' })
  await expect(tray).toContainText('Canal Teal')
  await tray.getByRole('link', { name: 'To the bench' }).click()
  await page.waitForURL(/\/bench\?paints=/)
  await expect(page.getByLabel('Parts of Canal Teal')).toHaveValue('1')
  await expect(page.getByLabel('Parts of Ferry Navy')).toHaveValue('1')
  await page.goto('/plan')
  await page.keyboard.press('n')
  await page.waitForURL('**/plan/new')
})

test('nothing is fetched from anywhere but Fika itself', async ({ page }) => {
  const strangers: string[] = []
  page.on('request', (r) => {
    if (!/^(data|blob):/.test(r.url()) && !r.url().startsWith(process.env.FIKA_URL!)) strangers.push(r.url())
  })
  await openDemo(page)
  for (const path of ['/paints', '/bench', '/bench/consistency', '/rack', '/rack/labels', '/wall', '/notebook']) {
    await page.goto(path)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await drawn(page)
  }
  expect(strangers).toEqual([])
})
