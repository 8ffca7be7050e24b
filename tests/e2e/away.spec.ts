import { expect, test } from '@playwright/test'
import { startStudio } from '../support/people'

test('a page that lost Fika says so, keeps what was typed, and sends it once when it is back', async ({
  page,
  context,
}) => {
  await startStudio(page, 'Long way')
  await page.goto('/studio/room')
  await page.getByPlaceholder('Name').first().fill('Jam jar')
  await page.getByPlaceholder('210 ml').fill('300 ml')
  await context.setOffline(true)
  await page.getByRole('button', { name: 'Add cup' }).click()
  await expect(page.getByText('Fika does not answer just now.')).toBeVisible()
  await expect(page.getByPlaceholder('Name').first()).toHaveValue('Jam jar')
  await context.setOffline(false)
  await expect(page.getByText('Jam jar')).toBeVisible()
  await expect(page.getByText('Fika does not answer just now.')).toHaveCount(0)
  await page.reload()
  await expect(page.getByText('Jam jar')).toHaveCount(1)
})

test.describe('the words a browser keeps', () => {
  test.use({ serviceWorkers: 'allow' })

  test('stand where a page cannot be reached, which comes by itself when Fika is back', async ({ page, context }) => {
    await startStudio(page, 'Far bank')
    await page.goto('/rack')
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null)
    await context.setOffline(true)
    await page.goto('/studio/room')
    await expect(page.getByRole('heading', { name: 'Fika does not answer just now' })).toBeVisible()
    await expect(page.getByText('What you typed on the page before is still there')).toBeVisible()
    await context.setOffline(false)
    await expect(page.getByRole('heading', { level: 1, name: /^Room/ })).toBeVisible()
    expect(new URL(page.url()).pathname).toBe('/studio/room')
    // What is shown of a studio is never old: nothing but the words is kept.
    expect(await page.evaluate(async () => (await caches.keys()).join())).toBe('fika-words')
    expect(await page.evaluate(async () => (await (await caches.open('fika-words')).keys()).map((r) => r.url))).toEqual(
      [`${process.env.FIKA_URL}/words.html`],
    )
  })
})
