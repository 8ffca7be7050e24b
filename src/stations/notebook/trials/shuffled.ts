import { random } from '@/core/random'

/** Arms in an order of their own for each repeat, so that one who looks blind cannot tell which is which. */
export function shuffled<T>(arms: readonly T[], trialId: string, repeat: number): T[] {
  let seed = 17 * repeat + 1
  for (const c of trialId) seed = (Math.imul(seed, 31) + c.charCodeAt(0)) >>> 0
  const next = random(seed)
  for (let i = 0; i < 4; i++) next()
  const out = [...arms]
  for (let i = out.length - 1; i > 0; i--) {
    const j = Math.floor(next() * (i + 1))
    ;[out[i], out[j]] = [out[j]!, out[i]!]
  }
  return out
}
