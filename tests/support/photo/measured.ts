import { squaredDepth } from '@/core/photo/distance'
import { measurePhoto, type PhotoMeasures } from '@/core/photo/measurePhoto'
import { quietShares } from '@/core/photo/quiet'
import { throughJpeg } from './jpeg'
import { photograph } from './photograph'
import { scene, type Scene } from './scene'
import { scored, type Scored } from './scored'
import type { Made } from './shots'

/** What was poured of each colour, about what is seen: some of it was tilted off, some colours more than others. */
function pouredOf(s: Scene): { hex: string; share: number }[] {
  const off = s.shares.map((v, i) => (v + 0.02) * (0.75 + (0.5 * ((i * 7) % 5)) / 4))
  const all = off.reduce((a, b) => a + b, 0)
  return s.wish.palette.map((hex, i) => ({ hex, share: off[i]! / all }))
}

/** A made-up photo, measured, and how that compares with the truth. */
export async function measured(
  made: Made,
  pxPerMm = 5,
): Promise<{ scene: Scene; measures: PhotoMeasures; score: Scored }> {
  const lying = scene({ ...made.wish, pxPerMm })
  const photo = photograph(lying, made.shot)
  const { lengthMm, widthMm, palette } = made.wish
  const { measures } = measurePhoto(
    await throughJpeg(photo),
    photo.quad,
    { shape: 'rectangle', lengthMm, widthMm },
    pouredOf(lying),
  )
  const real = Int16Array.from(lying.labels, (l) => (l >= 100 ? -1 : l))
  const depth = squaredDepth(real, lying.width, lying.height)
  const quiet = quietShares(real, depth, palette.length, lying.width, lying.height).reduce((a, b) => a + b, 0)
  return { scene: lying, measures, score: scored(lying, measures, quiet) }
}
