import { readdirSync, readFileSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { v7 as uuidv7 } from 'uuid'
import { pourPlan } from '@/db/pieces/pour'
import { savePlan } from '@/db/plans/write'
import { jpegOf } from '../tests/support/photo/jpeg'
import { photograph } from '../tests/support/photo/photograph'
import { scene } from '../tests/support/photo/scene'
import { madePhotos } from '../tests/support/photo/shots'
import { planInput } from '../tests/support/plans'
import { makeStudio } from '../tests/support/studio'
import { median, type Figure } from './measure'
import { inPage, longestStillness, watchStillness } from './page'

const ROUNDS = 5
const [WIDTH, HEIGHT] = [4000, 3000]

/** Resident memory of the browser's page processes, MB: the largest. */
function pageMemory(): number {
  const sizes = readdirSync('/proc')
    .filter((p) => /^\d+$/.test(p))
    .flatMap((p) => {
      try {
        if (!readFileSync(`/proc/${p}/cmdline`, 'utf8').includes('--type=renderer')) return []
        return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${p}/status`, 'utf8'))?.[1] ?? 0) / 1024
      } catch {
        return []
      }
    })
  return Math.max(0, ...sizes)
}

/** A photo of 12 megapixels opened, laid flat and measured in the real page: how long, how still the page stands, how much memory. */
export async function photoDeskFigures(url: string): Promise<Figure[]> {
  const [made] = madePhotos(1, 2)
  const photo = photograph(scene({ ...made!.wish, pxPerMm: 5 }), made!.shot)
  const folder = mkdtempSync(join(tmpdir(), 'fika-desk-'))
  const file = join(folder, 'piece.jpg')
  writeFileSync(
    file,
    await sharp(await jpegOf(photo, 92))
      .resize(WIDTH, HEIGHT)
      .jpeg({ quality: 92 })
      .toBuffer(),
  )
  try {
    return await inPage(url, 'Photo desk', async (page, signed) => {
      const studio = await makeStudio(signed)
      const bottles: string[] = []
      for (const hex of made!.wish.palette) {
        const bottle = await studio.bottle(hex, [{ materialId: await studio.paint(hex, { hex }), ul: 90_000 }])
        await studio.run((tx) =>
          tx.q('update bottle set colour_hex = $3 where studio_id = $1 and vessel_id = $2', [tx.studioId, bottle, hex]),
        )
        bottles.push(bottle)
      }
      const { lengthMm, widthMm } = made!.wish
      const plan = planInput(bottles, {
        design: {
          surface: { shape: 'rectangle', lengthMm, widthMm, edgeMm: 10, count: 1 },
          school: { kind: 'own', ul: 60_000 },
        },
      })
      await studio.run((tx) => savePlan(tx, plan))
      const pieceId = uuidv7()
      const takes = bottles.map((vesselId) => ({ vesselId, ul: 15_000 }))
      await studio.run((tx) =>
        pourPlan(tx, { requestId: uuidv7(), planId: plan.id, pieceId, vesselId: uuidv7(), takes }),
      )
      const [took, still, memory]: [number[], number[], number[]] = [[], [], []]
      for (let i = 0; i <= ROUNDS; i++) {
        await page.goto(`${url}/wall/${pieceId}/look/dry`, { waitUntil: 'networkidle' })
        await watchStillness(page)
        const measure = page.getByRole('button', { name: 'Measure', exact: true })
        const from = performance.now()
        await page.getByLabel('Choose a photo').setInputFiles(file)
        await page.getByTestId('corners').waitFor()
        const opened = performance.now() - from
        await page.waitForTimeout(200)
        const again = performance.now()
        await measure.click()
        await page.getByRole('button', { name: 'Keep it', exact: true }).waitFor()
        const all = opened + performance.now() - again
        if (i === 0) continue
        took.push(all)
        still.push(await longestStillness(page))
        memory.push(pageMemory())
      }
      return [
        figure('a 12-megapixel photo of a piece opened, laid flat and measured in the page', median(took), 3000, 'ms'),
        figure('longest time the page stands still meanwhile', median(still), 50, 'ms'),
        figure('memory of the page meanwhile', Math.max(...memory), 600, 'MB'),
      ]
    })
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

const figure = (name: string, ours: number, most: number, unit: string): Figure => ({
  name,
  ours,
  reference: most,
  unit,
  ratio: ours / most,
  aim: '≤ 1',
})
