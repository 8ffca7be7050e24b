import { writable } from '@/exchange/guard'
import { documentWithFonts } from '@/server/pdfFonts'
import { placesOf, type Grid } from './grids'
import { modulesPath } from '@/ui/pictures/codeModules'
import { drawLabel, type LabelText } from './layout'

/** White border of a code, mm. */
const QUIET = 2.4

const escape = (text: string) => writable(text).replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`)
const at = (n: number) => Number(n.toFixed(3))

/** One sheet of labels as SVG in mm; the first, or the one that is asked for. */
export async function labelsSvg(
  labels: readonly LabelText[],
  grid: Grid,
  from = 1,
  sheet = 0,
  outlines = false,
): Promise<string> {
  const { widthOf } = await documentWithFonts()
  const places = placesOf(grid, labels.length, from)
  const drawn = labels.flatMap((label, i) => {
    const place = places[i]!
    if (place.sheet !== sheet) return []
    const { texts, qr, chip } = drawLabel(label, grid.label, widthOf)
    const scale = at(qr.side / qr.modules.length)
    return [
      `<g transform="translate(${at(place.x)} ${at(place.y)})">`,
      ...texts.map(
        (t) =>
          `<text x="${at(t.x)}" y="${at(t.y)}" font-size="${t.size}" font-weight="${t.bold ? 700 : 400}" textLength="${at(widthOf(t.text, t.size, t.bold))}" lengthAdjust="spacingAndGlyphs">${escape(t.text)}</text>`,
      ),
      // Where another font writes wider, the code keeps its white border.
      `<rect x="${at(qr.x - QUIET)}" y="0" width="${at(grid.label.width - qr.x + QUIET)}" height="${grid.label.height}" fill="#fff"/>`,
      `<path transform="translate(${at(qr.x)} ${at(qr.y)}) scale(${scale})" d="${modulesPath(qr.modules)}" fill="#000" shape-rendering="crispEdges"/>`,
      chip && label.hex
        ? `<rect x="${at(chip.x)}" y="${at(chip.y)}" width="${at(chip.width)}" height="${chip.height}" fill="${label.hex}"/>`
        : '',
      '</g>',
    ]
  })
  const each = grid.columns * grid.rows
  const lines = outlines
    ? placesOf(grid, each).map(
        (p) =>
          `<rect x="${at(p.x)}" y="${at(p.y)}" width="${grid.label.width}" height="${grid.label.height}" fill="none" stroke="#b5b5b5" stroke-width=".25" stroke-dasharray="1.5 1"/>`,
      )
    : []
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${grid.page.width}mm" height="${grid.page.height}mm" viewBox="0 0 ${grid.page.width} ${grid.page.height}" font-family="'Atkinson Hyperlegible Next Variable','Atkinson Hyperlegible Next',sans-serif" fill="#141414">`,
    `<rect width="100%" height="100%" fill="#fff"/>`,
    ...lines,
    ...drawn,
    '</svg>',
  ].join('')
}
