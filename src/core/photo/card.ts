import { CARDS, type Card } from '../colour/photoSwatch'
import type { Triple } from '../colour/srgb'
import { Invalid } from '../errors'
import { LINEAR_OF, type Picture } from './picture'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { ceil, floor, log, max, min } = Math

/** A patch of a picture, as shares of its width and height. */
export interface Patch {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

/**
 * Gains of a photo's channels by a white or grey card in it, ln: what the card shows ÷ what it reflects, middle of its
 * pixels.
 * @throws Invalid where the card is overexposed or too dark
 */
export function cardGains(picture: Picture, patch: Patch, kind: Card): Triple {
  const x0 = max(0, floor(patch.x * picture.width))
  const y0 = max(0, floor(patch.y * picture.height))
  const x1 = min(picture.width, ceil((patch.x + patch.width) * picture.width))
  const y1 = min(picture.height, ceil((patch.y + patch.height) * picture.height))
  const step = max(1, floor(min(x1 - x0, y1 - y0) / 60))
  const gains = [0, 1, 2].map((c) => {
    const list: number[] = []
    for (let y = y0; y < y1; y += step)
      for (let x = x0; x < x1; x += step) list.push(picture.data[4 * (y * picture.width + x) + c]!)
    list.sort((a, b) => a - b)
    const middle = list[list.length >> 1] ?? 0
    if (middle >= 254)
      throw new Invalid('The card is overexposed in this photo. Take it again a little darker, without a glint on it.')
    if (middle < 8) throw new Invalid('The card is too dark in this photo. Take it again in more light.')
    return log(LINEAR_OF[middle]! / CARDS[kind])
  })
  return gains as Triple
}
