import type { Page } from '@playwright/test'
import { runState } from '@/core/run/runState'
import { whatStayed } from '@/core/run/stayed'
import { withStudio } from '@/db/base/withStudio'
import { savePlan } from '@/db/plans/write'
import { happened, load, runPlan } from '../tests/support/run'
import { planInput } from '../tests/support/plans'
import { compare, type Figure } from './measure'
import { inPage } from './page'
import { fillRack } from './rack'

const TAPS = 12
const median = (list: readonly number[]) => [...list].sort((a, b) => a - b)[list.length >> 1]!

/** The day of a pour: its events again and again, a tap to what is seen, and another device. */
export async function dayFigures(url: string): Promise<Figure[]> {
  const plan = runPlan()
  const events = happened(
    ...Array.from({ length: 500 }, (_, i) =>
      i % 7 === 6 ? ({ kind: 'undo', of: i } as const) : load(i % 2 ? 1 : 2, 'teal', 1 + i),
    ),
  )
  const replay = await compare(
    'time',
    '500 events of a pour replayed, against 20 ms',
    '≤ 1',
    1,
    () => whatStayed(plan, runState(plan, events)),
    () => new Promise((resolve) => setTimeout(resolve, 20)),
  )
  return [replay, ...(await taps(url))]
}

/** Taps on one device until it is seen there and on another. */
const taps = (url: string): Promise<Figure[]> =>
  inPage(url, 'Pouring room', async (page, signed) => {
    const planId = await withStudio(signed, async (tx) => {
      const input = planInput((await fillRack(tx, 40)).slice(0, 5), { technique: 'ring' })
      await savePlan(tx, input)
      return input.id
    })
    await page.goto(`${url}/pour/${planId}`)
    await page.getByRole('button', { name: 'Pour it step by step' }).click()
    await page.getByTestId('run').waitFor()
    const other = await page.context().newPage()
    await other.goto(page.url())
    await other.getByTestId('run').waitFor()
    await page.bringToFront()
    const [seen, heard]: [number[], number[]] = [[], []]
    for (let i = 0; i < TAPS; i++) {
      const revision = Number(await page.getByTestId('run').getAttribute('data-revision'))
      const there = reached(other, revision + 1)
      seen.push(await tick(page))
      heard.push((await there) - (await page.evaluate(() => (window as unknown as { tapped: number }).tapped)))
      await reached(page, revision + 1)
    }
    const figure = (name: string, ours: number, ms: number): Figure => ({
      name,
      ours,
      reference: ms,
      unit: 'ms',
      ratio: ours / ms,
      aim: '≤ 1',
    })
    return [
      figure('a tap at the pour until it is painted, against 100 ms', median(seen), 100),
      figure('a tap at the pour until another device shows it, against 300 ms', median(heard), 300),
    ]
  })

/** Taps the first thing to tick off; ms until the frame that shows it. */
const tick = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const box = document.querySelector<HTMLButtonElement>('[role=checkbox]')!
        Object.assign(window, { tapped: Date.now() })
        const from = performance.now()
        new MutationObserver(() => requestAnimationFrame(() => resolve(performance.now() - from))).observe(box, {
          attributeFilter: ['aria-checked'],
        })
        box.click()
      }),
  )

/** When a device shows a revision, ms since 1970; it is looked at every few ms, not by its frames. */
const reached = (page: Page, revision: number) =>
  page.evaluate(
    (wanted) =>
      new Promise<number>((resolve) => {
        const timer = setInterval(() => {
          if (Number(document.querySelector('[data-testid=run]')?.getAttribute('data-revision')) < wanted) return
          clearInterval(timer)
          resolve(Date.now())
        }, 4)
      }),
    revision,
  )
