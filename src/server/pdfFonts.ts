import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import fontkit from '@pdf-lib/fontkit'
import { PDFDocument, type PDFFont } from 'pdf-lib'

const FONTS = 'node_modules/@fontsource/atkinson-hyperlegible-next/files'
/** Points of a millimetre. */
export const MM = 72 / 25.4

/** How wide a text is, mm, at a size in mm. */
export type WidthOf = (text: string, size: number, bold: boolean) => number

/** A PDF with the label's fonts, and how wide they write. */
export async function documentWithFonts(): Promise<{
  pdf: PDFDocument
  plain: PDFFont
  bold: PDFFont
  widthOf: WidthOf
}> {
  const pdf = await PDFDocument.create()
  pdf.registerFontkit(fontkit)
  const font = (weight: number) =>
    readFile(join(process.cwd(), FONTS, `atkinson-hyperlegible-next-latin-${weight}-normal.woff`)).then((bytes) =>
      pdf.embedFont(bytes, { subset: true }),
    )
  const [plain, bold] = [await font(400), await font(700)]
  const widthOf: WidthOf = (text, size, isBold) => (isBold ? bold : plain).widthOfTextAtSize(text, size * MM) / MM
  return { pdf, plain, bold, widthOf }
}
