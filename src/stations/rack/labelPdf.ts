import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import fontkit from '@pdf-lib/fontkit'
import bwip from 'bwip-js/node'
import { PDFDocument, rgb } from 'pdf-lib'
import { hexToSrgb } from '@/core/colour/srgb'

const MM = 72 / 25.4
/** A common label, 70 × 36 mm. */
const SIZE = { width: 70 * MM, height: 36 * MM }
const FONTS = 'node_modules/@fontsource/atkinson-hyperlegible-next/files'

export interface LabelText {
  readonly name: string
  readonly role: string
  readonly mixedOn: string
  readonly recipe: string
  readonly hex: string | null
  /** Plain address of the bottle's page, for the QR code. */
  readonly url: string
}

/** Breaks a text into lines no wider than `width`; a single word that is wider is cut. */
function wrap(text: string, widthOf: (t: string) => number, width: number, most: number): string[] {
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

/** One label as PDF: name, mixed on, recipe, a chip of the colour, and a QR code to the bottle's page. */
export async function labelPdf(text: LabelText): Promise<Uint8Array> {
  const pdf = await PDFDocument.create()
  pdf.registerFontkit(fontkit)
  const font = (weight: number) =>
    readFile(join(process.cwd(), FONTS, `atkinson-hyperlegible-next-latin-${weight}-normal.woff`)).then((bytes) =>
      pdf.embedFont(bytes, { subset: true }),
    )
  const [plain, bold] = [await font(400), await font(700)]
  const page = pdf.addPage([SIZE.width, SIZE.height])
  const ink = rgb(0.08, 0.08, 0.08)
  const qrSize = 25 * MM
  const qr = (await bwip.toBuffer({ bcid: 'qrcode', text: text.url, scale: 6, padding: 0 })) as unknown as Buffer
  page.drawImage(await pdf.embedPng(qr), {
    x: SIZE.width - qrSize - 3 * MM,
    y: SIZE.height - qrSize - 4 * MM,
    width: qrSize,
    height: qrSize,
  })
  const width = SIZE.width - qrSize - 9 * MM
  let y = SIZE.height - 7.5 * MM
  for (const line of wrap(text.name, (t) => bold.widthOfTextAtSize(t, 13), width, 2)) {
    page.drawText(line, { x: 3 * MM, y, size: 13, font: bold, color: ink })
    y -= 5 * MM
  }
  page.drawText(`Mixed ${text.mixedOn}`, { x: 3 * MM, y, size: 8.5, font: plain, color: ink })
  y -= 3.6 * MM
  page.drawText(text.role, { x: 3 * MM, y, size: 8.5, font: plain, color: ink })
  y -= 4 * MM
  for (const line of wrap(text.recipe, (t) => plain.widthOfTextAtSize(t, 7.5), width, 4)) {
    page.drawText(line, { x: 3 * MM, y, size: 7.5, font: plain, color: ink })
    y -= 3 * MM
  }
  if (text.hex) {
    const [r, g, b] = hexToSrgb(text.hex)
    page.drawRectangle({
      x: SIZE.width - qrSize - 3 * MM,
      y: 2.5 * MM,
      width: qrSize,
      height: 3 * MM,
      color: rgb(r, g, b),
    })
  }
  pdf.setTitle(`Label: ${text.name}`)
  return pdf.save()
}
