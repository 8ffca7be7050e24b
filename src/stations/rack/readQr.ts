import decodeQR from 'qr/decode.js'

/** A picture is looked at in this size first, longest side in px; a code that fills little of it needs more. */
const SIZES = [900, 1800, 3200]

/** What is said of a code that is no bottle's. */
export const NOT_OURS = 'That code is none of Fika’s labels. Scan the label of a bottle.'

/** The bottle a scanned address belongs to. @returns its path; undefined where it is no bottle's */
export function bottlePath(text: string): string | undefined {
  return /^https?:\/\/[^/]+(\/rack\/[0-9a-f]{8}-[0-9a-f-]{27})$/.exec(text.trim())?.[1]
}

/** Reads the QR code in a picture of a label, in the browser: nothing is sent anywhere. */
export async function readQr(file: Blob): Promise<{ path: string } | { trouble: string }> {
  const picture = await createImageBitmap(file).catch(() => undefined)
  if (!picture) return { trouble: 'This is not a picture Fika can read. Take a photo of the label, or type its code.' }
  for (const size of SIZES) {
    const scale = Math.min(1, size / Math.max(picture.width, picture.height))
    const [width, height] = [
      Math.max(1, Math.round(picture.width * scale)),
      Math.max(1, Math.round(picture.height * scale)),
    ]
    const canvas = new OffscreenCanvas(width, height)
    const context = canvas.getContext('2d')!
    context.drawImage(picture, 0, 0, width, height)
    const text = codeIn(context.getImageData(0, 0, width, height))
    if (text !== undefined) {
      const path = bottlePath(text)
      return path ? { path } : { trouble: NOT_OURS }
    }
    if (scale === 1) break
  }
  return { trouble: 'No code was found in the picture. Come closer, hold still, or type the code on the label.' }
}

/** The text of a QR code in a picture; undefined where there is none to be read within the time. */
export function codeIn(
  image: { data: Uint8ClampedArray; width: number; height: number },
  timeLimit = 2_000,
): string | undefined {
  try {
    return decodeQR(image, { effort: 3, timeLimit })
  } catch {
    // No code in it.
    return undefined
  }
}
