import { writeFileSync } from 'node:fs'
import { expect, test, type Page } from '@playwright/test'
import { v7 as uuidv7 } from 'uuid'
import { endPool } from '@/db/base/pool'
import { pourPlan } from '@/db/pieces/pour'
import { savePlan } from '@/db/plans/write'
import { serious } from '../support/axe'
import { startStudio } from '../support/people'
import { jpegOf } from '../support/photo/jpeg'
import { photograph, type Shot } from '../support/photo/photograph'
import { scene } from '../support/photo/scene'
import { planInput } from '../support/plans'
import { makeStudio } from '../support/studio'

// The last there is: what one worker has left the other takes.
test.describe.configure({ mode: 'parallel' })
test.use({ actionTimeout: 15_000 })
test.afterAll(endPool)

const PALETTE = ['#f2efe6', '#136a78', '#d9a441'] as const
const NAMES = ['Snow', 'Teal', 'Gold'] as const

/** A panel of 30 × 22 cm poured ten days ago, with silicone in one of its bottles. */
async function aPiece(page: Page) {
  const signed = await startStudio(page, 'Wall room')
  const studio = await makeStudio(signed)
  const oil = uuidv7()
  await studio.run((tx) =>
    tx.q(
      `insert into material (studio_id, id, kind, name, maker, density_g_per_ml, solids) values ($1, $2, 'additive', 'Oil', '', 0.97, 1)`,
      [tx.studioId, oil],
    ),
  )
  const bottles: string[] = []
  for (const [i, name] of NAMES.entries()) {
    const paint = await studio.paint(`${name} paint`, { hex: PALETTE[i]! })
    const bottle = await studio.bottle(name, [
      { materialId: paint, ul: 90_000 },
      ...(i === 2 ? [{ materialId: oil, ul: 50 }] : []),
    ])
    await studio.run((tx) =>
      tx.q('update bottle set colour_hex = $3 where studio_id = $1 and vessel_id = $2', [
        tx.studioId,
        bottle,
        PALETTE[i],
      ]),
    )
    bottles.push(bottle)
  }
  const plan = planInput(bottles, {
    title: 'Weir at dusk',
    technique: 'ring',
    design: {
      surface: { shape: 'rectangle', lengthMm: 300, widthMm: 220, edgeMm: 15, count: 1 },
      school: { kind: 'own', ul: 90_000 },
    },
  })
  await studio.run((tx) => savePlan(tx, plan))
  const pieceId = uuidv7()
  const takes = bottles.map((vesselId) => ({ vesselId, ul: 30_000 }))
  await studio.run((tx) =>
    pourPlan(
      tx,
      { requestId: uuidv7(), planId: plan.id, pieceId, vesselId: uuidv7(), takes },
      new Date(Date.now() - 10 * 86_400_000),
    ),
  )
  return { studio, pieceId }
}

/** The piece as it really lies, and photos of it, wet and dry. */
const lying = scene({
  seed: 11,
  lengthMm: 300,
  widthMm: 220,
  palette: PALETTE,
  bandMm: 34,
  cells: { everyMm: 26, fromMm: 6, toMm: 16, withHalo: false },
  pxPerMm: 4,
})
const SHOT: Shot = {
  seed: 4,
  width: 1300,
  height: 975,
  slant: 0.04,
  cast: [-0.1, -0.12, -0.2],
  vignette: 0.08,
  slope: 0.05,
  blurPx: 0.6,
  noise: 2,
  offBottle: 0.04,
  tone: 0.03,
  glare: 0,
}
async function photoFile(name: string, more: Partial<Shot> = {}): Promise<string> {
  const file = test.info().outputPath(`${name}.jpg`)
  writeFileSync(file, await jpegOf(photograph(lying, { ...SHOT, ...more })))
  return file
}

const shares = (page: Page) =>
  page.getByTestId('share').evaluateAll((all) => all.map((e) => Number((e as HTMLElement).dataset.seen)))

