import type { Triple } from './srgb'

const P25_7 = 25 ** 7
const RAD = Math.PI / 180

/**
 * CIEDE2000 colour difference of two L*a*b* colours, kL = kC = kH = 1.
 * Source: Sharma, Wu & Dalal, Color Res. Appl. 30 (2005) 21–30.
 */
export function deltaE00(one: Triple, two: Triple): number {
  const [l1, a1, b1] = one
  const [l2, a2, b2] = two
  const c1 = Math.sqrt(a1 * a1 + b1 * b1)
  const c2 = Math.sqrt(a2 * a2 + b2 * b2)
  const cMean = (c1 + c2) / 2
  const cMean2 = cMean * cMean
  const c7 = cMean2 * cMean2 * cMean2 * cMean
  const g = 0.5 * (1 - Math.sqrt(c7 / (c7 + P25_7)))
  const ap1 = (1 + g) * a1
  const ap2 = (1 + g) * a2
  const cp1 = Math.sqrt(ap1 * ap1 + b1 * b1)
  const cp2 = Math.sqrt(ap2 * ap2 + b2 * b2)
  const product = cp1 * cp2
  let h1 = ap1 === 0 && b1 === 0 ? 0 : Math.atan2(b1, ap1)
  let h2 = ap2 === 0 && b2 === 0 ? 0 : Math.atan2(b2, ap2)
  if (h1 < 0) h1 += 2 * Math.PI
  if (h2 < 0) h2 += 2 * Math.PI

  let dh = 0
  let hMean = h1 + h2
  if (product !== 0) {
    dh = h2 - h1
    const far = Math.abs(dh) > Math.PI
    if (dh > Math.PI) dh -= 2 * Math.PI
    else if (dh < -Math.PI) dh += 2 * Math.PI
    if (!far) hMean = (h1 + h2) / 2
    else hMean = h1 + h2 < 2 * Math.PI ? (h1 + h2) / 2 + Math.PI : (h1 + h2) / 2 - Math.PI
  }
  const dL = l2 - l1
  const dC = cp2 - cp1
  const dH = 2 * Math.sqrt(product) * Math.sin(dh / 2)

  const lMean = (l1 + l2) / 2 - 50
  const cpMean = (cp1 + cp2) / 2
  const t =
    1 -
    0.17 * Math.cos(hMean - 30 * RAD) +
    0.24 * Math.cos(2 * hMean) +
    0.32 * Math.cos(3 * hMean + 6 * RAD) -
    0.2 * Math.cos(4 * hMean - 63 * RAD)
  const around = (hMean / RAD - 275) / 25
  const dTheta = 30 * RAD * Math.exp(-around * around)
  const cp2m = cpMean * cpMean
  const cp7 = cp2m * cp2m * cp2m * cpMean
  const rC = 2 * Math.sqrt(cp7 / (cp7 + P25_7))
  const sL = 1 + (0.015 * lMean * lMean) / Math.sqrt(20 + lMean * lMean)
  const sC = 1 + 0.045 * cpMean
  const sH = 1 + 0.015 * cpMean * t
  const rT = -Math.sin(2 * dTheta) * rC
  const [eL, eC, eH] = [dL / sL, dC / sC, dH / sH]
  return Math.sqrt(eL * eL + eC * eC + eH * eH + rT * eC * eH)
}

/** What a difference means to a maker. Bounds are common practice, no published source. */
export function differenceInWords(deltaE: number): 'cannot tell' | 'side by side only' | 'plain' {
  if (deltaE < 1) return 'cannot tell'
  return deltaE < 3 ? 'side by side only' : 'plain'
}
