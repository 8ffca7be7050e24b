import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import type { Page } from '@playwright/test'
import { median, type Figure } from './measure'
import { inPage, longestStillness, watchStillness } from './page'

const ROUNDS = 5

/** A 12-megapixel photo turned into a swatch in the real page, against decoding it bare; and how long the page stands still. */
export async function photoFigures(url: string): Promise<Figure[]> {
  const noise = await sharp({
    create: {
      width: 1000,
      height: 750,
      channels: 3,
      background: '#777',
      noise: { type: 'gaussian', mean: 130, sigma: 30 },
    },
  })
    .png()
    .toBuffer()
  const folder = mkdtempSync(join(tmpdir(), 'fika-photo-'))
  const photo = join(folder, 'drawdown.jpg')
  await sharp(noise).resize(4000, 3000).jpeg({ quality: 90 }).toFile(photo)
  try {
    return await inPage(url, 'Photo room', (page) => figures(page, url, photo))
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

async function figures(page: Page, url: string, photo: string): Promise<Figure[]> {
  const open = async () => {
    await page.goto(`${url}/paints/new`, { waitUntil: 'networkidle' })
    await watchStillness(page)
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
    blocked.push(await longestStillness(page))
  }
  const [mine, theirs, still] = [median(ours), median(bare), median(blocked)]
  return [
    {
      name: '12-megapixel photo to swatch in the page, against decoding it bare',
      ours: mine,
      reference: theirs,
      unit: 'ms',
      ratio: mine / theirs,
      aim: 'ours < 2,000 ms',
    },
    {
      name: 'longest time the page stands still meanwhile, against the whole',
      ours: still,
      reference: mine,
      unit: 'ms',
      ratio: still / mine,
      aim: '≤ 0.2',
    },
  ]
}
