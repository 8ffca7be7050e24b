import { expect, test, type Page } from '@playwright/test'
import sharp from 'sharp'
import type { ScaleStandIn } from '@/devices/scale/standIn'
import { endPool } from '@/db/base/pool'
import { savePlan } from '@/db/plans/write'
import { shortCode } from '@/core/vessel/shortCode'
import { serious } from '../support/axe'
import { startStudio } from '../support/people'
import { planInput } from '../support/plans'
import { holdScale, leaveScale, SCALE_WAIT_MS, toldAgain } from '../support/scale'
import { makeStudio } from '../support/studio'

test.use({ actionTimeout: 15_000 })
let scale: ScaleStandIn
test.beforeAll(async () => {
  test.setTimeout(SCALE_WAIT_MS)
  scale = await holdScale(77)
})
test.afterAll(async () => {
  await leaveScale(scale)
  await endPool()
})

/** Density of every paint here, g/ml. */
const PAINT = 1.2
const NAMES = ['Teal', 'White', 'Gold', 'Violet', 'Navy', 'Rose'] as const

/** A set of two 20 × 10 cm panels, a cup of six layers of 5 ml each, and a base coat of 6 ml; every bottle holds 60 ml. */
async function theDay(page: Page) {
  const signed = await startStudio(page, 'Pour room')
  const studio = await makeStudio(signed)
  const bottles: string[] = []
  for (const name of [...NAMES, 'Spare'])
    bottles.push(await studio.bottle(name, [{ materialId: await studio.paint(`${name} paint`), ul: 60_000 }]))
  const six = bottles.slice(0, 6)
  const plan = planInput(six, {
    title: 'Ferry',
    technique: 'flip-cup',
    design: {
      surface: { shape: 'rectangle', lengthMm: 200, widthMm: 100, edgeMm: 10, count: 2 },
      school: { kind: 'own', ul: 30_000 },
      coats: [{ role: 'base coat', of: { kind: 'bottle', id: bottles[1]! }, ul: 12_000 }],
    },
  })
  await studio.run((tx) => savePlan(tx, plan))
  const code = await studio.run(async (tx) => {
    const [row] = await tx.q<{ code: string }>('select code from bottle where studio_id = $1 and vessel_id = $2', [
      tx.studioId,
      bottles[6],
    ])
    return row!.code
  })
  return { studio, bottles, planId: plan.id, code }
}

const key = (page: Page) => page.getByTestId('next').click()
const go = async (page: Page, step: string) => {
  await page.getByRole('button', { name: / of 11/ }).click()
  await page.getByRole('navigation', { name: 'Steps' }).getByRole('button', { name: step, exact: true }).click()
  await expect(page.getByRole('button', { name: new RegExp(` of 11 · ${step.replace('?', '\\?')}`) })).toBeVisible()
}
/** Nothing is on its way any more. */
const sent = (page: Page) => expect(page.getByTestId('run')).toHaveAttribute('data-waiting', '0')
const title = (page: Page) => page.locator('[data-testid=run] h2').first()
const steady = (page: Page) => expect(page.getByTestId('scale')).toContainText('steady')
/** Pours so many grams, waits for the scale, and says that it is in; the µl that are booked for it, by hand. */
async function pour(page: Page, grams: number): Promise<void> {
  await steady(page)
  const before = Number(await page.getByTestId('scale').getAttribute('data-settled'))
  await scale.pour(grams, 60)
  await expect
    .poll(async () => Math.abs(Number(await page.getByTestId('scale').getAttribute('data-settled')) - before - grams))
    .toBeLessThan(0.35)
  await steady(page)
  const was = await title(page).textContent()
  await key(page)
  await toldAgain(
    page,
    () => steady(page).then(() => key(page)),
    () => expect(title(page)).not.toHaveText(was!, { timeout: 3000 }),
  )
}
const inCup = async (page: Page) => Number(await page.getByTestId('in-cup').getAttribute('data-ul'))

