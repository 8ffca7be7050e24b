import type { WidthOf } from '@/server/pdfFonts'
import { codeModules } from '@/ui/pictures/codeModules'

export interface LabelText {
  readonly name: string
  readonly role: string
  /** Short code with its check letter. */
  readonly code: string
  readonly mixedOn: string
  readonly keepsUntil: string
  readonly recipe: string
  readonly hex: string | null
  /** Plain address of the bottle's page, for the QR code. */
  readonly url: string
}

/** One line of text: mm from the label's upper left corner to its baseline, size in mm. */
export interface TextAt {
  readonly text: string
  readonly x: number
  readonly y: number
  readonly size: number
  readonly bold: boolean
}

export interface LabelDrawing {
  readonly texts: readonly TextAt[]
  /** Upper left corner and side of the QR code, and its modules, dark ones true. */
  readonly qr: {
    readonly x: number
    readonly y: number
    readonly side: number
    readonly modules: readonly (readonly boolean[])[]
  }
  /** A chip of the colour. */
  readonly chip: { readonly x: number; readonly y: number; readonly width: number; readonly height: number } | null
}

const EDGE = 3
/** A camera at arm's length still tells modules of this size apart, mm. */
const LARGEST_QR = 25

/** Breaks a text into lines no wider than `width`; a single word that is wider is cut. */
export function wrap(text: string, widthOf: (t: string) => number, width: number, most: number): string[] {
  const lines: string[] = []
  let line = ''
  for (const word of text.split(/\s+/)) {
    const longer = line ? `${line} ${word}` : word
    if (widthOf(longer) <= width) line = longer
    else {
      if (line) lines.push(line)
      line = word
      while (widthOf(line) > width) line = line.slice(0, -1)
    }
  }
  lines.push(line)
  if (lines.length <= most) return lines
  return [...lines.slice(0, most - 1), `${lines[most - 1]!.slice(0, -1)}…`]
}

/** What stands where on a label of a size in mm: name, code, dates, role, recipe as far as there is room, colour, QR code. */
export function drawLabel(label: LabelText, size: { width: number; height: number }, widthOf: WidthOf): LabelDrawing {
  const small = size.height < 30
  const side = Math.min(LARGEST_QR, size.height - 2 * EDGE, size.width * 0.4)
  const chipHeight = small || size.height - 2 * EDGE - side < 4 ? 0 : 3
  const width = size.width - side - 3 * EDGE
  const texts: TextAt[] = []
  let y = EDGE
  const write = (text: string, textSize: number, bold: boolean, most: number) => {
    for (const line of wrap(text, (t) => widthOf(t, textSize, bold), width, most)) {
      if (y + textSize > size.height - EDGE + 0.5) return
      texts.push({ text: line, x: EDGE, y: y + textSize * 0.8, size: textSize, bold })
      y += textSize * 1.14
    }
  }
  write(label.name, small ? 3.6 : 4.6, true, 2)
  write(label.code, small ? 3.4 : 3.9, true, 1)
  write(`Mixed ${label.mixedOn}`, small ? 2.5 : 2.9, false, 1)
  if (label.keepsUntil) write(`Keeps until ${label.keepsUntil}`, small ? 2.5 : 2.9, false, 1)
  write(label.role, small ? 2.5 : 2.9, false, 1)
  write(label.recipe, small ? 2.2 : 2.6, false, 5)
  const x = size.width - side - EDGE
  const top = chipHeight ? EDGE : (size.height - side) / 2
  return {
    texts,
    qr: { x, y: top, side, modules: codeModules(label.url) },
    chip:
      chipHeight && label.hex ? { x, y: size.height - EDGE - chipHeight + 0.5, width: side, height: chipHeight } : null,
  }
}