test('a piece from its wet photo to the wall: measured, finished, written up, and found by colour', async ({
  page,
}) => {
  test.setTimeout(180_000)
  await page.emulateMedia({ reducedMotion: 'reduce' })
  const { pieceId } = await aPiece(page)

  // Wet: one corner is moved away by hand and back, and the shares come out near the truth.
  await page.goto(`/wall/${pieceId}`)
  await page.getByRole('link', { name: /^wet/ }).click()
  await page.getByLabel('Choose a photo').setInputFiles(await photoFile('wet', { seed: 9, cast: [-0.3, -0.3, -0.35] }))
  await expect(page.getByText('Are these its corners?')).toBeVisible()
  const corner = page.getByRole('button', { name: 'top left corner' })
  await corner.focus()
  for (let i = 0; i < 6; i++) await page.keyboard.press('Shift+ArrowRight')
  await page.getByRole('button', { name: 'Measure', exact: true }).click()
  await page.getByRole('button', { name: 'Corners again' }).click()
  await corner.focus()
  for (let i = 0; i < 6; i++) await page.keyboard.press('Shift+ArrowLeft')
  await page.getByRole('button', { name: 'Measure', exact: true }).click()
  await expect(page.getByRole('button', { name: 'Keep it', exact: true })).toBeVisible()
  const seen = await shares(page)
  seen.forEach((s, i) => expect(Math.abs(s - lying.shares[order(i)]!)).toBeLessThan(0.05))
  await page.getByRole('button', { name: 'Keep it', exact: true }).click()
  await expect(page.getByText('Photo kept')).toBeVisible()

  // The tour: a weak spot, the best one, a fault with its place and how much.
  await page.getByRole('button', { name: 'top right', exact: true }).click()
  await page.getByRole('button', { name: /The best spot/ }).click()
  await page.getByRole('button', { name: 'middle', exact: true }).click()
  await page.getByRole('button', { name: /^Pinholes/ }).click()
  await page.getByRole('button', { name: 'bottom', exact: true }).click()
  await page.getByLabel('How much Pinholes').getByText('a little').click()
  await page.getByLabel('In words').fill('Gold rises in the middle.')
  expect(await serious(page)).toEqual([])
  await page.getByRole('button', { name: 'Note the look' }).click()
  await expect(page.getByText('Noted', { exact: true })).toBeVisible()

  // Dry: another photo, measured; both are laid over each other.
  await page.goto(`/wall/${pieceId}/look/dry`)
  await page.getByLabel('Choose a photo').setInputFiles(await photoFile('dry'))
  await page.getByRole('button', { name: 'Measure', exact: true }).click()
  await page.getByRole('button', { name: 'Keep it', exact: true }).click()
  await expect(page.getByText('Photo kept')).toBeVisible()
  await page.locator('.ant-rate-star').nth(3).click()
  await page.getByRole('button', { name: 'Note the look' }).click()
  await expect(page.getByText('Noted', { exact: true })).toBeVisible()
  await page.goto(`/wall/${pieceId}`)
  await expect(page.getByText('laid over each other')).toBeVisible()
  await expect(page.getByRole('region', { name: 'Wet and dry' })).toContainText('stayed')
  await expect(page.getByRole('region', { name: 'Looks', exact: true })).toContainText('Pinholes, a little')
  expect(await serious(page)).toEqual([])

  // Finish: refused for silicone, then done.
  await page.getByRole('link', { name: 'Finish it' }).click()
  await expect(page.getByRole('alert').first()).toContainText('silicone')
  await page.getByLabel('Which varnish').fill('Nimbus Clear')
  await page.getByLabel('It was done before it was safe').check()
  await page.getByRole('button', { name: 'Note the coat' }).click()
  await expect(page.getByText('Clean the dry surface, say so here')).toBeVisible()
  await expect(page.getByLabel('Which varnish')).toHaveValue('Nimbus Clear')
  await page.getByLabel('The dry surface was cleaned').check()
  await page.getByRole('button', { name: 'Note the coat' }).click()
  await expect(page.getByText('cleaned first')).toBeVisible()
  expect(await serious(page)).toEqual([])

  // What became of it, and the write-up, copied.
  await page.goto(`/wall/${pieceId}`)
  await page.getByLabel('What becomes of it').click()
  await page.getByTitle('sold', { exact: true }).click()
  await page.getByLabel(/Price paid/).fill('140')
  await page.getByLabel('To whom').fill('the bakery')
  await page.getByLabel('Next time').fill('Less snow.')
  await page.getByRole('button', { name: 'Note it', exact: true }).first().click()
  await expect(page.getByText('Noted', { exact: true })).toBeVisible()
  await page.getByRole('link', { name: 'Write-up' }).click()
  await page.context().grantPermissions(['clipboard-read', 'clipboard-write'])
  await page.getByRole('button', { name: 'Copy the text' }).click()
  await expect(page.getByText('Copied')).toBeVisible()
  const copied = await page.evaluate(() => navigator.clipboard.readText())
  for (const words of [
    'Weir at dusk',
    'Teal paint',
    'Gold rises in the middle',
    'pinholes, a little (bottom)',
    'Nimbus Clear',
    'Less snow.',
  ])
    expect(copied).toContain(words)
  for (const name of ['page.pdf', 'label.pdf']) {
    const pdf = await page.request.get(`/wall/${pieceId}/${name}`)
    expect(pdf.headers()['content-type']).toBe('application/pdf')
    expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-')
  }

  // Found by a tap on its gold, and not by red.
  await page.goto('/wall?colour=d6a145')
  await expect(page.getByRole('link', { name: /Weir at dusk/ })).toContainText('of about this colour')
  await page.goto('/wall?colour=c01020')
  await expect(page.getByText('No piece is like that')).toBeVisible()
  await page.goto('/wall?q=bakery&fate=sold&rating=4')
  await expect(page.getByRole('link', { name: /Weir at dusk/ })).toBeVisible()
  expect(await serious(page)).toEqual([])
})