test('a set of two is poured by the scale, from the first check to the last rest, and the books have every µl', async ({
  page,
  browser,
}) => {
  test.setTimeout(300_000)
  const { studio, bottles, planId, code } = await theDay(page)
  await page.setViewportSize({ width: 820, height: 1180 })
  await page.goto(`/pour/${planId}`)
  await page.getByRole('button', { name: 'Pour it step by step' }).click()
  await expect(page.getByRole('heading', { name: 'Ready?' })).toBeVisible()
  await page.getByRole('checkbox', { name: /Gloves on/ }).click()
  await expect(page.getByRole('checkbox', { name: /Gloves on/ })).toBeChecked()
  await key(page)

  // One bottle by the stopwatch, and drops; the others by eye.
  await page.getByRole('button', { name: 'Teal' }).click()
  await page.keyboard.press('Space')
  await expect.poll(async () => parseFloat((await page.getByTestId('watch').textContent())!)).toBeGreaterThan(0.3)
  await page.keyboard.press('Space')
  await expect(page.getByText(/so far/)).toBeVisible()
  await page.getByRole('button', { name: 'That is enough' }).click()
  await expect(page.getByText('timed here')).toBeVisible()
  await page.getByLabel('Water in Teal').fill('6 drops')
  await page.getByRole('button', { name: 'Added that' }).click()
  await expect(page.getByText(/6.drops of water went in here/)).toBeVisible()
  await page.getByRole('button', { name: 'Next bottle' }).click()
  for (let i = 0; i < 5; i++) await page.getByRole('button', { name: 'Fine by eye' }).click()
  await expect(page.getByRole('heading', { name: 'Every bottle is checked' })).toBeVisible()
  await sent(page)
  await key(page)

  // Base coat on both, typed.
  for (const piece of ['Ferry (1)', 'Ferry (2)']) {
    await page.getByRole('button', { name: piece, exact: true }).click()
    await expect(title(page)).toContainText(`base coat on ${piece}`)
    await page.getByLabel('Typed: White').fill('6 ml')
    await key(page)
    await expect(page.getByRole('heading', { name: 'Its coats are on' })).toBeVisible()
  }
  await sent(page)
  await key(page)

  // Cup by cup on the scale: both are alike, so layer by layer; one layer goes over.
  await steady(page)
  await key(page)
  await expect(page.getByTestId('next')).toContainText('That is in')
  const weighed: number[] = []
  for (const [i, name] of NAMES.entries())
    for (const cup of [1, 2]) {
      await expect(title(page)).toContainText(`${name} into Cup ${cup}`)
      const grams = i === 2 && cup === 1 ? 9 : 6
      await pour(page, grams)
      weighed.push(grams)
      await sent(page)
    }
  await expect(page.getByRole('heading', { name: 'Every cup is loaded' })).toBeVisible()
  await expect(page.getByTestId('over')).toContainText('Gold is 2.')
  const loaded = await inCup(page)
  expect(Math.abs(loaded - (1000 * (6 * 6 + 3)) / PAINT)).toBeLessThan(3_000)

  // A bottle nobody planned, by its code, into the second cup.
  await page.getByRole('button', { name: 'Another bottle' }).click()
  await page.getByLabel('Name or code of a bottle').fill(shortCode(code).toLowerCase())
  await page.getByRole('button', { name: /Spare/ }).click()
  await page.getByRole('button', { name: 'Cup 2', exact: true }).click()
  await page.getByLabel('Typed: Spare').fill('3 ml')
  await steady(page)
  await key(page)
  await expect(page.getByRole('heading', { name: 'Every cup is loaded' })).toBeVisible()

  // A page that is loaded anew shows the same, and so does another device; what is taken back is back on both.
  await sent(page)
  const revision = await page.getByTestId('run').getAttribute('data-revision')
  await page.reload()
  await expect(page.getByTestId('run')).toHaveAttribute('data-revision', revision!)
  expect(await inCup(page)).toBe(loaded)
  const other = await browser.newContext({ storageState: await page.context().storageState() })
  const second = await other.newPage()
  await second.goto(page.url())
  await expect(second.getByTestId('run')).toHaveAttribute('data-revision', revision!)
  await page.bringToFront()
  await page.locator('h1').last().click()
  await page.keyboard.press('z')
  await expect(page.getByTestId('run')).toHaveAttribute('data-revision', String(Number(revision) + 1))
  await expect(second.getByTestId('run')).toHaveAttribute('data-revision', String(Number(revision) + 1))
  await second.getByRole('button', { name: 'Another bottle' }).click()
  await second.getByRole('button', { name: /Spare/ }).click()
  await second.getByRole('button', { name: 'Cup 2', exact: true }).click()
  await second.getByLabel('Typed: Spare').fill('4 ml')
  // An amount is taken once the scale stands: what still moves would be weighed a second time with the next one.
  await steady(second)
  await second.getByTestId('next').click()
  await expect(page.getByTestId('run')).toHaveAttribute('data-revision', String(Number(revision) + 2))
  await other.close()
  await key(page)

  // Heat twice, the cups are flipped and lifted.
  await page.getByRole('button', { name: 'Flipped' }).click()
  await page.getByRole('button', { name: 'About 5 s' }).click()
  await expect(page.getByTestId('heats')).toContainText('1 × so far')
  await page.getByRole('button', { name: 'About 5 s' }).click()
  await expect(page.getByTestId('heats')).toContainText('2 × so far, 10 s in all')
  await sent(page)
  await key(page)

  // A photo laid flat by four taps, three keepers, and the corners that follow from them.
  await page.getByTestId('photo').setInputFiles({
    name: 'wet.jpg',
    mimeType: 'image/jpeg',
    buffer: await sharp({ create: { width: 400, height: 300, channels: 3, background: '#36648b' } })
      .jpeg()
      .toBuffer(),
  })
  const photo = page.getByTestId('corners')
  await expect.poll(() => photo.evaluate((i: HTMLImageElement) => i.naturalWidth)).toBe(400)
  const box = (await photo.boundingBox())!
  for (const [x, y] of [
    [0.1, 0.1],
    [0.9, 0.15],
    [0.85, 0.9],
    [0.12, 0.85],
  ] as const)
    await photo.click({ position: { x: box.width * x, y: box.height * y } })
  await expect(page.getByTestId('corners')).toHaveCount(0)
  const board = page.getByTestId('run-board')
  const size = (await board.boundingBox())!
  for (const x of [0.25, 0.3, 0.35]) await board.click({ position: { x: size.width * x, y: size.height * 0.35 } })
  await expect(page.getByTestId('keeper')).toHaveCount(3)
  await expect(page.getByTestId('corner-order')).toContainText('Corners: bottom right, top right')
  await sent(page)
  await key(page)
  for (const corner of ['bottom right', 'top right', 'bottom left', 'top left']) {
    await expect(page.getByTestId('next')).toContainText(`Tilted to the ${corner}`)
    await key(page)
  }
  await expect(page.getByTestId('tilts')).toContainText('bottom right, top right, bottom left, top left')
  await sent(page)
  await key(page)

  // One remedy that worked.
  await page.getByRole('button', { name: 'empty corner' }).click()
  await sent(page)
  await page.getByTestId('offer').filter({ hasText: 'Leftover of the same colours' }).click()
  await sent(page)
  await page.getByRole('button', { name: 'It worked', exact: true }).click()
  await expect(page.getByRole('button', { name: 'It worked', exact: true })).toHaveAttribute('aria-pressed', 'true')
  await sent(page)
  await go(page, 'Edges')
  for (let i = 0; i < 4; i++) await key(page)
  await sent(page)
  await go(page, 'What stayed')

  // Run-off into a jar by weight, and a rest of white back.
  await page.getByRole('button', { name: 'A new jar' }).click()
  await steady(page)
  await page.getByRole('button', { name: 'Jar is on' }).click()
  await scale.pour(18, 60)
  await expect(page.getByRole('button', { name: /Run-off is in/ })).toContainText(/1[78]\.\d g/)
  await steady(page)
  await page.getByRole('button', { name: /Run-off is in/ }).click()
  await expect(page.getByTestId('run-off')).toHaveCount(1)
  await page.getByRole('button', { name: 'Waste' }).click()
  await page.getByRole('textbox', { name: 'Run-off' }).fill('4 ml')
  await page.getByRole('button', { name: 'Book the run-off' }).click()
  await expect(page.getByTestId('run-off')).toHaveCount(2)
  await page.getByLabel('Rests').getByRole('button', { name: 'White' }).click()
  await page.getByLabel('Back into White').fill('2 ml')
  await page.getByRole('button', { name: 'Pour it back' }).click()
  await expect(page.getByText(/2.ml back into White/)).toBeVisible()
  await sent(page)
  const rows = await page.getByTestId('stayed').all()
  const told = await Promise.all(
    rows.map(async (r) =>
      Object.fromEntries(
        await Promise.all(
          ['poured', 'left', 'jar', 'waste'].map(async (k) => [k, Number(await r.getAttribute(`data-${k}`))]),
        ),
      ),
    ),
  )
  for (const t of told) expect(t.left! + t.jar! + t.waste!).toBe(t.poured)
  await page.setViewportSize({ width: 390, height: 844 })
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  expect(await serious(page)).toEqual([])
  await go(page, 'Stop')
  await page.getByRole('button', { name: 'top left', exact: true }).first().click()
  await sent(page)
  await key(page)
  await expect(page.getByRole('heading', { name: 'This pour is booked' })).toBeVisible({ timeout: 20_000 })

  // By hand: what is on the two pieces, in the jar and in the waste is what the bottles gave, lot by lot.
  const books = await studio.run((tx) =>
    tx.q<{ lot: string; gave: number; pieces: number; jar: number; waste: number }>(
      `select l.lot_id as lot,
         sum(l.ul) filter (where m.kind = 'pour')::int as gave,
         (select coalesce(sum(c.ul), 0)::int from vessel_content c join vessel v on v.studio_id = c.studio_id and v.id = c.vessel_id
          where c.studio_id = $1 and c.lot_id = l.lot_id and v.kind = 'pour') as pieces,
         (select coalesce(sum(c.ul), 0)::int from vessel_content c join vessel v on v.studio_id = c.studio_id and v.id = c.vessel_id
          where c.studio_id = $1 and c.lot_id = l.lot_id and v.kind = 'jar') as jar,
         coalesce(sum(l.ul) filter (where m.kind = 'run-off'), 0)::int as waste
       from movement_line l join movement m on m.studio_id = l.studio_id and m.id = l.movement_id
       where l.studio_id = $1 and m.kind in ('pour', 'reclaim', 'run-off') group by 1`,
      [tx.studioId],
    ),
  )
  // Seven paints and the water in Teal.
  expect(books).toHaveLength(8)
  for (const b of books) expect(b.pieces + b.jar + b.waste).toBe(b.gave)
  const sum = (of: 'gave' | 'pieces' | 'jar' | 'waste') => books.reduce((s, b) => s + b[of], 0)
  expect(sum('gave')).toBe(told.reduce((s, t) => s + t.poured!, 0))
  expect(sum('pieces')).toBe(told.reduce((s, t) => s + t.left!, 0))
  expect(sum('jar')).toBe(told.reduce((s, t) => s + t.jar!, 0))
  expect(sum('waste')).toBe(told.reduce((s, t) => s + t.waste!, 0))
  // White: 60 less 6 + 6 of base, two layers as weighed, and with 2 back; Spare: 60 − 4.
  expect(await studio.holds(bottles[6]!)).toBe(56_000)
  expect(Math.abs((await studio.holds(bottles[1]!)) - (60_000 - 12_000 - 10_000 + 2_000))).toBeLessThan(700)
  // Six drops of 50 µl went into Teal before it was poured.
  const [water] = await studio.run((tx) =>
    tx.q<{ ul: number }>(
      `select sum(l.ul)::int as ul from movement_line l join movement m on m.studio_id = l.studio_id and m.id = l.movement_id where l.studio_id = $1 and m.kind = 'water'`,
      [tx.studioId],
    ),
  )
  expect(water!.ul).toBe(300)

  // The journal and the wall read it.
  await page.setViewportSize({ width: 1280, height: 800 })
  await page.goto('/notebook/journal')
  await expect(page.getByRole('cell', { name: /Run-off to waste/ }).first()).toBeVisible()
  await expect(page.getByRole('cell', { name: /Run-off kept/ }).first()).toBeVisible()
  await page.goto('/wall')
  await expect(page.getByRole('link', { name: /Ferry \(\d\)/ })).toHaveCount(2)
  await page.getByRole('link', { name: /Ferry \(1\)/ }).click()
  await expect(page.getByText('One of a set of 2')).toBeVisible()
  await expect(page.getByTestId('lot')).toHaveCount(7)
  await page.goBack()
})

