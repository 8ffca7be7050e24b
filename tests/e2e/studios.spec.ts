import { expect, test, type Page } from '@playwright/test'
import { clickOpenDemo, openDemo, pick, startStudio } from '../support/people'

test.describe('the door', () => {
  test('offers the demo studio only where Fika was started as a demo', async ({ page, browser }) => {
    await page.goto('/sign-in')
    await expect(page.getByRole('button', { name: 'Open the demo studio' })).toBeVisible()
    const plain = await browser.newPage({ baseURL: process.env.FIKA_PLAIN_URL! })
    await plain.goto('/sign-in')
    await expect(plain.getByRole('button', { name: 'Sign in', exact: true })).toBeVisible()
    await expect(plain.getByRole('button', { name: 'Open the demo studio' })).toHaveCount(0)
    await plain.close()
  })
  test('says when address and password do not match, and keeps the address', async ({ page }) => {
    await page.goto('/sign-in')
    await page.getByLabel('Address (email)').fill('nobody@example.org')
    await page.getByLabel('Password').fill('not the one')
    await page.getByRole('button', { name: 'Sign in', exact: true }).click()
    await expect(page.getByText('Address and password do not match.')).toBeVisible()
    await expect(page.getByLabel('Address (email)')).toHaveValue('nobody@example.org')
  })
  test('a revoked session is nobody: signing out ends it on the server too', async ({ page, context }) => {
    await clickOpenDemo(page)
    const before = await context.cookies()
    const sealed = before.find((c) => c.name === 'fika')!
    expect(sealed).toMatchObject({ httpOnly: true, sameSite: 'Lax' })
    await page.getByRole('button', { name: 'Sign out' }).click()
    await page.waitForURL('**/sign-in')
    await context.addCookies([sealed])
    await page.goto('/rack')
    await expect(page).toHaveURL(/sign-in/)
    expect((await page.request.get('/paints/export', { maxRedirects: 0 })).status()).toBe(307)
  })
})

test('one studio cannot open another’s pages, labels or photos', async ({ page, browser }) => {
  await openDemo(page)
  const href = async (list: string, text: RegExp) => {
    await page.goto(list)
    return (await page.getByRole('link', { name: text }).first().getAttribute('href'))!
  }
  const bottle = await href('/rack', /Night teal/)
  const paint = await href('/paints', /Canal Teal/)
  const plan = await href('/plan', /Bakery commission/)
  const piece = await href('/wall', /Night Ferries 2/)
  await page.goto(piece)
  const photo = (await page
    .getByRole('img', { name: /Night Ferries 2, dry/ })
    .first()
    .getAttribute('src'))!
  expect((await page.request.get(photo)).headers()['content-type']).toBe('image/jpeg')

  const other = await browser.newPage({ baseURL: process.env.FIKA_URL! })
  await startStudio(other, 'Lower lock')
  for (const path of [bottle, paint, plan, piece, plan.replace('/plan/', '/pour/')]) {
    await other.goto(path)
    await expect(other.getByRole('heading', { name: 'Not here' })).toBeVisible()
  }
  for (const path of [photo, `${bottle}/label`]) expect((await other.request.get(path)).status()).toBe(404)
  await other.goto('/rack')
  await expect(other.getByRole('heading', { name: 'The rack is empty' })).toBeVisible()
  await other.close()
})

