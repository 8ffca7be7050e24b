import { expect, test, type Page } from '@playwright/test'
import { v7 as uuidv7 } from 'uuid'
import { endPool } from '@/db/base/pool'
import { pourPlan } from '@/db/pieces/pour'
import { noteLook } from '@/db/pieces/write'
import { savePlan } from '@/db/plans/write'
import { QUESTIONS } from '@/stations/notebook/questions'
import { serious } from '../support/axe'
import { moveMany } from '../support/learning/hung'
import { planInput } from '../support/plans'
import { startStudio } from '../support/people'
import { makeStudio } from '../support/studio'

test.use({ actionTimeout: 15_000 })
test.afterAll(endPool)

/** A studio of a black and a teal bottle, and pieces poured with and without the black, so many of each cratered. */
async function studioOf(page: Page, black: readonly boolean[], without: readonly boolean[]) {
  const signed = await startStudio(page, 'Notebook room')
  const studio = await makeStudio(signed)
  const soot = await studio.paint('Soot', { hex: '#161616' })
  const teal = await studio.paint('Teal', { hex: '#136a78' })
  const snow = await studio.paint('Snow', { hex: '#f2efe6' })
  const bottle = (label: string, materialId: string) => studio.bottle(label, [{ materialId, ul: 400_000 }])
  const [one, two, three] = [await bottle('Soot 1', soot), await bottle('Teal 1', teal), await bottle('Snow 1', snow)]
  const pour = async (i: number, bottles: [string, string], isFaulty: boolean) => {
    const plan = planInput(bottles, { title: `Study ${i}`, design: { school: { kind: 'own', ul: 16_000 } } })
    await studio.run((tx) => savePlan(tx, plan))
    const pieceId = uuidv7()
    const input = { requestId: uuidv7(), planId: plan.id, pieceId, vesselId: uuidv7() }
    const takes = bottles.map((vesselId) => ({ vesselId, ul: 8_000 }))
    await studio.run((tx) => pourPlan(tx, { ...input, takes }, new Date(Date.now() - (i + 1) * 86_400_000)))
    const faults = isFaulty ? [{ fault: 'craters', spots: ['middle' as const], much: 2 }] : []
    await studio.run((tx) =>
      noteLook(tx, { pieceId, moment: 'dry', revision: 0, words: '', rating: 3, weak: [], best: null, faults }, null),
    )
  }
  for (const [i, isFaulty] of black.entries()) await pour(i, [one!, two!], isFaulty)
  for (const [i, isFaulty] of without.entries()) await pour(100 + i, [two!, three!], isFaulty)
  return { studio, soot }
}

const yes = (n: number) => Array.from({ length: n }, () => true)
const no = (n: number) => Array.from({ length: n }, () => false)

