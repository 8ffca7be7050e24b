import { v7 as uuidv7 } from 'uuid'
import { emptyDesk } from '../tests/support/deskFacts'
import { cup, design, layer } from '../tests/support/design'
import { planInput } from '../tests/support/plans'
import { random } from '../tests/support/random'
import { planBottle } from '../tests/support/planBottle'
import { person, signUp } from '../tests/support/accounts'
import { findOrder, type OrderTask } from '@/core/layering/cupOrder'
import { planAmounts } from '@/core/plan/amounts'
import { jobOf } from '@/core/plan/job'
import { scheduleAll } from '@/core/schedule/backwards'
import { USUAL_CLIMATE } from '@/core/schedule/drying'
import { SHIPPED } from '@/core/technique/techniques'
import { findSession } from '@/db/people/sessions'
import { withStudio } from '@/db/base/withStudio'
import { savePlan } from '@/db/plans/write'
import { worksFacts } from '@/stations/plan/queries'
import type { DeskFacts } from '@/stations/plan/deskFacts'
import { deskColours, workOut } from '@/stations/plan/desk/workOut'
import { cookieOf, opening } from './http'
import { compare, median, type Figure } from './measure'
import { inPage } from './page'
import { fillRack } from './rack'

const DAY = 86_400_000

/** Costs of laying each of some colours on each other, made up. */
function palette(colours: number): number[][] {
  const next = random(12)
  return Array.from({ length: colours }, () => Array.from({ length: colours }, () => next() * 2 - 0.3))
}

/** Every order there is, the cheapest of them. */
function bruteForce({ costs, layers }: OrderTask): number {
  let best = Infinity
  const go = (left: number[], top: number, cost: number, remaining: number) => {
    if (remaining === 0) {
      best = Math.min(best, cost)
      return
    }
    for (let c = 0; c < left.length; c++) {
      if (left[c] === 0) continue
      left[c]! -= 1
      go(left, c, cost + (top < 0 ? 0 : costs[top]![c]!), remaining - 1)
      left[c]! += 1
    }
  }
  go(
    [...layers],
    -1,
    0,
    layers.reduce((a, b) => a + b, 0),
  )
  return best
}

const task = (layers: readonly number[]): OrderTask => ({
  costs: palette(layers.length),
  layers,
  first: null,
  last: null,
  buffers: [],
  mostBuffers: 0,
})

/** A desk of twelve bottles, and a plan of twelve cups with twelve layers each. */
function fullDesk(): { facts: DeskFacts; full: ReturnType<typeof design> } {
  const hues = [
    '#136a78',
    '#c22a2c',
    '#f5f3ec',
    '#1d4e9e',
    '#e9b310',
    '#4b2a86',
    '#3f8f4f',
    '#7a4a22',
    '#1c1c1c',
    '#b8893a',
    '#edd7a7',
    '#227382',
  ]
  const bottles = hues.map((hex, i) => planBottle(`bottle ${i}`, { hex, ul: 900_000 }))
  const cups = Array.from({ length: 12 }, (_, c) =>
    cup(
      `cup ${c}`,
      bottles.map((b, i) => layer(b.id, { id: `${c} ${i}` })),
      { at: [30 * c - 180, 20 * (c % 3)] },
    ),
  )
  const facts = { ...emptyDesk(Date.UTC(2026, 10, 28)), bottles }
  return { facts, full: design({ cups }) }
}

