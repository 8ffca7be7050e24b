import { chromium } from '@playwright/test'
import { CHROMIUM } from './support/chromium'
const [w, h] = (process.env.SIZE ?? '1280x800').split('x').map(Number)
const b = await chromium.launch({ executablePath: CHROMIUM.executablePath, args: [...CHROMIUM.args] })
const p = await b.newPage({ viewport: { width: w!, height: h! }, baseURL: process.env.URL ?? 'http://127.0.0.1:4720' })
await p.goto('/sign-in')
await p.getByRole('button', { name: 'Open the demo studio' }).click()
await p.waitForURL('**/rack')
const a = process.argv.slice(2)
for (let i = 0; i < a.length; i += 2) {
  const t = Date.now()
  await p.goto(a[i + 1]!)
  await p.waitForLoadState('networkidle')
  await p.waitForTimeout(400)
  await p.screenshot({ path: `/tmp/shots/${a[i]}.png`, fullPage: !!process.env.FULL })
  console.log(a[i], p.url(), Date.now() - t)
}
await b.close()
