import { random } from '../random'

/** Waves of a hand: how many, how long and how high they are, mm. Start values of Fika. */
const WAVES = { count: 7, lengthMm: [18, 70], heightMm: 1.1 } as const

/**
 * A smooth unevenness over the plane, mm, some millimetre high: no two pours are alike, and two rehearsals of one plan
 * differ by it. The same seed gives the same.
 */
export function waviness(seed: number): (x: number, y: number) => number {
  const next = random(seed * 2654435761 + 1)
  for (let i = 0; i < 4; i++) next()
  const [least, most] = WAVES.lengthMm
  const waves = Array.from({ length: WAVES.count }, () => {
    const k = (2 * Math.PI) / (least * (most / least) ** next())
    const way = 2 * Math.PI * next()
    return { kx: k * Math.cos(way), ky: k * Math.sin(way), at: 2 * Math.PI * next() }
  })
  const each = WAVES.heightMm / Math.sqrt(WAVES.count / 2)
  return (x, y) => {
    let sum = 0
    for (const w of waves) sum += Math.sin(w.kx * x + w.ky * y + w.at)
    return each * sum
  }
}