test('the drawer goes out as CSV and comes back unchanged', async ({ page }) => {
  await openDemo(page)
  const csv = await (await page.request.get('/paints/export/csv')).text()
  expect(csv.split('\r\n')).toHaveLength(1 + 60 + 8 + 1)
  const other = await page.context().browser()!.newPage({ baseURL: process.env.FIKA_URL! })
  await startStudio(other, 'Copy room')
  await other.goto('/paints')
  await other.getByRole('link', { name: 'Bring in', exact: true }).click()
  await other.waitForURL('**/paints/import')
  await other
    .locator('input[type=file]')
    .setInputFiles({ name: 'fika.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) })
  await other.getByRole('button', { name: 'Import 69 good rows' }).click()
  await expect(other.getByText('69 added')).toBeVisible()
  const again = await (await other.request.get('/paints/export/csv')).text()
  expect(again).toBe(csv)
  await other.close()
})

test('a paint is added by hand, found by typing, changed, and put away', async ({ page }) => {
  await startStudio(page, 'By hand')
  await page.goto('/paints')
  await page.getByRole('link', { name: 'Add a paint' }).last().click()
  await page.waitForURL('**/paints/new')
  await page.getByLabel('Name', { exact: true }).fill('Loch Blue')
  await page.getByLabel('Maker').fill('Torvald Works')
  await page.getByLabel('Pigments (Colour Index)').fill('blue')
  await page.getByRole('button', { name: 'Add the paint' }).click()
  await expect(page.getByText('“blue” is not a Colour Index name.')).toBeVisible()
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Loch Blue')
  await page.getByLabel('Pigments (Colour Index)').fill('pb29')
  await page.getByLabel('Container size').fill('2 fl oz')
  await page.getByRole('button', { name: 'Add the paint' }).click()
  await page.waitForURL(/\/paints$/)
  await page.keyboard.press('/')
  await page.keyboard.type('loch pb29')
  await expect(page).toHaveURL(/q=loch/)
  await page.getByRole('link', { name: /Loch Blue/ }).click()
  await page.getByRole('button', { name: 'Put it away' }).click()
  await expect(page.getByRole('button', { name: 'Take it out again' })).toBeVisible()
  await page.goto('/paints')
  await expect(page.getByRole('heading', { name: 'The drawer is empty' })).toBeVisible()
})

test('a plan that is short says by how much, and the bench opens with that amount', async ({ page }) => {
  await openDemo(page)
  await page.goto('/plan')
  await page.getByRole('link', { name: /Bakery commission/ }).click()
  const short = page.getByTestId('short')
  await expect(short).toContainText('Short by 113')
  await page.getByRole('button', { name: 'Save, then pour' }).click()
  await page.waitForURL(/\/pour\//)
  await page.getByRole('button', { name: /Book the pour/ }).click()
  await expect(
    page.getByText(/Bakery teal holds 241\sml and 354\sml is wanted\. Mix 113\sml more, or take less\./),
  ).toBeVisible()
  await expect(
    page.getByRole('button', { name: 'It is poured: book what was more as found in the bottle' }),
  ).toBeVisible()
  await page.getByRole('link', { name: /Short by 113/ }).click()
  await page.waitForURL(/\/bench/)
  await expect(page.getByLabel('Total to mix')).toHaveValue(/^11[23]\.\d+ ml$/)
  await expect(page.getByText('Top up Bakery teal')).toBeVisible()
})

test('a bottle is weighed in, and a loss that water cannot explain is asked about', async ({ page }) => {
  await startStudio(page, 'Scale room')
  await page.goto('/paints/new?kind=medium')
  await page.getByLabel('Name', { exact: true }).fill('Kvarnby Flow')
  await page.getByLabel('Density, g/ml').fill('1.0')
  await page.getByRole('button', { name: 'Add the medium' }).click()
  await page.waitForURL('**/paints/mediums')
  await page.goto('/bench')
  await page.getByLabel('Total to mix').fill('100 ml')
  await page.getByLabel('Name of the bottle').fill('Thin flow')
  await page.getByLabel('Empty bottle weighs').fill('30 g')
  await page.getByRole('button', { name: 'Book the bottle' }).click()
  await page.waitForURL(/\/rack\//)
  await expect(page.getByTestId('bottle-ml')).toHaveAttribute('data-ul', '100000')
  await page.getByText('Weigh', { exact: true }).first().click()
  await page.getByLabel('Scale shows').fill('110 g')
  await page.getByRole('button', { name: 'Weigh in' }).click()
  await expect(page.getByText('Say whether it dried, was spilled or stuck to the walls')).toBeVisible()
  await expect(page.getByLabel('Scale shows')).toHaveValue('110 g')
  await pick(page, 'What is missing was', 'spilled')
  await page.getByRole('button', { name: 'Weigh in' }).click()
  await expect(page.getByTestId('bottle-ml')).toHaveAttribute('data-ul', '80000')
})

test('one’s own sessions are seen and ended, and a changed password ends the others and lets in alone', async ({
  page,
  browser,
}) => {
  const address = `siv-${process.pid}-${Date.now()}@example.org`
  const signIn = async (on: Page, password: string) => {
    await on.goto('/sign-in')
    await on.getByLabel('Address (email)').fill(address)
    await on.getByLabel('Password').fill(password)
    await on.getByRole('button', { name: 'Sign in', exact: true }).click()
  }
  await page.goto('/sign-in')
  await page.getByText('Start a studio').click()
  await page.getByLabel('Name of the studio').fill('Upper lock')
  await page.getByLabel('Your name').fill('Siv')
  await page.getByLabel('Address (email)').fill(address)
  await page.getByLabel('Password').fill('password123')
  await page.getByRole('button', { name: 'Start the studio' }).click()
  await expect(page.getByText('That is too easy to guess')).toBeVisible()
  await page.getByLabel('Password').fill('birch lantern ferry')
  await page.getByRole('button', { name: 'Start the studio' }).click()
  await page.waitForURL('**/paints')

  const others = await Promise.all([1, 2].map(async () => (await browser.newContext()).newPage()))
  for (const other of others) {
    await signIn(other, 'birch lantern ferry')
    await other.waitForURL('**/rack')
  }
  await page.getByRole('link', { name: 'Siv' }).click()
  const sessions = page.getByRole('region', { name: 'Where you are signed in' }).getByRole('listitem')
  await expect(sessions).toHaveCount(3)
  await page.getByRole('button', { name: 'End it' }).first().click()
  await expect(sessions).toHaveCount(2)

  const password = page.getByRole('region', { name: 'Password' })
  await password.getByLabel('As it is now').fill('not this one')
  await password.getByLabel('New').fill('quiet harbour stone')
  await password.getByRole('button', { name: 'Change it' }).click()
  await expect(password.getByText('That is not your password now')).toBeVisible()
  await password.getByLabel('As it is now').fill('birch lantern ferry')
  await password.getByRole('button', { name: 'Change it' }).click()
  await expect(sessions).toHaveCount(1)

  // Nobody else is in any more, whatever is tried next.
  for (const other of others) {
    await other.goto('/paints')
    await other.waitForURL('**/sign-in')
  }
  await signIn(others[0]!, 'birch lantern ferry')
  await expect(others[0]!.getByText('do not match')).toBeVisible()
  await signIn(others[0]!, 'quiet harbour stone')
  await others[0]!.waitForURL('**/rack')
})