test('craters are traced to a black, and what was found is written back to its card and the rules of the house', async ({
  page,
}) => {
  const { soot } = await studioOf(page, [...yes(5), ...no(1)], no(9))
  await page.goto('/notebook')
  await expect(page.getByRole('link', { name: /What causes this fault.*likely: Soot/ })).toBeVisible()
  await page.getByRole('link', { name: /What causes this fault/ }).click()
  await expect(page.getByTestId('traced')).toHaveText(/^Likely: Soot/)
  await expect(page.getByText('5 of 15 pieces that were looked at show craters.')).toBeVisible()
  await expect(page.getByText('With Soot: 5 of 6 (83 %); without: 0 of 9 (0 %).')).toBeVisible()
  await expect(page.getByRole('link', { name: /Study \d+, shows it/ })).toHaveCount(5)
  expect(await serious(page)).toEqual([])
  const back = page.getByRole('region', { name: 'Write it back' })
  await back.getByRole('button', { name: 'Note' }).first().click()
  await expect(page.getByText('Noted on the card of Soot')).toBeVisible()
  await back.getByRole('button', { name: 'Keep the rule' }).click()
  await expect(page.getByText('Kept as a rule of the house')).toBeVisible()
  await page.goto(`/paints/${soot}`)
  await expect(page.getByText('makes no cells')).toBeVisible()
  await page.goto('/studio')
  await expect(page.getByText('Soot: makes craters. Try it on card first.')).toBeVisible()
  await page.getByRole('button', { name: /Drop the rule/ }).click()
  await expect(page.getByText('Nothing yet.', { exact: false })).toBeVisible()
  // The numbers go out as a list.
  const csv = await page.request.get('/notebook/faults/numbers')
  expect(await csv.text()).toMatch(/^Fault,What may cause it,.*\r\nCraters,"?Soot/)
})

test('a trial of four pairs says what it says and is written back; ended, it takes no more words', async ({ page }) => {
  const { studio } = await studioOf(page, no(1), no(1))
  const flow = await studio.medium('Quay Flow')
  await page.goto('/notebook/trials')
  await page.getByRole('link', { name: 'Begin a trial' }).click()
  await page.getByRole('button', { name: 'Begin the trial' }).click()
  await expect(page.getByRole('main').getByRole('alert')).toContainText(/Type the one question|Say of each arm/)
  await page.getByLabel('The question').fill('Does Quay Flow make cells?')
  await page.getByLabel('Arm 1: what is different').fill('with Quay Flow')
  await page.getByLabel('Arm 2: what is different').fill('with glue')
  await page.getByRole('combobox', { name: 'Material of arm 1' }).click()
  await page.getByRole('combobox', { name: 'Material of arm 1' }).fill('Quay')
  await page.locator('.ant-select-item-option:visible', { hasText: 'Quay Flow' }).click()
  await page.getByRole('combobox', { name: 'What is looked at' }).click()
  await page.getByRole('combobox', { name: 'What is looked at' }).fill('cells')
  await page.keyboard.press('Enter')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Begin the trial' }).click()
  await page.waitForURL(/\/notebook\/trials\/[0-9a-f-]{36}$/)
  const verdict = page.getByTestId('verdict').filter({ hasText: 'cells' })
  await expect(verdict).toHaveText(/not decided by 0 pairs yet; about 4 more would tell/)
  for (let repeat = 1; repeat <= 4; repeat++)
    for (const [arm, word] of [
      [1, 'much'],
      [2, 'none'],
    ] as const) {
      const cell = page.getByTestId(`repeat ${repeat} arm ${arm}`)
      await cell.getByText(word, { exact: true }).click()
      await expect(cell.getByRole('radio', { name: word, exact: true })).toBeChecked()
    }
  await expect(verdict).toHaveText(/“with Quay Flow” gives more cells than “with glue”.*from 4 pairs/)
  expect(await serious(page)).toEqual([])
  const back = page.getByRole('region', { name: 'Write it back' })
  await back.getByRole('button', { name: 'Note' }).click()
  await expect(page.getByText('Noted in the profile of Quay Flow')).toBeVisible()
  await page.getByLabel('What it said').fill('It does.')
  await page.getByRole('button', { name: 'End the trial' }).click()
  await expect(page.getByRole('button', { name: 'Open it again' })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Words' })).toHaveCount(0)
  const [row] = await studio.run((tx) =>
    tx.q<{ effects: number[] }>('select effects from medium where studio_id = $1 and material_id = $2', [
      tx.studioId,
      flow,
    ]),
  )
  expect(row!.effects[0]).toBe(2)
  await page.goto('/notebook/trials')
  await expect(page.getByText('It does.')).toBeVisible()
})

test('where a black is only suspected, ideas name the pairs that would settle it, and a trial begins from there', async ({
  page,
}) => {
  await studioOf(page, [...yes(2), ...no(2)], no(6))
  await page.goto('/notebook/faults')
  await expect(page.getByTestId('traced')).not.toHaveText(/Likely/)
  await expect(page.getByText(/\d pairs poured alike but for it/)).toBeVisible()
  await page.goto('/plan/ideas')
  const teach = page.getByRole('region', { name: 'What would teach most' })
  await expect(teach.getByText(/\d pairs with and without Soot would settle craters\./)).toBeVisible()
  await teach.getByRole('link', { name: 'Begin the trial' }).click()
  await expect(page.getByLabel('The question')).toHaveValue('Does Soot make craters?')
})

test('in an empty studio every question says what it needs first; the journal pages and narrows', async ({ page }) => {
  await startStudio(page, 'Empty notebook')
  await page.goto('/notebook')
  await expect(page.getByText(/^Needs /)).toHaveCount(QUESTIONS.length)
  for (const { key, question } of QUESTIONS) {
    await page.goto(`/notebook/${key}`)
    await expect(page.getByRole('heading', { level: 1, name: question })).toBeVisible()
    await expect(page.getByText(/Not enough yet|No trial yet|Nothing has moved yet/)).toBeVisible()
  }
  expect((await page.request.get('/notebook/nothing')).status()).toBe(404)
  expect((await page.request.get('/notebook/nothing/numbers')).status()).toBe(400)
})

test('the journal shows older movements page by page, and one kind alone', async ({ page }) => {
  const { studio } = await studioOf(page, no(1), no(1))
  const [bottle] = await studio.run((tx) =>
    tx.q<{ id: string }>(`select id from vessel where studio_id = $1 and label = 'Soot 1'`, [tx.studioId]),
  )
  await studio.run((tx) => moveMany(tx, bottle!.id, 70))
  await page.goto('/notebook/journal')
  const rows = page.getByRole('row', { name: /Taken out/ })
  await expect(page.getByRole('row')).toHaveCount(61)
  await page.getByRole('button', { name: 'Show older' }).click()
  await expect(rows).toHaveCount(70)
  await expect(page.getByRole('button', { name: 'Show older' })).toHaveCount(0)
  await page.goto('/notebook/journal?kind=pour')
  await expect(page.getByRole('row', { name: /Poured/ })).toHaveCount(2)
  await expect(rows).toHaveCount(0)
})
