import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, test, type Browser, type Page } from '@playwright/test'
import { admin, everything } from '../support/everything'
import { openDemo, pick, startStudio } from '../support/people'

test.beforeAll(() => admin.connect())
test.afterAll(() => admin.end())

let count = 0

/** Makes an invitation in the studio that is open, and reads its link from the screen. */
async function invitation(page: Page, role: 'maker' | 'visitor'): Promise<string> {
  await page.goto('/studio/people')
  await pick(page, 'Role they get', role)
  await page.getByRole('button', { name: 'Make an invitation' }).click()
  const link = page.getByRole('textbox', { name: 'Invitation' })
  await expect(link).toHaveValue(/\/join\/[\w-]{65}$/)
  await expect(page.getByRole('img', { name: 'Invitation, as a code' })).toBeVisible()
  return link.inputValue()
}

/** Somebody new comes in by a link, in a browser of their own. */
async function comesIn(browser: Browser, link: string, name: string): Promise<Page> {
  const page = await (await browser.newContext()).newPage()
  await page.goto(link)
  await page.getByLabel('Your name').fill(name)
  await page.getByLabel('Address (email)').fill(`guest-${process.pid}-${Date.now()}-${count++}@example.org`)
  await page.getByLabel('Password').fill('a long pass phrase')
  await page.getByRole('button', { name: 'Come in' }).click()
  await page.waitForURL('**/rack')
  return page
}

test('an invitation lets one person in, who works on the same shelf until they are removed', async ({
  page,
  browser,
}) => {
  await openDemo(page)
  const link = await invitation(page, 'maker')
  const name = `Odalys ${Date.now()}`
  const maker = await comesIn(browser, link, name)

  // The link is used up.
  const late = await (await browser.newContext()).newPage()
  await late.goto(link)
  await expect(late.getByRole('heading', { name: 'This lets nobody in' })).toBeVisible()
  await late.context().close()

  // Two at one bottle: what one takes, the other sees without doing anything.
  await page.goto('/rack')
  const bottle = (await page
    .getByRole('link', { name: /Reed green/ })
    .first()
    .getAttribute('href'))!
  await Promise.all([page.goto(bottle), maker.goto(bottle)])
  const holds = page.locator('.big').first()
  const before = await holds.textContent()
  await maker.getByLabel('How much to take out').fill('7 ml')
  await maker.getByRole('region', { name: 'Do' }).getByRole('button', { name: 'Take out' }).click()
  await expect(holds).not.toHaveText(before!)
  await page.goto('/notebook/journal')
  await expect(page.locator('table.sheet')).toContainText(name)

  // Removed, their open tab can do nothing more, says so, and leads to the door.
  await page.goto('/studio/people')
  await page.getByRole('button', { name: `Remove ${name}` }).click()
  await page.getByRole('tooltip').getByRole('button', { name: 'Remove' }).click()
  await expect(page.getByText(`what they did stays in the journal`).first()).toBeVisible()
  await maker.getByLabel('How much to take out').fill('5 ml')
  await maker.getByRole('region', { name: 'Do' }).getByRole('button', { name: 'Take out' }).click()
  await expect(maker.getByText('You are signed out.')).toBeVisible()
  await expect(maker.getByLabel('How much to take out')).toHaveValue('5 ml')
  await maker.goto(bottle)
  await expect(maker).toHaveURL(/sign-in/)
  await page.goto('/notebook/journal')
  await expect(page.locator('table.sheet')).toContainText(name)
  await maker.context().close()
})

