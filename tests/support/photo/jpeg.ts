import sharp from 'sharp'
import type { Picture } from '@/core/photo/picture'
import type { Photo } from './photograph'

/** A made-up photo as a phone keeps it: JPEG. */
export const jpegOf = (p: Photo, quality = 85): Promise<Buffer> =>
  sharp(Buffer.from(p.data.buffer), { raw: { width: p.width, height: p.height, channels: 4 } })
    .removeAlpha()
    .jpeg({ quality })
    .toBuffer()

/** The same photo as it is opened again, with all that was lost on the way. */
export async function throughJpeg(p: Photo, quality = 85): Promise<Picture> {
  const { data, info } = await sharp(await jpegOf(p, quality))
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true })
  return { width: info.width, height: info.height, data }
}