test('every target of the day is 56 px for a gloved hand, upright on a tablet and on a phone', async ({ page }) => {
  const { studio, planId } = await theDay(page)
  await page.goto(`/pour/${planId}`)
  await page.getByRole('button', { name: 'Pour it step by step' }).click()
  await expect(page.getByTestId('run')).toBeVisible()
  for (const width of [820, 390]) {
    await page.setViewportSize({ width, height: 1000 })
    for (const step of [
      'Ready?',
      'Bottles',
      'Surface',
      'Load',
      'Pour',
      'Look',
      'Tilt',
      'What bothers you?',
      'Edges',
      'What stayed',
      'Stop',
    ]) {
      await go(page, step)
      const small = await page.evaluate(() =>
        [...document.querySelectorAll('[data-testid=run] :is(button, a, input:not([type=file]))')].flatMap((e) => {
          const { width: w, height: h } = e.getBoundingClientRect()
          return w > 0 && (w < 55.5 || h < 55.5) ? [`${e.textContent} ${w} × ${h}`] : []
        }),
      )
      expect([width, step, small]).toEqual([width, step, []])
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width)
    }
  }
  // Left open overnight it asks, and does nothing by itself; what was not poured is put aside.
  await studio.run((tx) =>
    tx.q(`update run set begun_at = now() - interval '20 hours' where studio_id = $1`, [tx.studioId]),
  )
  await page.reload()
  await expect(page.getByText('This pour was begun before today and is still open')).toBeVisible()
  // What is touched before the page has its hands is touched again.
  await expect(async () => {
    await key(page)
    await expect(page.getByText('Nothing was poured yet')).toBeVisible({ timeout: 2000 })
  }).toPass()
  await page.getByRole('button', { name: 'It was not poured: put it aside' }).click()
  await expect(page.getByRole('heading', { name: 'This pour was put aside' })).toBeVisible()
  await page.goto(`/pour/${planId}`)
  await expect(page.getByRole('button', { name: 'Pour it step by step' })).toBeVisible()
})
