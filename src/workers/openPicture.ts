import { imageSize } from 'image-size'
import { FikaError } from '@/core/errors'
import { MOST_PIXELS, NO_PHOTO, PHOTO_KINDS, TOO_MANY_PIXELS } from '@/core/photo/sizes'

/** Bytes read for the head of a picture. */
const HEAD = 512 * 1024

/** Size and kind by its head, before a pixel is decoded. */
function mayOpen(head: Uint8Array): string | undefined {
  try {
    const { width, height, type } = imageSize(head)
    if (!(PHOTO_KINDS as readonly string[]).includes(type ?? '')) return NO_PHOTO
    return width * height > MOST_PIXELS ? TOO_MANY_PIXELS : undefined
  } catch {
    return NO_PHOTO
  }
}

/**
 * Decodes a chosen file off the page's thread; the head is looked at first, so that a picture too large to be one is
 * never unpacked.
 * @throws Invalid for what is no photo, or has too many pixels
 */
export async function openPicture(file: Blob): Promise<ImageBitmap> {
  const refused = mayOpen(new Uint8Array(await file.slice(0, HEAD).arrayBuffer()))
  if (refused) throw new FikaError('Invalid', refused)
  return createImageBitmap(file).catch(() => {
    throw new FikaError('Invalid', NO_PHOTO)
  })
}
