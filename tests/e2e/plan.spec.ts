import { expect, test, type Page } from '@playwright/test'
import ICAL from 'ical.js'
import { choose, openDemo, pick, startStudio } from '../support/people'

const DAY = 86_400_000

/** Two paints of one shop as a list: blue at 5 ct/ml, red at 8 ct/ml, in litres. */
const TWO = [
  'kind,maker,line,name,pigments,body,opacity,sheen,swatch,container,price',
  'paint,Kvarnby Colour,Studio,Loch Blue,PB15:3,soft,opaque,satin,#1d4e9e,1 l,50.00',
  'paint,Kvarnby Colour,Studio,Quay Red,PR254,soft,opaque,satin,#c22a2c,1 l,80.00',
].join('\n')

/** Brings the two paints in, books a container of each, and bottles 800 ml of each, 1 : 2 with what every room has. */
async function twoBottles(page: Page): Promise<void> {
  await page.goto('/paints/import')
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'two.csv', mimeType: 'text/csv', buffer: Buffer.from(TWO) })
  await page.getByRole('button', { name: 'Import 2 good rows' }).click()
  await expect(page.getByText('2 added')).toBeVisible()
  for (const [name, bottle] of [
    ['Loch Blue', 'Blue one'],
    ['Quay Red', 'Red one'],
  ] as const) {
    await page.goto('/paints')
    await page.getByRole('link', { name: new RegExp(name) }).click()
    await page.getByRole('link', { name: 'Containers and prices' }).click()
    await page.getByRole('button', { name: 'Book a bought container' }).click()
    await expect(page.getByRole('cell', { name: 'container 1' })).toBeVisible()
    await page.goto('/bench')
    await page.getByRole('button', { name: 'Add a paint' }).click()
    await choose(page, 'Choose a paint', name)
    await page.getByLabel('Total to mix').fill('800 ml')
    await page.getByLabel('Bottle holds').fill('1 l')
    await page.getByLabel('Name of the bottle').fill(bottle)
    await page.getByRole('button', { name: 'Book the bottle' }).click()
    await page.waitForURL(/\/rack\/[0-9a-f-]{36}$/)
  }
}

const source = async (page: Page, label: string, name: string) =>
  expect(async () => {
    const box = page.getByRole('combobox', { name: label }).first()
    if ((await box.getAttribute('aria-expanded')) !== 'true') await box.click({ timeout: 2000 })
    await page.locator('.ant-select-item-option:visible', { hasText: name }).last().click({ timeout: 2000 })
  }).toPass({ timeout: 20_000 })

/**
 * A commission, worked by hand. 1 mm² by the rule of 28 takes 29573.5295625 / (28 × 645.16) = 1.637109375 µl.
 * Panels of 40 × 50 cm, two of them: 400 000 mm² → 654 844 µl. A panel of 30 × 40 cm: 120 000 mm² → 196 453 µl alone.
 * A vase over it, a cylinder of radius 5 and height 20 cm: 2π · 50 · 200 = 62 831.85 mm² → 102 863 µl, and the panel
 * below then wants 93 590 more. In all 851 297 µl.
 * The cups of the panels are 2 : 1 blue and red, the vase's is red: blue 436 563 + 62 393 = 498 956 µl, red 218 281 +
 * 31 197 + 102 863 = 352 341 µl.
 * Money: mixed 1 : 2 with a medium that has no price, a ml of blue costs 5/3 ct and of red 8/3: 498.956 × 5/3 + 352.341 ×
 * 8/3 = 1771.17 → 17.71; surfaces 2 × 12.00 + 9.00 + 6.50 = 39.50; varnish 4.00, gloves 1.00; of what is poured 30 % runs
 * off a straight pour and 60 % of that comes back: 318.8 → 3.19. In all 59.02 for four pieces, each 14.76, and 240.98 are
 * left of 300.00.
 * Days: due on a day at 18:00; deliver 1 h, photograph 1, cure 24, varnish 1 h and 72 h after the look of half an hour,
 * dry 48 h, pour 2 h: 149.5 h, so that the pour begins six days before at 12:30.
 */