/** Colours are listed by how much of them was poured; here all are alike, in the order of the bottles. */
const order = (i: number) => i

test('bad pictures get a sentence, and nothing is kept of them', async ({ page }) => {
  test.setTimeout(90_000)
  const { studio, pieceId } = await aPiece(page)
  await page.goto(`/wall/${pieceId}/look/wet`)
  const choose = async (file: string) => {
    await page.getByLabel('Choose a photo').setInputFiles(file)
    return page.getByTestId('measure').getByRole('alert')
  }
  const text = test.info().outputPath('notes.jpg')
  writeFileSync(text, 'This is no picture.')
  await expect(await choose(text)).toContainText('not a photo Fika can open')
  // A picture of 200 megapixels by its head: refused before a pixel is decoded.
  const bomb = test.info().outputPath('bomb.png')
  const head = Buffer.from('89504e470d0a1a0a0000000d49484452', 'hex')
  const size = Buffer.alloc(8)
  size.writeUInt32BE(20_000, 0)
  size.writeUInt32BE(10_000, 4)
  writeFileSync(bomb, Buffer.concat([head, size, Buffer.from('0802000000', 'hex'), Buffer.alloc(64)]))
  await page.getByRole('button', { name: 'Another photo' }).click()
  await expect(await choose(bomb)).toContainText('more than 40 megapixels')
  // Corners that are crossed make no face.
  await page.getByRole('button', { name: 'Another photo' }).click()
  await page.getByLabel('Choose a photo').setInputFiles(await photoFile('crossed'))
  const corner = page.getByRole('button', { name: 'top left corner' })
  await corner.focus()
  for (let i = 0; i < 95; i++) await page.keyboard.press('Shift+ArrowRight')
  await page.getByRole('button', { name: 'Measure', exact: true }).click()
  await expect(page.getByTestId('measure').getByRole('alert')).toContainText('These corners make no face')
  // All glare: measured, and said that it cannot be trusted.
  await page.getByRole('button', { name: 'Another photo' }).click()
  await page.getByLabel('Choose a photo').setInputFiles(await photoFile('glare', { glare: 0.6 }))
  await page.getByRole('button', { name: 'Measure', exact: true }).click()
  await expect(page.getByTestId('measure').getByRole('alert')).toContainText(/glares|not the colours/)
  const kept = await studio.run((tx) => tx.q('select 1 from piece_photo where studio_id = $1', [tx.studioId]))
  expect(kept).toEqual([])
})
