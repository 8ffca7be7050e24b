/**
 * Thins a mask to lines one pixel wide (Zhang & Suen 1984), stairs taken out after (Parker 1997, both from memory).
 * @param mask width · height, 0 or 1; what touches the rim of the picture is taken as ending there
 */
export function thinned(mask: ArrayLike<number>, width: number, height: number): Uint8Array {
  const m = new Uint8Array(width * height)
  for (let i = 0; i < m.length; i++) if (mask[i]) m[i] = 1
  for (let x = 0; x < width; x++) m[x] = m[(height - 1) * width + x] = 0
  for (let y = 0; y < height; y++) m[y * width] = m[y * width + width - 1] = 0
  let alive: number[] = []
  for (let i = 0; i < m.length; i++) if (m[i]) alive.push(i)
  const gone: number[] = []
  for (let isChanged = true; isChanged;) {
    isChanged = false
    for (const pass of [0, 1]) {
      gone.length = 0
      for (const i of alive) {
        const [p2, p3, p4, p5] = [m[i - width]!, m[i - width + 1]!, m[i + 1]!, m[i + width + 1]!]
        const [p6, p7, p8, p9] = [m[i + width]!, m[i + width - 1]!, m[i - 1]!, m[i - width - 1]!]
        const around = p2 + p3 + p4 + p5 + p6 + p7 + p8 + p9
        if (around < 2 || around > 6) continue
        const turns =
          (p3 & ~p2 & 1) +
          (p4 & ~p3 & 1) +
          (p5 & ~p4 & 1) +
          (p6 & ~p5 & 1) +
          (p7 & ~p6 & 1) +
          (p8 & ~p7 & 1) +
          (p9 & ~p8 & 1) +
          (p2 & ~p9 & 1)
        if (turns !== 1) continue
        if (pass === 0 ? p2 * p4 * p6 || p4 * p6 * p8 : p2 * p4 * p8 || p2 * p6 * p8) continue
        gone.push(i)
      }
      for (const i of gone) m[i] = 0
      if (gone.length) {
        isChanged = true
        alive = alive.filter((i) => m[i])
      }
    }
  }
  withoutStairs(m, alive, width)
  return m
}

/** Where a step down and a step across meet, the pixel between them is taken out: the way over the corner is as joined. */
function withoutStairs(m: Uint8Array, alive: readonly number[], width: number): void {
  for (const way of [1, -1])
    for (const i of alive) {
      const [n, s] = [m[i - way * width]!, m[i + way * width]!]
      if (!n) continue
      const [e, w] = [m[i + 1]!, m[i - 1]!]
      const [ne, nw] = [m[i - way * width + 1]!, m[i - way * width - 1]!]
      const [se, sw] = [m[i + way * width + 1]!, m[i + way * width - 1]!]
      if ((e && !ne && !sw && (!w || !s)) || (w && !nw && !se && (!e || !s))) m[i] = 0
    }
}

/** Weights of a step along a row or column, and of a diagonal one: without bias for lines of every direction (Kulpa 1977). */
const STEP = { straight: 0.948, diagonal: 1.34 } as const

/** Length of thinned lines, pixels: steps between neighbours, a diagonal only where no corner joins the two. */
export function lineLength(line: ArrayLike<number>, width: number, height: number): number {
  let [straight, diagonal] = [0, 0]
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      if (!line[i]) continue
      const right = x < width - 1 && line[i + 1]
      const down = y < height - 1 && line[i + width]
      if (right) straight += 1
      if (down) straight += 1
      if (y === height - 1) continue
      if (x < width - 1 && line[i + width + 1] && !right && !down) diagonal += 1
      if (x > 0 && line[i + width - 1] && !line[i - 1] && !down) diagonal += 1
    }
  return STEP.straight * straight + STEP.diagonal * diagonal
}
