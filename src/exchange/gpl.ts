import { Invalid } from '@/core/errors'
import { hexToSrgb, srgbToHex, type Triple } from '@/core/colour/srgb'

/** A named colour of a palette or swatch file. */
export interface Swatch {
  readonly name: string
  readonly hex: string
}
export interface Palette {
  readonly name: string
  readonly swatches: readonly Swatch[]
}

const oneLine = (text: string) => text.replace(/\s+/g, ' ').trim()

/** Writes a GIMP palette: the magic line, its name, columns, then `R G B<tab>name` a line. */
export function writeGpl({ name, swatches }: Palette): string {
  const lines = swatches.map((s) => {
    const rgb = hexToSrgb(s.hex).map((c) => String(Math.round(c * 255)).padStart(3))
    return `${rgb.join(' ')}\t${oneLine(s.name)}`
  })
  return ['GIMP Palette', `Name: ${oneLine(name)}`, 'Columns: 8', '#', ...lines, ''].join('\n')
}

/** Reads a GIMP palette. @throws Invalid when it is none */
export function readGpl(text: string): Palette {
  const [magic, ...lines] = text.replace(/^\uFEFF/, '').split(/\r?\n/)
  if (magic?.trim() !== 'GIMP Palette')
    throw new Invalid('This is not a GIMP palette: its first line must read “GIMP Palette”.', 'file')
  const name = lines.find((l) => /^Name:/.test(l))?.replace(/^Name:\s*/, '') ?? ''
  const swatches = lines.flatMap((line): Swatch[] => {
    const m = /^\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})(?:\s+(.*))?$/.exec(line)
    if (!m) return []
    const rgb = m.slice(1, 4).map(Number)
    if (rgb.some((c) => c > 255)) throw new Invalid(`“${line.trim()}” is not a colour: each number goes up to 255.`)
    const hex = srgbToHex(rgb.map((c) => c / 255) as Triple)
    return [{ name: oneLine(m[4] ?? '') || hex, hex }]
  })
  return { name: oneLine(name), swatches }
}
