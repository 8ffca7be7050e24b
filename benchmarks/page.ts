import type { Page } from '@playwright/test'
import type { Signed } from '@/db/people/sessions'
import { person, signUp } from '../tests/support/accounts'
import { launch } from '../tests/support/chromium'
import { sealed } from '../tests/support/sealed'

/** Work in a real page, signed in to a fresh studio of its own; the browser is closed whatever happens. */
export async function inPage<T>(
  url: string,
  studioName: string,
  work: (page: Page, signed: Signed) => Promise<T>,
): Promise<T> {
  const signed = await signUp({ ...person(), studioName })
  const token = await sealed(signed.token)
  const browser = await launch()
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
    await context.addCookies([{ name: 'fika', value: token, url }])
    return await work(await context.newPage(), signed)
  } finally {
    await browser.close()
  }
}

/** From now on the page remembers the longest time it stood still; only what takes 50 ms or more is ever reported. */
export const watchStillness = (page: Page) =>
  page.evaluate(() => {
    const w = window as unknown as { longest: number }
    w.longest = 0
    new PerformanceObserver((list) => {
      for (const e of list.getEntries()) w.longest = Math.max(w.longest, e.duration)
    }).observe({ type: 'longtask' })
  })
export const longestStillness = (page: Page) => page.evaluate(() => (window as unknown as { longest: number }).longest)