test('a commission: one sketch, three panels of two sizes and a vase, to the cent, the microlitre and the day', async ({
  page,
}) => {
  test.setTimeout(180_000)
  await startStudio(page, 'Stairs room')
  // What every room has: cups, two drying places, surfaces.
  await page.goto('/plan')
  await expect(page.getByRole('region', { name: 'First steps' })).toContainText('Bring in what every room has')
  await page.getByRole('link', { name: 'Now this' }).click()
  await page.getByRole('button', { name: /Bring in \d+/ }).click()
  await page.waitForURL('**/plan')
  await twoBottles(page)

  const due = new Date(Date.now() + 40 * DAY).toISOString().slice(0, 10)
  await page.goto('/plan/work/new')
  await page.getByLabel('Title').fill('The stairs')
  await pick(page, 'Kind of work', 'commission')
  await page.getByLabel('Due', { exact: true }).fill(due)
  await page.getByLabel('Price', { exact: true }).fill('300')
  await page.getByLabel('What was agreed').fill('Blue with one red thread.')
  await page.getByRole('button', { name: 'Save the work' }).click()
  await page.waitForURL(/\/plan\/work\/[0-9a-f-]{36}/)

  // The sketch.
  await page.getByRole('link', { name: 'New plan in it' }).click()
  await page.waitForURL(/\/plan\/new\?work=/)
  await page.getByLabel('Title').fill('Stairs, sketch')
  await pick(page, 'Kind of plan', 'sketch')
  await page.getByLabel('Size of the face').fill('20 x 25 cm')
  await page.getByLabel('Edge depth').fill('0')
  await page.getByTestId('add-bottle').click()
  await source(page, 'Bottle for the cup', 'Blue one')
  await page.getByLabel('Share of Blue one').fill('2')
  await page.getByTestId('add-bottle').click()
  await source(page, 'Bottle for the cup', 'Red one')
  await expect(page.getByTestId('cup-ml')).toHaveAttribute('data-ul', '81855')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await page.waitForURL(/\/plan\/[0-9a-f-]{36}$/)

  // Over two panels of one size and one of another.
  await page.getByRole('link', { name: 'Scale up' }).click()
  await pick(page, 'Surface 1', 'rectangle')
  await page.getByLabel('Size of surface 1').fill('40 x 50 cm')
  await page.getByLabel('Pieces of surface 1').fill('2')
  await page.getByRole('button', { name: 'One more size' }).click()
  await page.getByLabel('Size of surface 2').fill('30 x 40 cm')
  await page.getByRole('button', { name: 'Open as a plan' }).click()
  await page.getByLabel('Title').fill('The stairs, panels and vase')
  await page.getByLabel('Price of one').fill('12')
  const below = page.getByRole('region', { name: 'Surface' })
  await below.getByRole('button', { name: 'Surface 2' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Below')
  await page.getByLabel('Price of one').fill('9')

  // A vase over the smaller one.
  await page.getByRole('button', { name: 'One more surface' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Vase')
  await pick(page, 'Shape', 'Vase or bowl')
  await page.getByLabel(/Height and radius/).fill('0 5\n20 5')
  await page.getByLabel('Price of one').fill('6.50')
  await pick(page, 'What drips lands on', 'Below')
  await page.getByRole('button', { name: 'One more cup' }).click()
  await source(page, 'Bottle for the cup', 'Red one')
  await expect(page.getByTestId('cup-ml')).toHaveAttribute('data-ul', '102863')
  await expect(page.getByTestId('need-ml')).toHaveAttribute('data-ul', '851297')
  await page.getByRole('button', { name: 'Cup 2' }).click()
  await expect(page.getByTestId('cup-ml')).toHaveAttribute('data-ul', '93590')
  await page.getByRole('button', { name: 'Cup 1 ', exact: false }).first().click()
  await expect(page.getByTestId('cup-ml')).toHaveAttribute('data-ul', '654844')

  // Money.
  await pick(page, 'Finish', 'varnish')
  await page.getByLabel('Price of the finish').fill('4')
  await page.getByLabel('Gloves, sheets, cups').fill('1')
  await page.getByLabel('Run-off saved, %').fill('60')
  const money = page.getByRole('region', { name: 'Money and film' })
  await expect(money).toContainText('€17.71')
  await expect(money).toContainText('€39.50')
  await expect(money).toContainText('€3.19')
  await expect(page.getByTestId('plan-cost')).toHaveText('€59.02')
  await expect(money).toContainText('€14.76')
  await expect(money).toContainText('€240.98')

  // Dates: two panels on the table, one on the rack of small boards.
  await page.getByLabel('Hours of dry').fill('48')
  const dates = page.getByRole('region', { name: 'Dates' })
  await expect(dates).toContainText('2 on Level table, 1 on Rack of small boards')
  const pourDay = new Date(Date.parse(`${due}T00:00:00Z`) - 6 * DAY)
  const [weekday, dayOfMonth, month] = pourDay.toUTCString().replace(',', '').split(' ')
  const said = `${weekday} ${Number(dayOfMonth)} ${month}`
  await expect(dates.getByRole('row', { name: /pour/ })).toContainText(said)
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await page.waitForURL(/\/plan\/[0-9a-f-]{36}$/)
  const planUrl = page.url()

  // What was saved is what was seen: every bottle by its microlitres.
  await page.goto(planUrl.replace('/plan/', '/pour/'))
  await expect(page.getByLabel('Goes in: Blue one, cup')).toHaveValue('498.9 ml')
  await expect(page.getByLabel('Goes in: Red one, cup')).toHaveValue('352.3 ml')

  // The calendar says the same to the minute.
  const calendar = await page.request.get('/plan/calendar')
  const events = new ICAL.Component(ICAL.parse(await calendar.text()) as never)
    .getAllSubcomponents('vevent')
    .map((e) => new ICAL.Event(e))
  const pour = events.find((e) => e.summary === 'The stairs, panels and vase: pour')!
  expect(pour.startDate.toJSDate().toISOString()).toBe(`${pourDay.toISOString().slice(0, 10)}T12:30:00.000Z`)

  // What to put out: four cups, two bottles, feet under three panels and none under the vase.
  await page.goto(`${planUrl}/put-out`)
  await expect(page.getByText('12 pins or feet')).toBeVisible()
  await expect(page.getByRole('region', { name: 'Cups' }).getByRole('listitem')).toHaveCount(3)

  // And the sheet of the work shows the sketch with the word it is agreed on with.
  await page.goto('/plan')
  await page.getByRole('link', { name: 'The stairs', exact: true }).click()
  await expect(page.getByText('A sketch, not a copy.')).toBeVisible()
  await expect(page.getByRole('region', { name: 'Sheet of the work' })).toContainText('Stairs, sketch')
})

test('gold goes between violet and white, no metal is called mud, and the order is taken with one tap', async ({
  page,
}) => {
  await openDemo(page)
  await page.goto('/plan')
  await page.getByRole('link', { name: 'Evening at the lock' }).click()
  await page.waitForURL(/\/plan\/[0-9a-f-]{36}$/)
  const layers = page.getByRole('list', { name: 'Layers, the top one first' })
  await expect(layers).toContainText('goes pink')
  await page.getByTestId('propose-order').click()
  const proposed = page.getByRole('list', { name: 'Proposed order, bottom first' })
  await expect(proposed.getByRole('listitem')).toHaveCount(4)
  const order = (await proposed.getByRole('listitem').allInnerTexts()).map((t) => t.trim())
  const [violet, white, gold] = ['Plum', 'Sluice white', 'Lamp gold'].map((n) => order.indexOf(n))
  expect(gold! > Math.min(violet!, white!) && gold! < Math.max(violet!, white!)).toBe(true)
  await page.getByRole('button', { name: 'Take this order' }).click()
  for (const word of ['goes pink', 'goes muddy']) await expect(layers).not.toContainText(word)
  // Moved by keys: the top layer one further down, and the joints say what that costs.
  const grip = layers.getByRole('button', { name: /^Move / }).first()
  const before = await layers
    .getByLabel(/^Share of /)
    .evaluateAll((all) => all.map((x) => x.getAttribute('aria-label')))
  await grip.focus()
  // What is taken up and where it stands is told to whoever does not see it.
  const told = page.locator('[id^="DndLiveRegion"]')
  await page.keyboard.press('Space')
  await expect(told).toHaveText(/ would be layer 1 of 4 from the top\.$/)
  // A key that comes before the places are measured moves nothing, and is pressed again.
  await expect(async () => {
    if ((await told.textContent())?.includes('layer 1 of 4')) await page.keyboard.press('ArrowDown')
    await expect(told).toHaveText(/ would be layer 2 of 4 from the top\.$/, { timeout: 1000 })
  }).toPass()
  await page.keyboard.press('Space')
  await expect(told).toHaveText(/ is layer 2 of 4 from the top\.$/)
  await expect
    .poll(() => layers.getByLabel(/^Share of /).evaluateAll((all) => all.map((x) => x.getAttribute('aria-label'))))
    .toEqual([before[1], before[0], ...before.slice(2)])
})

test('a new studio has its first plan in a few taps, left rough, and what is open is said', async ({ page }) => {
  await startStudio(page, 'First room')
  await page.goto('/plan/new')
  await page.getByLabel('Title').fill('Something small')
  await expect(page.getByText('are in the cups').or(page.getByText(/have no colour|in no cup yet/))).toBeVisible()
  await page.getByLabel('Size of the face').fill('0 x 20 cm')
  await expect(page.getByText('is not a size')).toBeVisible()
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page).toHaveURL(/\/plan\/new/)
  await page.getByLabel('Size of the face').fill('20 x 20 cm')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await page.waitForURL(/\/plan\/[0-9a-f-]{36}$/)
  await page.goto('/plan')
  await expect(page.getByRole('link', { name: 'Something small' })).toBeVisible()
  await expect(page.getByRole('region', { name: 'First steps' })).toContainText('✓ Make a plan')
})

test('two makers on one plan: the second is told, and what was typed stays', async ({ page, browser }) => {
  await openDemo(page)
  await page.goto('/plan')
  await page.getByRole('link', { name: 'Six tiles, swiped' }).click()
  await page.waitForURL(/\/plan\/[0-9a-f-]{36}$/)
  const other = await (await browser.newContext()).newPage()
  await openDemo(other)
  await other.goto(page.url())
  await other.getByRole('textbox', { name: 'Notes' }).fill('theirs')
  await other.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(other.getByText('Plan saved')).toBeVisible()
  await page.getByRole('textbox', { name: 'Notes' }).fill('mine')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Somebody else changed this plan since you opened it.')).toBeVisible()
  await expect(page.getByRole('textbox', { name: 'Notes' })).toHaveValue('mine')
  await other.context().close()
})

test('a loved piece is poured again, larger and in another colour, with its note for next time', async ({ page }) => {
  await openDemo(page)
  await page.goto('/wall')
  await page.getByRole('link', { name: /Night Ferries 2/ }).click()
  await page.getByRole('link', { name: 'Pour again, changed' }).click()
  await page.waitForURL('**/plan/again/**')
  await expect(page.getByText('Cut a minute earlier.')).toBeVisible()
  await pick(page, 'Surface 1', 'rectangle')
  await page.getByLabel('Size of surface 1').fill('40 x forty')
  await expect(page.getByText('is not a size')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Open as a plan' })).toBeDisabled()
  await page.getByLabel('Size of surface 1').fill('40 x 40 cm')
  await source(page, 'In place of Night teal', 'Plum')
  // 160 000 mm² by the rule of 28 are 261.9 ml, in the 16 oz cup: 7 oz at nine tenths are 186 ml.
  const will = page.getByRole('region', { name: 'As it will be' })
  await expect(will).toContainText('1 × 262')
  await expect(will).toContainText('cup of 473')
  await expect(will).toContainText('Plum')
  await page.getByRole('button', { name: 'Open as a plan' }).click()
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await page.waitForURL(/\/plan\/[0-9a-f-]{36}$/)
  await expect(page.getByText('Cut a minute earlier.')).toBeVisible()
  await page.getByRole('button', { name: 'Put away' }).click()
  await page.waitForURL('**/plan')
})
