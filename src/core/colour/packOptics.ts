import type { Optics } from './kubelkaMunk'
import { BANDS } from './observer'
import { opticsFromHex } from './paintOptics'
import type { Strength } from '../paint/properties'

/** K and S as 384 characters of base64 (little-endian 32-bit floats, K before S), to be kept and sent small. */
export function packOptics({ k, s }: Optics): string {
  const view = new DataView(new ArrayBuffer(8 * BANDS))
  for (let i = 0; i < BANDS; i++) {
    view.setFloat32(4 * i, k[i]!, true)
    view.setFloat32(4 * (BANDS + i), s[i]!, true)
  }
  return btoa(String.fromCharCode(...new Uint8Array(view.buffer)))
}

/** The inverse of `packOptics`, to 32-bit floats. */
export function unpackOptics(text: string): Optics {
  const bytes = Uint8Array.from(atob(text), (c) => c.charCodeAt(0))
  const view = new DataView(bytes.buffer)
  const read = (from: number) => Float64Array.from({ length: BANDS }, (_, i) => view.getFloat32(4 * (from + i), true))
  return { k: read(0), s: read(BANDS) }
}

const known = new Map<string, Optics>()
const MOST_KNOWN = 2000

/**
 * Optics of a paint as it is kept: as calibrated, or the estimate by masstone and strength class where none were
 * worked out yet. Unpacked once; the same paint gives the same object.
 */
export function opticsOf(paint: {
  readonly optics: string | null
  readonly hex: string | null
  readonly strength: Strength | null
}): Optics {
  const key = paint.optics ?? `${paint.hex}/${paint.strength}`
  const found = known.get(key)
  if (found) return found
  const optics = paint.optics ? unpackOptics(paint.optics) : opticsFromHex(paint.hex!, paint.strength ?? 'normal')
  if (known.size >= MOST_KNOWN) known.clear()
  known.set(key, optics)
  return optics
}
