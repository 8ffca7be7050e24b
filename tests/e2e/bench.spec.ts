import { expect, test, type Page } from '@playwright/test'
import jsQR from 'jsqr'
import sharp from 'sharp'
import { v7 as uuidv7 } from 'uuid'
import type { ScaleStandIn } from '@/devices/scale/standIn'
import { readCsv } from '@/exchange/csv'
import { guessMapping } from '@/exchange/fields'
import { serious } from '../support/axe'
import { drawerCsv } from '../support/drawerCsv'
import { importFile } from '../support/importing'
import { choose, pick, startStudio } from '../support/people'
import { makeStudio } from '../support/studio'
import { holdScale, leaveScale, SCALE_WAIT_MS, toldAgain } from '../support/scale'

let scale: ScaleStandIn
test.beforeAll(async () => {
  test.setTimeout(SCALE_WAIT_MS)
  scale = await holdScale(21)
})
test.afterAll(() => leaveScale(scale))

/** A studio whose drawer holds paints and two mediums, brought in as a list; by hand that is done in journey.spec. */
async function aDrawer(page: Page, studioName: string): Promise<void> {
  const studio = await makeStudio(await startStudio(page, studioName))
  const table = readCsv(drawerCsv())
  await studio.run((tx) => importFile(tx, { kind: 'table', table }, guessMapping(table.headings), false))
}

const step = (page: Page) => page.locator('[data-step]').getAttribute('data-step')
/** The one key; a tap while the one before it is still on its way is taken for the same tap. */
async function key(page: Page): Promise<void> {
  const next = page.locator('[data-testid="next"]')
  if (await next.count()) await expect(next).toBeEnabled()
  await page.keyboard.press('Space')
}
/** Grams still to pour, as they stand on the screen. */
const left = async (page: Page) => parseFloat((await page.getByTestId('left').textContent())!)
const title = (page: Page) => page.locator('[data-step] h2').first()
const steady = (page: Page) => expect(page.getByTestId('scale')).toContainText('steady')

/** Pours the line that is shown and goes on when the scale stands. */
async function pourLine(page: Page, extraG = 0): Promise<void> {
  const before = await title(page).textContent()
  await steady(page)
  await scale.pour((await left(page)) + extraG, 60)
  await key(page)
  await expect(title(page)).not.toHaveText(before!)
}

/** Times the mound as a hand would, three times or until it is enough; the reading is what lay between its keys. */
async function timeMound(page: Page, seconds: number, tries = 3): Promise<void> {
  await page.evaluate(() => {
    const pressed: number[] = []
    Object.assign(window, { pressed })
    window.addEventListener('keydown', (e) => pressed.push(e.timeStamp), true)
  })
  for (let i = 1; i <= tries; i++) {
    await expect(page.getByRole('heading', { name: `Time the mound, try ${i} of 3` })).toBeVisible()
    await key(page)
    await page.waitForFunction(
      ([n, ms]) => {
        const { pressed } = window as unknown as { pressed: number[] }
        return pressed.length === n && performance.now() - pressed.at(-1)! >= ms!
      },
      [2 * i - 1, 1000 * seconds],
    )
    await key(page)
  }
  if (tries < 3) await page.getByRole('button', { name: 'That is enough' }).click()
  await expect(page.getByTestId('reading')).toContainText(tries < 3 ? 'one try' : 'middle of 3')
  const pressed = await page.evaluate(() => (window as unknown as { pressed: number[] }).pressed)
  expect(pressed).toHaveLength(2 * tries)
  const times = Array.from({ length: tries }, (_, i) => (pressed[2 * i + 1]! - pressed[2 * i]!) / 1000).sort(
    (a, b) => a - b,
  )
  // A busy machine presses late, never early.
  expect(times[0]).toBeGreaterThanOrEqual(seconds - 0.05)
  // It is shown to a tenth.
  expect(Math.abs(parseFloat((await page.getByTestId('reading').textContent())!) - times[tries >> 1]!)).toBeLessThan(
    0.06,
  )
}

