import { createServer, type Server } from 'node:net'
import { expect, type Page } from '@playwright/test'
import { STILL_MOVING } from '@/core/device/settle'
import { scaleAddress } from '@/devices/scale/stream'
import { startScale, type ScaleStandIn } from '@/devices/scale/standIn'
import { random } from './random'

/** Longest a test waits for the scale, ms. */
export const SCALE_WAIT_MS = 600_000
/** Beside the scale's own port: held for as long as a test has it, also while its plug is pulled. */
const LOCK = 40

let lock: Server

const locked = (port: number) =>
  new Promise<Server>((resolve, reject) => {
    const server = createServer()
    server.once('error', reject).listen(port, '127.0.0.1', () => resolve(server))
  })

/** The one scale of the app under test, once no other test holds it. */
export async function holdScale(seed: number): Promise<ScaleStandIn> {
  const { port } = scaleAddress()!
  for (;;)
    try {
      lock = await locked(port + LOCK)
      return await startScale({ port, random: random(seed), clock: Date.now })
    } catch (error) {
      if ((error as { code?: string }).code !== 'EADDRINUSE') throw error
      await new Promise((resolve) => setTimeout(resolve, 500))
    }
}

/** Waits for what a tap leads to. On a busy machine the weight may have moved once more: the screen says so, and is told again. */
export const toldAgain = (page: Page, again: () => Promise<unknown>, came: () => Promise<unknown>): Promise<void> =>
  expect(async () => {
    if (await page.getByText(STILL_MOVING).isVisible()) await again()
    await came()
  }).toPass({ timeout: 30_000 })

/** Leaves the scale to the next test. */
export async function leaveScale(scale: ScaleStandIn): Promise<void> {
  await scale.close()
  lock.close()
}
