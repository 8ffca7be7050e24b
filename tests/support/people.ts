import { expect, type Page } from '@playwright/test'
import { demoDoor } from '@/db/people/demoDoor'
import type { Signed } from '@/db/people/sessions'
import { person, signUp } from './accounts'
import { sealed } from './sealed'

/** Lets a browser in as one who has signed in: the door itself is gone through in journey.spec and studios.spec. */
export async function letIn(page: Page, { token }: { readonly token: string }): Promise<void> {
  await page.context().addCookies([{ name: 'fika', value: await sealed(token), url: process.env.FIKA_URL! }])
}

/** An account with an empty studio of its own, signed in; what it opens first is the test's. */
export async function startStudio(page: Page, studioName: string): Promise<Signed> {
  const signed = await signUp({ ...person(), studioName })
  await letIn(page, signed)
  return signed
}

/** The demo studio, signed in; what it opens first is the test's. */
export async function openDemo(page: Page): Promise<void> {
  await letIn(page, (await demoDoor('A browser'))!)
}

/** Starts a studio of one's own through the door, and lands in its empty drawer. */
export async function comeThroughTheDoor(page: Page, studioName: string): Promise<void> {
  const { name, email, password } = person()
  await page.goto('/sign-in')
  await page.getByText('Start a studio').click()
  await page.getByLabel('Name of the studio').fill(studioName)
  await page.getByLabel('Your name').fill(name)
  await page.getByLabel('Address (email)').fill(email)
  await page.getByLabel('Password').fill(password)
  await page.getByRole('button', { name: 'Start the studio' }).click()
  await page.waitForURL('**/paints')
  await expect(page.getByRole('heading', { name: 'The drawer is empty' })).toBeVisible()
}

/** Opens the demo studio by its one click. */
export async function clickOpenDemo(page: Page): Promise<void> {
  await page.goto('/sign-in')
  await page.getByRole('button', { name: 'Open the demo studio' }).click()
  await page.waitForURL('**/rack')
}

/** Chooses an option of a select by typing. */
export async function choose(page: Page, label: string, text: string): Promise<void> {
  const box = page.getByRole('combobox', { name: label }).last()
  await box.click()
  if (text) await box.fill(text)
  await page.keyboard.press('Enter')
}

/** Picks an option of a select that cannot be typed into; a list that is still opening may swallow the first click. */
export async function pick(page: Page, label: string, text: string): Promise<void> {
  const box = page.getByRole('combobox', { name: label }).last()
  const select = page.locator('.ant-select', { has: box })
  await expect(async () => {
    if ((await box.getAttribute('aria-expanded')) !== 'true') await box.click()
    await page.locator('.ant-select-item-option:visible', { hasText: text }).click({ timeout: 2000 })
    await expect(select).toContainText(text, { timeout: 1000 })
  }).toPass({ timeout: 20_000 })
}