test('a recipe of five is mixed with the scale, watered three times, labelled, and the rack is taken stock of', async ({
  page,
  context,
}) => {
  test.setTimeout(240_000)
  await aDrawer(page, 'Scale room')

  // Two paints, two mediums and water: 300 ml.
  await page.goto('/bench')
  await page.getByRole('button', { name: 'Add a paint' }).click()
  await choose(page, 'Choose a paint', 'Canal Teal')
  await page.getByRole('button', { name: 'And another' }).first().click()
  await choose(page, 'Choose a paint', 'Shade 5')
  await page.getByRole('button', { name: 'And another' }).last().click()
  await choose(page, 'Choose a medium', 'Torvald Gloss')
  await page.getByLabel('Water, in the same parts').fill('0.2')
  await page.getByLabel('Total to mix').fill('300 ml')
  await page.getByLabel('Cup holds').fill('500 ml')
  await expect(page.getByTestId('amount')).toHaveCount(5)
  await page.getByRole('button', { name: 'Mix step by step' }).click()
  await page.waitForURL(/\/bench\/guide\//)
  await expect(page.getByText('Shake and strain Kvarnby Flow')).toBeVisible()
  await key(page)
  await expect(title(page)).toHaveText('Set the empty cup on the scale')
  scale.place(32)
  await expect(page.getByTestId('scale')).toContainText('32.')
  await steady(page)
  await key(page)
  await expect(page.locator('ol[aria-label="Steps"] [aria-current]')).toHaveText('Pour 1 of 5')
  await pourLine(page)

  // The plug is pulled in the middle of a pour; what is in the cup stays in the cup.
  await expect(page.locator('ol[aria-label="Steps"] [aria-current]')).toHaveText('Pour 2 of 5')
  const second = await title(page).textContent()
  await steady(page)
  const wanted = await left(page)
  const pouring = scale.pour(wanted, 40)
  await expect.poll(() => left(page)).toBeLessThan(0.9 * wanted)
  await scale.unplug()
  await expect(page.getByTestId('scale')).toContainText('The scale does not answer')
  await pouring
  await scale.plugIn()
  await steady(page)
  expect(Math.abs(await left(page))).toBeLessThan(1)
  await key(page)
  await expect(title(page)).not.toHaveText(second!)

  expect(await serious(page)).toEqual([])

  // A reload and a second device find the very step.
  await page.reload()
  await expect(page.locator('ol[aria-label="Steps"] [aria-current]')).toHaveText('Pour 3 of 5')
  const other = await context.newPage()
  await other.goto(page.url())
  await expect(other.locator('ol[aria-label="Steps"] [aria-current]')).toHaveText('Pour 3 of 5')

  // Too much of the third: the batch grows, and what was poured before it is asked for again.
  await steady(page)
  const planned = await left(page)
  await scale.pour(planned * 1.25, 60)
  await key(page)
  await expect(page.getByTestId('overshoot')).toContainText('too much')
  await expect(page.getByText('and the cup holds it')).toBeVisible()
  await key(page)
  await expect(other.locator('ol[aria-label="Steps"] [aria-current]')).toHaveText('Pour 4 of 5')
  await other.close()
  for (let i = 0; i < 8 && (await step(page)) === 'pour'; i++) {
    await pourLine(page)
  }
  await expect(title(page)).toHaveText('Stir')
  // Undo goes back one step, and on again.
  await expect(page.getByRole('button', { name: /^Undo/ })).toBeEnabled()
  await page.keyboard.press('z')
  await expect(page.locator('[data-step]')).toHaveAttribute('data-step', 'pour')
  await steady(page)
  await page.getByLabel(/^Typed: /).fill('1 ml')
  // It waits for the undo before it: what is still to pour stands only once both are kept.
  const kept = page.waitForResponse((r) => Boolean(r.request().postData()?.includes('"ul":1000')))
  await page.getByLabel(/^Typed: /).press('Enter')
  await kept
  await expect(page.locator('[data-step]')).toHaveAttribute('data-step', /pour|stir/)
  for (let i = 0; i < 3 && (await step(page)) === 'pour'; i++) await pourLine(page)
  await expect(title(page)).toHaveText('Stir')
  await key(page)

  expect(await serious(page)).toEqual([])

  // Three waterings: by the scale, by the key, and typed.
  await timeMound(page, 3.1, 1)
  const advised = Number(await page.getByTestId('advice').getAttribute('data-ul'))
  expect(advised).toBeGreaterThan(500)
  await steady(page)
  await scale.pour(advised / 1000, 20)
  await expect(page.getByText('by the scale')).toBeVisible()
  await key(page)
  await timeMound(page, 2.7, 1)
  await key(page)
  await timeMound(page, 2.4, 1)
  await page.getByLabel('Water that went in').fill('20 drops')
  await page.getByLabel('Water that went in').press('Enter')
  await timeMound(page, 1.5)
  await expect(page.getByText('It is as wanted')).toBeVisible()
  await page.getByRole('button', { name: /It is good/ }).click()

  // Into a bottle.
  const total = Number(await page.getByTestId('guide-total').getAttribute('data-ul'))
  await page.getByLabel('Name of the bottle').fill('Lock teal')
  await page.getByLabel('Bottle holds').fill('600 ml')
  await page.getByLabel('Empty bottle weighs').fill('40 g')
  await page.getByLabel('Palette').fill('Locks')
  await page.getByRole('button', { name: /Book the bottle/ }).dblclick()
  await page.waitForURL(/\/rack\/[0-9a-f-]{36}$/)
  const bottleUrl = page.url()
  await expect(page.getByTestId('bottle-ml')).toHaveAttribute('data-ul', String(total))
  expect(total).toBeGreaterThan(330_000)
  await expect(page.getByText(/flat in 1\.\d s, melts/)).toBeVisible()
  await expect(page.getByText('It rests until').first()).toBeVisible()

  // Its label, read by a library of another house, and by the app from a picture.
  await page.getByRole('link', { name: 'Print label' }).click()
  await page.waitForURL(/\/rack\/labels/)
  const sheet = page.getByTestId('sheet')
  await expect(sheet).toBeVisible()
  await expect.poll(() => sheet.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBeGreaterThan(0)
  const picture = await sheet.screenshot()
  const { data, info } = await sharp(picture).ensureAlpha().raw().toBuffer({ resolveWithObject: true })
  expect(jsQR(new Uint8ClampedArray(data), info.width, info.height)?.data).toBe(bottleUrl)
  const pdf = await page.request.get((await page.getByRole('link', { name: 'Print as PDF' }).getAttribute('href'))!)
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-')
  await page.goto('/rack')
  await page
    .getByLabel('Picture of a label')
    .setInputFiles({ name: 'label.png', mimeType: 'image/png', buffer: picture })
  await page.waitForURL(bottleUrl)
  const code = (await page.getByText(/^[0-9A-Z]{4,5}-[0-9A-Z]$/).textContent())!
  await page.goto('/rack')
  await page.getByLabel('Code on the label').fill(`${code.slice(0, -1)}?`)
  await page.getByLabel('Code on the label').press('Enter')
  await expect(page.getByText('is no code of a label')).toBeVisible()
  await page.getByLabel('Code on the label').fill(code.toLowerCase())
  await page.getByLabel('Code on the label').press('Enter')
  await page.waitForURL(bottleUrl)

  // Shared out, there are ten on the rack.
  const density = parseFloat(/([\d.]+) g\/ml/.exec((await page.locator('.panel').first().textContent())!)![1]!)
  await page.getByText('More', { exact: true }).click()
  await page.getByLabel('Into how many bottles').fill('9')
  await page.getByLabel('Volume of each').fill('20 ml')
  await page.getByRole('button', { name: 'Share out' }).click()
  await expect(page.getByTestId('bottle-ml')).toHaveAttribute('data-ul', String(total - 180_000))

  // Stocktake: one has lost water, one holds more than booked, one lost more than water can explain.
  await page.goto('/rack/stocktake')
  await expect(page.getByRole('heading', { name: 'Stocktake 0 of 10 weighed' })).toBeVisible()
  const settled = async () => Number((await page.getByTestId('stock-scale').getAttribute('data-settled')) || NaN)
  await expect.poll(settled).toBeGreaterThan(300)
  let on = await settled()
  const beside = await page.context().newPage()
  for (let n = 1; n <= 10; n++) {
    const name = (await page.getByTestId('to-weigh').textContent())!
    const first = name === 'Lock teal'
    const net = density * (first ? (total - 180_000) / 1000 : 20)
    const gross = (first ? 40 : 30) + net + (first ? -3 : n === 4 ? 2 : n === 6 ? -8 : 0)
    scale.place(gross - on)
    on = gross
    await expect.poll(async () => Math.abs((await settled()) - gross)).toBeLessThan(0.6)
    if (!first) await page.getByLabel('Empty bottle weighs').fill('30 g')
    await page.getByTestId('to-weigh').click()
    await key(page)
    await toldAgain(
      page,
      async () => {
        await expect.poll(async () => Math.abs((await settled()) - gross)).toBeLessThan(0.6)
        await key(page)
      },
      () => expect(page.getByRole('heading', { name: `Stocktake ${n} of 10 weighed` })).toBeVisible({ timeout: 3000 }),
    )
    if (n === 1) {
      await page.reload()
      await expect(page.getByRole('heading', { name: 'Stocktake 1 of 10 weighed' })).toBeVisible()
      await beside.goto('/rack/stocktake')
    }
    // Another device is told of it, without asking.
    if (n <= 2) await expect(beside.getByRole('heading', { name: `Stocktake ${n} of 10 weighed` })).toBeVisible()
    if (n === 2) await beside.close()
  }
  const weighed = page.getByTestId('weighed')
  await expect(weighed).toHaveCount(10)
  await expect(weighed.filter({ hasText: 'more is missing' })).toHaveCount(1)
  await expect(page.getByRole('button', { name: 'Book 10 weights' })).toBeDisabled()
  await page.getByText('It sticks to the walls').click()
  await page.getByRole('button', { name: 'Book 10 weights' }).click()
  await expect(page.getByRole('heading', { name: 'Stocktake 0 of 10 weighed' })).toBeVisible()
  await page.goto(bottleUrl)
  await expect(page.getByText(/It has lost [23][.\d]*.ml of water/)).toBeVisible()
  await expect(page.getByRole('row', { name: /Weighed in/ })).toContainText('40 g tare')
})

test('double taps and retries at a mix book once, over plain HTTP', async ({ page }) => {
  await aDrawer(page, 'Tap room')
  await page.goto('/bench')
  await page.getByRole('button', { name: 'Add a paint' }).click()
  await choose(page, 'Choose a paint', 'Canal Teal')
  await page.getByRole('button', { name: 'Mix step by step' }).click()
  await page.waitForURL(/\/bench\/guide\//)
  const address = `/bench/mixing/${page.url().split('/').at(-1)!}`
  const post = async (data: object, at = address) =>
    (await page.request.post(at, { data, headers: { origin: new URL(page.url()).origin } })).json() as Promise<{
      ok: boolean
      code?: string
      message?: string
      value: { revision: number; events: unknown[]; id: string }
    }>

  // Ten taps of one hand at once are one step; a tap of another hand that saw the old step is refused.
  const first = { requestId: uuidv7(), after: 0, event: { kind: 'next' } }
  const taps = await Promise.all(Array.from({ length: 10 }, () => post(first)))
  expect(taps.map((t) => [t.ok, t.value.revision])).toEqual(new Array(10).fill([true, 1]))
  const late = await post({ ...first, requestId: uuidv7() })
  expect(late).toMatchObject({ ok: false, code: 'Conflict' })
  const racing = await Promise.all(
    Array.from({ length: 8 }, () => post({ requestId: uuidv7(), after: 1, event: { kind: 'next' } })),
  )
  expect(racing.filter((r) => r.ok)).toHaveLength(1)

  // What cannot be read is a sentence, and changes nothing.
  expect(await post({ requestId: uuidv7(), after: 2, event: { kind: 'dance' } })).toMatchObject({
    ok: false,
    message: expect.stringContaining('does not know that step') as unknown,
  })
  expect(await post({ requestId: uuidv7(), after: 2, event: { kind: 'pour', ul: -5 } })).toMatchObject({ ok: false })
  expect(await post({ requestId: uuidv7(), after: 2, event: { kind: 'pour' } })).toMatchObject({
    ok: false,
    message: expect.stringContaining('how much was poured') as unknown,
  })
  let revision = 2
  for (const event of [
    { kind: 'pour', ul: 160_000 },
    { kind: 'pour', ul: 80_000 },
    { kind: 'next' },
    { kind: 'good' },
  ]) {
    const sent = { requestId: uuidv7(), after: revision, event }
    const said = await Promise.all([post(sent), post(sent)])
    revision++
    expect(said.map((s) => s.value.revision)).toEqual([revision, revision])
  }
  const details = { label: 'Tapped teal', role: 'pour', restHours: 12 }
  const booked = await Promise.all(Array.from({ length: 6 }, () => post(details, `${address}/bottle`)))
  expect(new Set(booked.map((b) => b.value.id)).size).toBe(1)
  expect(await post(details, `${address}/bottle`)).toMatchObject({ ok: true, value: { id: booked[0]!.value.id } })
  expect(await post({ requestId: uuidv7(), after: revision, event: { kind: 'undo' } })).toMatchObject({
    ok: false,
    code: 'Conflict',
  })
  await page.goto('/rack')
  await expect(page.getByRole('heading', { name: 'Rack 1 bottle' })).toBeVisible()
  await page.getByRole('link', { name: /Tapped teal/ }).click()
  await expect(page.getByTestId('bottle-ml')).toHaveAttribute('data-ul', '240000')
  // Nobody who is not of this studio gets at it.
  const stranger = await page.context().browser()!.newContext()
  const answer = await stranger.request.get(new URL(address, page.url()).href)
  expect(await answer.json()).toMatchObject({ ok: false, code: 'SignedOut' })
  await stranger.close()
})

test('what is mixed by eye is read back, kept, and stands on the rack of another device at once', async ({
  page,
  context,
}) => {
  await aDrawer(page, 'Eye room')
  const other = await context.newPage()
  await other.goto('/rack')
  await expect(other.getByRole('heading', { name: 'The rack is empty' })).toBeVisible()

  await page.goto('/bench/eye')
  await page.getByRole('button', { name: 'Begin' }).click()
  await page.waitForURL(/\/bench\/eye\//)
  await expect(page.getByTestId('scale')).toContainText('steady')
  await key(page)
  await expect(page.getByText('say what goes in', { exact: true })).toBeVisible()
  await choose(page, 'What goes in now', 'Canal Teal')
  await expect(page.getByText('pour Canal Teal; it is booked')).toBeVisible()
  await scale.pour(40, 40)
  await expect(page.getByTestId('addition')).toHaveCount(1)
  await choose(page, 'What goes in now', 'Kvarnby Flow')
  await expect(page.getByText('pour Kvarnby Flow; it is booked')).toBeVisible()
  await scale.pour(70, 40)
  await expect(page.getByTestId('addition')).toHaveCount(2)
  await page.getByLabel('What went in, typed').fill('5 drops')
  await page.getByLabel('What went in, typed').press('Enter')
  // 40 g at 1.22 g/ml and 70 g at 1.03 g/ml with a quarter ml more: 68.2 to 32.8 ml.
  await expect(page.getByTestId('read-back')).toContainText(/2\.0[5-9] : 1|2\.1\d? : 1/)
  await page.getByRole('button', { name: 'Keep the recipe' }).click()
  await page.getByLabel('Name of the recipe').fill('By eye')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText('Recipe kept')).toBeVisible()
  await page.getByRole('button', { name: /Into a bottle/ }).click()
  await page.getByLabel('Name of the bottle').fill('Eye teal')
  await page.getByRole('button', { name: /Book the bottle/ }).click()
  await page.waitForURL(/\/rack\/[0-9a-f-]{36}$/)
  // The other device shows it without being touched.
  await expect(other.getByRole('heading', { name: 'Rack 1 bottle' })).toBeVisible({ timeout: 3_000 })
  await other.close()

  // Read it, water it by the advice, and bring it to be the measure of its palette.
  await page.getByRole('link', { name: 'read it' }).click()
  await page.waitForURL(/consistency/)
  await page.getByText('Flow cup', { exact: true }).click()
  await page.getByLabel('Runs out in, s').fill('500')
  await page.getByRole('button', { name: 'Keep the reading' }).click()
  await expect(page.getByText('good for 30 to 100 s. Take a wider cup')).toBeVisible()
  await pick(page, 'Flow cup', 'ISO 6 mm')
  await page.getByLabel('Runs out in, s').fill('70')
  await page.getByRole('button', { name: 'Keep the reading' }).click()
  await expect(page.getByText('Reading kept')).toBeVisible()
  await expect(page.getByText(/read .* ago: 3\.\d+ s/)).toBeVisible()
  await page.getByRole('button', { name: 'Added', exact: true }).click()
  await expect(page.getByText(/(drops?|ml) booked/)).toBeVisible()
  await page.getByRole('button', { name: 'Make it the reference' }).click()
  await expect(page.getByText('the reference', { exact: true })).toBeVisible()
  await page.goto('/bench/recipes')
  await expect(page.getByRole('heading', { name: 'By eye' })).toBeVisible()
})
