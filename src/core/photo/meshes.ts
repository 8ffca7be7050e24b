import type { Cell } from './cells'
import type { Lines } from './lacing'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { PI } = Math

/** A blob with so much of its rim along a net of lines is a mesh of it, not a cell. Start value of Fika. */
const MESH = 0.3
/** Lines that go so much farther than round one blob are a net; shorter ones along most of its rim are its halo. Start values of Fika. */
const NET = { timesRound: 1.6, ofRim: 0.5 } as const

/** Cells that are no meshes of lacing, and which lines are lacing and not the halo of one cell. */
export interface Apart {
  readonly cells: readonly Cell[]
  readonly isLacing: (component: number) => boolean
}

/**
 * Tells cells and lacing apart where they touch: lines that run along one blob only are its halo; a blob along a net of
 * lines is a mesh.
 * @param of component of each pixel, as the cells were found
 */
export function cellsApartFromLacing(
  cells: readonly (Cell & { readonly component: number })[],
  of: Int32Array,
  lines: Lines,
  width: number,
  height: number,
  mmPerPx: number,
): Apart {
  const isCell = new Set(cells.map((c) => c.component))
  const rim = new Map<number, number>()
  // How many pixels of a cell's rim lie along each component of lines.
  const along = new Map<number, Map<number, number>>()
  const sides = [-1, 1, -width, width, -2, 2, -2 * width, 2 * width]
  for (let y = 2; y < height - 2; y++)
    for (let x = 2; x < width - 2; x++) {
      const i = y * width + x
      const c = of[i]!
      if (c < 0 || !isCell.has(c)) continue
      if (of[i - 1] === c && of[i + 1] === c && of[i - width] === c && of[i + width] === c) continue
      rim.set(c, (rim.get(c) ?? 0) + 1)
      const line = sides
        .map((d) => lines.of[i + d]!)
        .find((l, k) => l >= 0 && lines.lengths[l]! > 0 && of[i + sides[k]!] !== c)
      if (line === undefined) continue
      const mine = along.get(c) ?? new Map<number, number>()
      mine.set(line, (mine.get(line) ?? 0) + 1)
      along.set(c, mine)
    }
  const halos = new Set<number>()
  const meshes = new Set<number>()
  for (const cell of cells) {
    const round = (PI * cell.diameterMm) / mmPerPx
    const whole = rim.get(cell.component) ?? 1
    let net = 0
    for (const [line, n] of along.get(cell.component) ?? []) {
      if (lines.lengths[line]! > NET.timesRound * round) net += n
      else if (n >= NET.ofRim * whole) halos.add(line)
    }
    if (net >= MESH * whole) meshes.add(cell.component)
  }
  return {
    cells: cells.filter((c) => !meshes.has(c.component)).map(({ component: _, ...c }) => c),
    isLacing: (l) => lines.lengths[l]! > 0 && !halos.has(l),
  }
}
