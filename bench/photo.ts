import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { sealData } from 'iron-session'
import { signUp } from '@/db/accounts'
import { launch } from '../tests/support/chromium'
import { median, type Figure } from './measure'

const ROUNDS = 5

/** A 12-megapixel photo turned into a swatch in the real page, against decoding it bare; and how long the page stands still. */
export async function photoFigures(url: string): Promise<Figure[]> {
  const signed = await signUp({ name: 'Bench', email: `photo-${Date.now()}@example.org`, password: 'a long pass phrase', studioName: 'Photo room' }) // prettier-ignore
  const token = await sealData({ token: signed.token }, { password: process.env.FIKA_COOKIE_SECRET! })
  const noise = await sharp({ create: { width: 1000, height: 750, channels: 3, background: '#777', noise: { type: 'gaussian', mean: 130, sigma: 30 } } }).png().toBuffer() // prettier-ignore
  const folder = mkdtempSync(join(tmpdir(), 'fika-photo-'))
  const photo = join(folder, 'drawdown.jpg')
  await sharp(noise).resize(4000, 3000).jpeg({ quality: 90 }).toFile(photo)
  const browser = await launch()
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
    await context.addCookies([{ name: 'fika', value: token, url }])
    const page = await context.newPage()
    const open = async () => {
      await page.goto(`${url}/paints/new`, { waitUntil: 'networkidle' })
      await page.evaluate(() => {
        const w = window as unknown as { longest: number }
        w.longest = 0
        new PerformanceObserver((list) => {
          for (const e of list.getEntries()) w.longest = Math.max(w.longest, e.duration)
        }).observe({ type: 'longtask' })
      })
    }
    const [ours, bare, blocked]: [number[], number[], number[]] = [[], [], []]
    for (let i = 0; i <= ROUNDS; i++) {
      await open()
      // A new page each time: no mark of the photo before is left to be taken for this one's.
      const from = performance.now()
      await page.getByLabel('Photo of the drawdown').setInputFiles(photo)
      const picture = page.getByRole('application')
      await picture.focus()
      await page.keyboard.press('ArrowLeft')
      await page.getByText('Mark the paint').click()
      await picture.focus()
      await page.keyboard.press('ArrowRight')
      await page.getByTestId('photo-swatch').waitFor()
      const took = performance.now() - from
      const decode = await page.evaluate(async () => {
        const file = document.querySelector<HTMLInputElement>('input[aria-label="Photo of the drawdown"]')!.files![0]!
        const start = performance.now()
        const bitmap = await createImageBitmap(file)
        const context = new OffscreenCanvas(bitmap.width, bitmap.height).getContext('2d')!
        context.drawImage(bitmap, 0, 0)
        context.getImageData(0, 0, 1, 1)
        return performance.now() - start
      })
      if (i === 0) continue
      ours.push(took)
      bare.push(decode)
      blocked.push(await page.evaluate(() => (window as unknown as { longest: number }).longest))
    }
    const [mine, theirs, still] = [median(ours), median(bare), median(blocked)]
    return [
      { name: '12-megapixel photo to swatch in the page, against decoding it bare', ours: mine, reference: theirs, unit: 'ms', ratio: mine / theirs, aim: 'ours < 2,000 ms' },
      { name: 'longest time the page stands still meanwhile, against the whole', ours: still, reference: mine, unit: 'ms', ratio: still / mine, aim: '≤ 0.2' },
    ] // prettier-ignore
  } finally {
    await browser.close()
    rmSync(folder, { recursive: true, force: true })
  }
}
