import type { PDFFont, PDFPage } from 'pdf-lib'
import { rgb } from 'pdf-lib'
import { documentWithFonts, MM } from '@/server/pdfFonts'

const INK = rgb(0.08, 0.08, 0.08)
/** A4, and a label as it hangs beside a piece; mm. */
const PAGE = { width: 210, height: 297, margin: 20 } as const
const LABEL = { width: 105, height: 74, margin: 8 } as const

/** A picture to print, JPEG. */
export interface PrintedPicture {
  readonly image: Buffer
  readonly width: number
  readonly height: number
}

/** Lines of a text that fit a width; a word too long for it is cut. Indents of a line are kept. */
function wrapped(text: string, font: PDFFont, size: number, widthPt: number): string[] {
  return text.split('\n').flatMap((line) => {
    const indent = /^ */.exec(line)![0]
    const out: string[] = []
    let now = indent
    for (const word of line.trim().split(/ +/)) {
      const next = now.trim() ? `${now} ${word}` : now + word
      if (font.widthOfTextAtSize(next, size) <= widthPt || !now.trim()) now = next
      else {
        out.push(now)
        now = `${indent}  ${word}`
      }
    }
    return [...out, now]
  })
}

/** What the fonts of the page cannot write is left out, not the whole page. */
function writable(text: string, font: PDFFont): string {
  const known = new Set(font.getCharacterSet())
  return [...text].filter((c) => c === '\n' || known.has(c.codePointAt(0)!)).join('')
}

/** A write-up as a page with pictures: the newest on top, wet beside dry below where there are two. */
export async function writeUpPage(
  title: string,
  text: string,
  pictures: readonly PrintedPicture[],
): Promise<Uint8Array> {
  const { pdf, plain, bold } = await documentWithFonts()
  const wide = (PAGE.width - 2 * PAGE.margin) * MM
  let page = pdf.addPage([PAGE.width * MM, PAGE.height * MM])
  let y = (PAGE.height - PAGE.margin) * MM
  const gap = 4 * MM
  if (pictures.length) {
    const each = (wide - gap * (pictures.length - 1)) / pictures.length
    let tallest = 0
    for (const [i, p] of pictures.entries()) {
      const scale = Math.min(each / p.width, (110 * MM) / p.height)
      page.drawImage(await pdf.embedJpg(p.image), {
        x: PAGE.margin * MM + i * (each + gap),
        y: y - p.height * scale,
        width: p.width * scale,
        height: p.height * scale,
      })
      tallest = Math.max(tallest, p.height * scale)
    }
    y -= tallest + 10 * MM
  }
  const [first = '', ...rest] = writable(text, plain).split('\n')
  const write = (line: string, font: PDFFont, size: number) => {
    y -= size * 1.4
    if (y < PAGE.margin * MM) {
      page = pdf.addPage([PAGE.width * MM, PAGE.height * MM])
      y = (PAGE.height - PAGE.margin) * MM - size * 1.4
    }
    page.drawText(line, { x: PAGE.margin * MM, y, size, font, color: INK })
  }
  for (const line of wrapped(first, bold, 16, wide)) write(line, bold, 16)
  for (const line of wrapped(rest.join('\n'), plain, 10.5, wide)) write(line, plain, 10.5)
  pdf.setTitle(title)
  return pdf.save()
}

/** The label that hangs beside a piece: its title, what it is, and whose it is. */
export async function wallLabel(l: {
  readonly title: string
  readonly studio: string
  readonly lines: readonly string[]
}): Promise<Uint8Array> {
  const { pdf, plain, bold } = await documentWithFonts()
  const page: PDFPage = pdf.addPage([LABEL.width * MM, LABEL.height * MM])
  const wide = (LABEL.width - 2 * LABEL.margin) * MM
  let y = (LABEL.height - LABEL.margin) * MM
  const write = (text: string, font: PDFFont, size: number) => {
    for (const line of wrapped(writable(text, font), font, size, wide)) {
      y -= size * 1.35
      if (y < LABEL.margin * MM) return
      page.drawText(line, { x: LABEL.margin * MM, y, size, font, color: INK })
    }
  }
  write(l.title, bold, 18)
  y -= 6
  for (const line of l.lines) write(line, plain, 11)
  y -= 6
  write(l.studio, plain, 11)
  pdf.setTitle(l.title)
  return pdf.save()
}
