import { cellFor } from './board'
import { Rehearsal, type RehearsalOptions } from './rehearsal'
import type { RehearsedColour, StartTask } from './start'

/** Cells of a search, mm, and at most so many of them; steps so many times as long. */
const CELL_MM = 8
const CELLS = 1_000
const HASTE = 4

/** The two paints of a search: what lies on the board, and what is poured. */
export const [COAT, POURED] = [0, 1]

/** A rehearsal for searches: coarse cells, long steps, and two paints, each as thick as the mean of those it stands for. */
export function coarse(task: StartTask, options: RehearsalOptions = {}): Rehearsal {
  const coats = task.coats.map((c) => [task.colours[c.colour]!, c.ul] as const)
  const layers = task.cups.flatMap((c) => c.layers.map((l) => [task.colours[l.colour]!, l.ul] as const))
  const two = [meanPaint(coats.length ? coats : layers), meanPaint(layers.length ? layers : coats)]
  return new Rehearsal(
    {
      ...task,
      colours: two,
      coats: task.coats.map((c) => ({ ...c, colour: COAT })),
      cups: task.cups.map((c) => ({ ...c, layers: c.layers.map((l) => ({ ...l, colour: POURED })) })),
    },
    cellFor(task.shape, CELL_MM, CELLS),
    { haste: HASTE, ...options },
  )
}

/** ν by ln ν over volumes (Arrhenius' rule of mixing). */
function meanPaint(paints: readonly (readonly [RehearsedColour, number])[]): RehearsedColour {
  const all = paints.reduce((sum, [, ul]) => sum + ul, 0)
  const ln = paints.reduce((sum, [c, ul]) => sum + Math.log(c.nu) * ul, 0)
  return { hex: '#000000', sheen: 'satin', nu: all > 0 ? Math.exp(ln / all) : 200 }
}
