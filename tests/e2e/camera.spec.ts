import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, expect, test, type Page } from '@playwright/test'
import { CHROMIUM } from '../support/chromium'
import { writeCameraFilm } from '../support/fakeCamera'
import { openDemo } from '../support/people'

const folder = mkdtempSync(join(tmpdir(), 'fika-camera-'))
test.afterAll(() => rmSync(folder, { recursive: true }))

/** A browser whose camera sees a film, and which lets Fika use it or does not. */
async function seeing(film: string, allowed: boolean, work: (page: Page) => Promise<void>): Promise<void> {
  const browser = await chromium.launch({
    executablePath: CHROMIUM.executablePath,
    args: [
      ...CHROMIUM.args,
      '--use-fake-device-for-media-stream',
      ...(allowed ? ['--use-fake-ui-for-media-stream'] : []),
      `--use-file-for-fake-video-capture=${film}`,
    ],
  })
  try {
    const context = await browser.newContext({
      baseURL: process.env.FIKA_URL!,
      viewport: { width: 390, height: 844 },
      permissions: allowed ? ['camera'] : [],
    })
    await work(await context.newPage())
  } finally {
    await browser.close()
  }
}

test('a label held before the camera opens its bottle, on a phone', async ({ page }) => {
  await openDemo(page)
  await page.goto('/rack')
  const path = (await page
    .getByRole('link', { name: /Night teal/ })
    .first()
    .getAttribute('href'))!
  const film = join(folder, 'label.y4m')
  writeCameraFilm(film, `https://192.168.1.20:4343${path}`)
  await seeing(film, true, async (phone) => {
    await openDemo(phone)
    await phone.goto('/rack')
    await phone.getByRole('button', { name: 'Scan' }).click()
    await phone.waitForURL(`**${path}`)
    await expect(phone.getByRole('heading', { level: 1, name: /Night teal/ })).toBeVisible()
  })
})

test('another code is told from a label, and an empty table says nothing', async () => {
  const film = join(folder, 'other.y4m')
  writeCameraFilm(film, 'https://elsewhere.example/rack/1')
  await seeing(film, true, async (phone) => {
    await openDemo(phone)
    await phone.goto('/rack')
    await phone.getByRole('button', { name: 'Scan' }).click()
    await expect(phone.getByText('That code is none of Fika’s labels.')).toBeVisible()
    await phone.getByRole('button', { name: 'Close' }).click()
    await expect(phone).toHaveURL(/\/rack$/)
  })
  const empty = join(folder, 'empty.y4m')
  writeCameraFilm(empty, undefined)
  await seeing(empty, true, async (phone) => {
    await openDemo(phone)
    await phone.goto('/rack')
    await phone.getByRole('button', { name: 'Scan' }).click()
    // It sees the table, and goes on looking.
    const seen = phone.getByLabel('What the camera sees')
    await expect(seen).toHaveJSProperty('videoWidth', 640)
    await expect.poll(() => seen.evaluate((v: HTMLVideoElement) => v.currentTime)).toBeGreaterThan(1.5)
    await expect(phone.getByRole('dialog').getByRole('alert')).toHaveCount(0)
  })
})

test('a camera that may not be used is said, with another way', async () => {
  const film = join(folder, 'refused.y4m')
  writeCameraFilm(film, undefined)
  await seeing(film, false, async (phone) => {
    await openDemo(phone)
    await phone.goto('/rack')
    await phone.getByRole('button', { name: 'Scan' }).click()
    await expect(phone.getByRole('dialog').getByRole('alert')).toContainText('take a picture instead', {
      ignoreCase: true,
    })
  })
})
