import { rgb } from 'pdf-lib'
import { hexToSrgb } from '@/core/colour/srgb'
import { documentWithFonts, MM } from '@/server/pdfFonts'
import { placesOf, type Grid } from './grids'
import { modulesPath } from '@/ui/pictures/codeModules'
import { drawLabel, type LabelText } from './layout'

const INK = rgb(0.08, 0.08, 0.08)

/** Sheets of labels as PDF, to scale; `from` is the first free place of the first sheet. */
export async function labelsPdf(labels: readonly LabelText[], grid: Grid, from = 1): Promise<Uint8Array> {
  const { pdf, plain, bold, widthOf } = await documentWithFonts()
  const places = placesOf(grid, labels.length, from)
  const pages = Array.from({ length: (places.at(-1)?.sheet ?? 0) + 1 }, () =>
    pdf.addPage([grid.page.width * MM, grid.page.height * MM]),
  )
  labels.forEach((label, i) => {
    const { sheet, x, y } = places[i]!
    const page = pages[sheet]!
    // PDF counts from the lower left corner.
    const down = (mm: number) => (grid.page.height - y - mm) * MM
    const across = (mm: number) => (x + mm) * MM
    const { texts, qr, chip } = drawLabel(label, grid.label, widthOf)
    for (const t of texts)
      page.drawText(t.text, {
        x: across(t.x),
        y: down(t.y),
        size: t.size * MM,
        font: t.bold ? bold : plain,
        color: INK,
      })
    const scale = (qr.side / qr.modules.length) * MM
    page.drawSvgPath(modulesPath(qr.modules), { x: across(qr.x), y: down(qr.y), scale, color: rgb(0, 0, 0) })
    if (chip && label.hex) {
      const [r, g, b] = hexToSrgb(label.hex)
      page.drawRectangle({
        x: across(chip.x),
        y: down(chip.y + chip.height),
        width: chip.width * MM,
        height: chip.height * MM,
        color: rgb(r, g, b),
      })
    }
  })
  pdf.setTitle(labels.length === 1 ? `Label: ${labels[0]!.name}` : `${labels.length} labels`)
  return pdf.save()
}
