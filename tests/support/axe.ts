import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { Page } from '@playwright/test'

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

/** Nothing on the page moves any more. */
export const still = (page: Page): Promise<unknown> =>
  page.waitForFunction(() => document.getAnimations().every((a) => a.playState !== 'running'))

/** Gives axe to whatever a page opens from now on: handing it over for every view takes longer than looking for a fault. */
export const bringAxe = (page: Page): Promise<unknown> => page.addInitScript(AXE)

/**
 * What axe finds serious or critical on a page, by WCAG 2.2 A and AA: rule, and where. It is run in the page itself and
 * only what it found comes back: Fika has no frames to look into, and a list of all that is well takes longer to hand
 * over than to make.
 */
export async function serious(page: Page): Promise<string[]> {
  // What fades in or out is neither here nor there yet.
  await still(page)
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(AXE)
  const violations = await page.evaluate(async () => {
    const { axe } = window as unknown as { axe: typeof import('axe-core') }
    const found = await axe.run(document, {
      runOnly: ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'],
      resultTypes: ['violations'],
      preload: false,
    })
    return found.violations.map(({ id, impact, nodes }) => ({
      id,
      impact,
      where: nodes.slice(0, 3).map((n) => n.target.join(' ')),
    }))
  })
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => `${v.id}: ${v.where.join(' | ')}`)
}
