import { scaleAddress } from '@/devices/scale/stream'
import { startScale, type ScaleStandIn } from '@/devices/scale/standIn'
import { random } from './random'

/** The one scale of the app under test, once no other test holds it. */
export async function holdScale(seed: number): Promise<ScaleStandIn> {
  for (;;)
    try {
      return await startScale({ port: scaleAddress()!.port, random: random(seed), clock: Date.now })
    } catch (error) {
      if ((error as { code?: string }).code !== 'EADDRINUSE') throw error
      await new Promise((resolve) => setTimeout(resolve, 500))
    }
}
/** Longest a test waits for the scale, ms. */
export const SCALE_WAIT_MS = 600_000
