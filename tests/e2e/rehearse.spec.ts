import { expect, test, type Page } from '@playwright/test'
import { openDemo } from '../support/people'

/** Opens the demo's plan of five rings and rehearses it. */
async function rehearse(page: Page): Promise<void> {
  await openDemo(page)
  await page.goto('/pour')
  await page
    .getByRole('link', { name: /Bakery commission/ })
    .first()
    .click()
  await page.getByRole('link', { name: 'Rehearse' }).click()
  await expect(page.getByRole('heading', { level: 1, name: /Rehearse Bakery commission/ })).toBeVisible()
  await expect(page.getByTestId('kept')).toHaveCount(4)
}

const shares = async (page: Page) =>
  Promise.all((await page.getByTestId('kept').all()).map(async (row) => Number(await row.getAttribute('data-share'))))

test('five cups are tilted by keys, a keeper is followed, and the rehearsal is kept and shown on the day', async ({
  page,
}) => {
  await rehearse(page)
  expect(await shares(page)).toEqual([1, 1, 1, 1])
  const board = page.getByTestId('board')
  await page.getByRole('button', { name: 'Mark a keeper' }).click()
  const box = (await board.boundingBox())!
  await board.click({ position: { x: box.width * 0.52, y: box.height * 0.3 } })
  await expect(page.getByText(/100 % there/)).toBeVisible()
  await board.focus()
  for (let i = 0; i < 7; i++) await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible()
  await expect(page.getByText(/over the right/)).toBeVisible({ timeout: 60_000 })
  await page.keyboard.press('0')
  await page.keyboard.press(' ')
  await expect(page.getByRole('button', { name: 'Run', exact: true })).toBeVisible()
  const kept = await shares(page)
  expect(Math.min(...kept)).toBeLessThan(1)
  expect(Math.min(...kept)).toBeGreaterThan(0.1)
  await page.getByRole('button', { name: 'Enough?' }).click()
  await expect(page.getByTestId('enough')).toContainText(/Covers in \d+ of 10/, { timeout: 60_000 })

  const list = page.getByRole('region', { name: 'Kept rehearsals' })
  const before = await list.getByRole('img').count()
  await page.getByRole('button', { name: 'Keep with the plan' }).click()
  await expect(list.getByRole('img')).toHaveCount(before + 1, { timeout: 90_000 })
  await expect(list.getByText(/mm left/)).toHaveCount(before + 1)
  // What is kept stays, and so does what is on the board.
  expect(await shares(page)).not.toEqual([1, 1, 1, 1])
  await page.getByRole('link', { name: 'To the pour' }).click()
  const day = page.getByRole('region', { name: 'As rehearsed' })
  await expect(day.getByText(/mm left/)).toBeVisible()
  const picture = day.getByRole('img')
  await expect.poll(() => picture.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBeGreaterThan(500)
})

test('goes two seconds back, begins again, and suggests corners that are then run', async ({ page }) => {
  await rehearse(page)
  const seconds = async () => Number(/([\d.]+) s ·/.exec(await page.getByText(/ s · leans/).innerText())![1])
  await page.getByRole('button', { name: 'Run', exact: true }).click()
  await expect.poll(seconds, { timeout: 60_000 }).toBeGreaterThan(3)
  await page.getByRole('button', { name: 'Pause' }).click()
  await expect(page.getByRole('button', { name: 'Run', exact: true })).toBeVisible()
  const before = await seconds()
  await page.getByRole('button', { name: '2 s back' }).click()
  await expect.poll(seconds).toBeLessThan(before - 1)
  await page.getByRole('button', { name: 'Suggest corners' }).click()
  await expect(page.getByTestId('suggestion')).toHaveCount(3, { timeout: 90_000 })
  await page.getByRole('button', { name: 'Look at it' }).first().click()
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible()
  await page.getByRole('button', { name: 'Again', exact: true }).click()
  await expect.poll(seconds).toBe(0)
})

test('says in a sentence what cannot be rehearsed, and when the rehearsal breaks off; the plan is as it was', async ({
  page,
}) => {
  await openDemo(page)
  // On its own, without a bottle: nothing is on the board.
  await page.goto('/plan/rehearse')
  await expect(page.getByText('There is no paint on this board yet.')).toBeVisible()
  await page.goto('/pour')
  await page
    .getByRole('link', { name: /Vase pair over panels/ })
    .first()
    .click()
  await page.getByRole('link', { name: 'Rehearse' }).click()
  const vase = page.getByRole('main').getByRole('button', { name: /vase/i }).first()
  await vase.click()
  await expect(page.getByText('A vase or bowl cannot be rehearsed')).toBeVisible()
  // A worker that dies.
  await page.goto('/pour')
  await page.addInitScript(() => {
    const Real = Worker
    const held: Worker[] = []
    Object.assign(window, { held })
    window.Worker = class extends Real {
      constructor(url: string | URL, options?: WorkerOptions) {
        super(url, options)
        held.push(this)
      }
    }
  })
  await page
    .getByRole('link', { name: /Bakery commission/ })
    .first()
    .click()
  await page.getByRole('link', { name: 'Rehearse' }).click()
  await expect(page.getByTestId('kept')).toHaveCount(4)
  await page.reload()
  await expect(page.getByTestId('kept')).toHaveCount(4)
  await page.evaluate(() => {
    for (const w of (window as unknown as { held: Worker[] }).held) w.dispatchEvent(new ErrorEvent('error'))
  })
  await expect(page.getByText('The rehearsal broke off. The plan is as it was: begin again.')).toBeVisible()
  await expect(page.getByTestId('kept')).toHaveCount(0)
  await page.getByRole('button', { name: 'Begin again' }).click()
  await expect(page.getByTestId('kept')).toHaveCount(4)
})

test('rehearsals are held against what was weighed, corrected by it, and run as read again', async ({ page }) => {
  await rehearse(page)
  const weighed = page.getByRole('region', { name: 'As weighed' })
  const asReadAgain = weighed.getByRole('button', { name: 'As read again' })
  if (await asReadAgain.count()) await asReadAgain.click()
  await weighed.getByRole('button', { name: 'Hold against 4 weighed' }).click()
  await page.getByRole('button', { name: 'Call it off' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'tried' })).toHaveCount(0)
  await expect(page.getByTestId('found')).toHaveCount(0)

  /** Leaned far over to the right for some seconds, from the start. */
  const filmAfter = async (seconds: number) => {
    await expect(page.getByText(/^0\.0 s ·/)).toBeVisible()
    await page.getByTestId('board').focus()
    for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowRight')
    await expect(page.getByText(new RegExp(`^${seconds}\\.\\d s ·`))).toBeVisible({ timeout: 60_000 })
    return parseFloat((await page.getByTestId('film').textContent())!)
  }
  const asRead = await filmAfter(4)
  await weighed.getByRole('button', { name: 'Hold against 4 weighed' }).click()
  await expect(page.getByTestId('found')).toContainText(/\d+\spoints off as read, \d+\spoints corrected/, {
    timeout: 60_000,
  })
  await expect(weighed.getByRole('listitem')).toHaveCount(4)
  await weighed.getByRole('button', { name: 'Rehearse so from now on' }).click()
  await expect(page.getByTestId('correction')).toContainText('Open cup is corrected by 4 weighed pieces')
  // Thicker than it was read, more of it is left at the same time.
  expect(await filmAfter(4)).toBeGreaterThan(asRead)
  await asReadAgain.click()
  await expect(page.getByTestId('correction')).toHaveCount(0)
})