/** Plans: orders beside every order, the desk at a keystroke, a month of works, and the list of 500 beside its SQL. */
export async function planFigures(url: string): Promise<Figure[]> {
  const eight = task([1, 1, 1, 1, 1, 1, 1, 1])
  const twelve = task([2, 2, 2, 2, 1, 1, 1, 1])
  const { facts, full } = fullDesk()
  const colours = deskColours(facts)
  const draft = { workId: null, kind: 'final', pourOn: '' } as const
  const keystroke = () => workOut(full, draft, SHIPPED.of('flip-cup'), facts, colours, facts.now)
  const now = Date.UTC(2026, 10, 28, 9)
  const jobs = Array.from({ length: 40 }, (_, i) =>
    jobOf({
      id: `job ${i}`,
      design: { ...full, finish: i % 2 ? 'varnish' : 'none' },
      amounts: planAmounts(full),
      technique: SHIPPED.of('straight'),
      bottles: new Map(facts.bottles.map((b) => [b.id, b])),
      climate: USUAL_CLIMATE,
      due: now + (10 + (i % 30)) * DAY,
      delivered: true,
      buys: false,
    }),
  )
  const places = [
    { id: 'table', sizeMm: [600, 900] as const, spots: 4 },
    { id: 'rack', sizeMm: [450, 550] as const, spots: 12 },
  ]
  const month = () => scheduleAll(jobs, places, now, (at) => new Date(at).getUTCDay() !== 0)
  return [
    await compare(
      'time',
      'order of 8 layers against every order there is',
      '≤ 1',
      1,
      () => findOrder(eight),
      () => bruteForce(eight),
      5,
    ),
    await compare(
      'time',
      'order of 12 layers of 8 colours against a frame of 50 ms',
      '≤ 1',
      1,
      () => findOrder(twelve),
      () => wait(50),
      9,
    ),
    await compare('time', 'a keystroke at 12 cups × 12 layers against 50 ms', '≤ 1', 1, keystroke, () => wait(50), 9),
    await compare('time', 'a month of 40 works scheduled against 100 ms', '≤ 1', 1, month, () => wait(100), 9),
    await listFigure(url),
    await deskFigure(url),
  ]
}

const wait = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms))

/** The list of 500 plans as served HTML against what it reads. */
async function listFigure(url: string): Promise<Figure> {
  const signed = await signUp({ ...person(), studioName: 'Many plans' })
  await withStudio(signed, async (tx) => {
    for (let i = 0; i < 500; i++) await savePlan(tx, planInput([], { id: uuidv7(), title: `Plan ${i}` }))
  })
  const cookie = await cookieOf(signed.token)
  const page = opening(url, '/plan', cookie, 'The other')
  const sql = async () => {
    await findSession(signed.token)
    await withStudio(signed, (tx) => worksFacts(tx, Date.now()))
  }
  return compare('time', 'list of 500 plans, served HTML against what it reads', '≤ 3', 1, page, sql, 7)
}

/** A key in the size of the face on a desk of 12 × 12, to the amounts it changes in the page, in a real browser. */
async function deskFigure(url: string): Promise<Figure> {
  const answers = await inPage(url, 'Full desk', async (page, signed) => {
    const { plan, cups } = await withStudio(signed, async (tx) => {
      const bottles = await fillRack(tx, 60)
      const simple = planInput(bottles, { technique: 'flip-cup' })
      const [one] = simple.design.cups
      const cups = Array.from({ length: 12 }, (_, i) => ({
        ...one!,
        id: uuidv7(),
        at: [8 * i - 45, 12 * (i % 3) - 12] as const,
        layers: one!.layers.map((l) => ({ ...l, id: uuidv7() })),
      }))
      await savePlan(tx, { ...simple, design: { ...simple.design, cups } })
      return { plan: simple.id, cups }
    })
    await page.goto(`${url}/plan/${plan}`)
    await page.getByRole('button', { name: `Cup ${cups.length}`, exact: true }).waitFor()
    const field = page.getByLabel('Size of the face')
    await field.click()
    await page.evaluate(watchKeys)
    const times: number[] = []
    for (let i = 0; i < 20; i++) {
      await page.keyboard.press(i % 2 ? 'Backspace' : 'End')
      if (i % 2 === 0) await page.keyboard.type('1')
      await page.waitForTimeout(250)
      times.push(await page.evaluate(() => (window as unknown as { answered: number }).answered))
    }
    return times
  })
  const ours = median(answers)
  return {
    name: 'a key on the desk of 12 × 12 to its amounts in the page (browser) against 50 ms',
    ours,
    reference: 50,
    unit: 'ms',
    ratio: ours / 50,
    aim: '≤ 1',
  }
}

/** In the page: how long it took from the last key to the last thing that changed. */
function watchKeys(): void {
  const w = window as unknown as { answered: number }
  let from = 0
  document.addEventListener('keydown', () => (from = performance.now()), true)
  const seen = new MutationObserver(() => (w.answered = performance.now() - from))
  seen.observe(document.body, { subtree: true, childList: true, characterData: true, attributes: true })
}