test('a visitor sees everything and changes nothing, whatever is sent over HTTP', async ({ page, browser }) => {
  test.setTimeout(180_000)
  await startStudio(page, 'Weir room')
  const visitor = await comesIn(browser, await invitation(page, 'visitor'), 'Looker')
  await expect(visitor.getByText('You look on here as a visitor')).toBeVisible()
  await visitor.goto('/studio')
  await expect(visitor.getByText('These rules are an owner’s to change.')).toBeVisible()
  const { rows } = await admin.query<{ studio_id: string; account_id: string }>(
    `select s.studio_id, s.account_id from session s join account a on a.id = s.account_id
     where a.name = 'Looker' order by s.created_at desc limit 1`,
  )
  const { studio_id: studioId, account_id: accountId } = rows[0]!
  const before = await everything(studioId)

  // Every action of the build, by its own address, with what a form could send.
  const manifest = JSON.parse(
    readFileSync(join(process.cwd(), '.next/server/server-reference-manifest.json'), 'utf8'),
  ) as { node: Record<string, { exportedName: string; workers: Record<string, unknown> }> }
  const actions = Object.entries(manifest.node)
  expect(actions.length).toBeGreaterThan(100)
  const id = crypto.randomUUID()
  const bodies = [
    [],
    [{}],
    [{ id, requestId: id, revision: 0, name: 'Mine', title: 'Mine', vesselId: id, label: 'Mine', role: 'maker' }],
  ]
  const statuses = new Map<string, number>()
  for (const [action, { exportedName }] of actions) {
    // One's own affairs are no studio's: going out of it, or out of the session, would end the test.
    if (/^(signOut|leaveStudio|endOthers|foundStudio|openDemo)Action$/.test(exportedName)) continue
    for (const body of bodies) {
      const said = await visitor.request.post('/rack', {
        headers: {
          'Next-Action': action,
          'Content-Type': 'text/plain;charset=UTF-8',
          Origin: process.env.FIKA_URL!,
          Accept: 'text/x-component',
        },
        data: JSON.stringify(body),
        failOnStatusCode: false,
      })
      statuses.set(exportedName, said.status())
      expect([exportedName, said.status() < 500]).toEqual([exportedName, true])
    }
  }
  // They were reached, and not turned away at some door before.
  expect([...statuses.values()].filter((s) => s === 200).length).toBeGreaterThan(60)
  // The routes that write as well.
  for (const path of ['/paints/import/run', `/pour/run/${id}/events`, `/bench/mixing/${id}`, '/rack/stocktake/weights'])
    expect(
      (
        await visitor.request.post(path, {
          headers: { Origin: process.env.FIKA_URL!, 'Content-Type': 'application/json' },
          data: '{}',
        })
      ).status(),
    ).toBeLessThan(500)
  expect(await everything(studioId)).toEqual(before)
  expect((await admin.query('select role from account_studio where account_id = $1', [accountId])).rows).toEqual([
    { role: 'visitor' },
  ])

  // Every station is there to be looked at.
  for (const path of [
    '/paints',
    '/formulas',
    '/bench',
    '/rack',
    '/plan',
    '/pour',
    '/wall',
    '/notebook',
    '/studio/people',
    '/studio/keeping',
    '/account',
  ]) {
    await visitor.goto(path)
    await expect(visitor.getByRole('heading', { level: 1 })).toBeVisible()
    await expect(visitor.getByText('Error ')).toHaveCount(0)
  }
  expect((await visitor.request.get('/studio/keeping/everything')).status()).toBe(403)
  // Made a maker, they may.
  await page.goto('/studio/people')
  await pick(page, 'Role of Looker', 'maker')
  await expect(page.getByText('Role given')).toBeVisible()
  await visitor.goto('/rack')
  await expect(visitor.getByText('You look on here as a visitor')).toHaveCount(0)
  await visitor.context().close()
})

test('a client sees the sketches of one work by a link, until it is ended', async ({ page, browser }) => {
  await openDemo(page)
  await page.goto('/plan')
  await page
    .getByRole('link', { name: /The bakery wall/ })
    .first()
    .click()
  await page.waitForURL('**/plan/work/**')
  await page.getByRole('region', { name: 'Shown to a client' }).getByRole('button', { name: 'Make a link' }).click()
  const link = await page.getByRole('textbox', { name: 'Link to the sketches' }).inputValue()
  const client = await (await browser.newContext()).newPage()
  await client.goto(link)
  await expect(client.getByRole('heading', { name: /The bakery wall/ })).toBeVisible()
  await expect(client.getByText('A sketch, not a copy.')).toBeVisible()
  await expect(client.getByRole('link')).toHaveCount(0)
  for (const src of await client.locator('img').evaluateAll((all) => all.map((i) => (i as HTMLImageElement).src)))
    expect((await client.request.get(src)).headers()['content-type']).toBe('image/jpeg')
  // It leads nowhere else.
  await client.goto(page.url())
  await expect(client).toHaveURL(/sign-in/)
  await page.getByRole('region', { name: 'Shown to a client' }).getByRole('button', { name: 'End it' }).first().click()
  await expect(page.getByText('Ended')).toBeVisible()
  await client.goto(link)
  await expect(client.getByRole('heading', { name: 'This link has ended' })).toBeVisible()
  await client.context().close()
})

test('what is taken out comes in as a studio of its own', async ({ page }) => {
  await startStudio(page, 'Taken along')
  await page.goto('/studio/keeping')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Take everything out' }).click(),
  ])
  expect(download.suggestedFilename()).toMatch(/^Taken along \d{4}-\d\d-\d\d\.zip$/)
  const path = await download.path()
  await page
    .getByLabel('File of a studio')
    .setInputFiles({ name: 'no.zip', mimeType: 'application/zip', buffer: Buffer.from('no') })
  await expect(page.getByText('That is no archive of a studio')).toBeVisible()
  await page
    .getByLabel('File of a studio')
    .setInputFiles({ name: 'a.zip', mimeType: 'application/zip', buffer: readFileSync(path) })
  await page.waitForURL('**/rack')
  await page.goto('/account')
  await expect(page.getByRole('region', { name: 'Your studios' }).getByText('Taken along')).toHaveCount(2)
})
