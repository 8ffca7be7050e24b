import { boardOf } from './board'
import { OriginMap } from './originMap'

const N = 128
const board = boardOf(N, N, 1, () => true)
const wet = new Float64Array(N * N).fill(1)
const all = { i0: 0, i1: N - 1, j0: 0, j1: N - 1 }

/** Speeds through the faces from a stream function over the unit square, so that they are free of divergence. */
function speeds(stream: (x: number, y: number) => number): [Float32Array, Float32Array] {
  const u = new Float32Array((N + 1) * N)
  const v = new Float32Array(N * (N + 1))
  const at = (i: number, j: number) => stream(i / N, j / N) * N
  for (let j = 0; j < N; j++) for (let i = 0; i <= N; i++) u[j * (N + 1) + i] = (at(i, j + 1) - at(i, j)) * N
  for (let j = 0; j <= N; j++) for (let i = 0; i < N; i++) v[j * N + i] = -(at(i + 1, j) - at(i, j)) * N
  return [u, v]
}

describe('the swirl that turns back (LeVeque 1996, SIAM J. Numer. Anal. 33)', () => {
  it('brings everything back to its place within a tenth of a cell', () => {
    const map = new OriginMap(board)
    // Half of his period: fluid is wound by more than a turn near the middle, and unwound.
    const [T, steps] = [1.5, 300]
    const stream = (x: number, y: number) => (Math.sin(Math.PI * x) ** 2 * Math.sin(Math.PI * y) ** 2) / Math.PI
    const [atFullX, atFullY] = speeds(stream)
    const [u, v] = [new Float32Array(atFullX.length), new Float32Array(atFullY.length)]
    let farthest = 0
    for (let n = 0; n < steps; n++) {
      const way = Math.cos((Math.PI * (n + 0.5)) / steps)
      atFullX.forEach((full, k) => (u[k] = way * full))
      atFullY.forEach((full, k) => (v[k] = way * full))
      map.step(T / steps, wet, u, v, all)
      if (n === steps / 2) farthest = Math.max(...map.dx)
    }
    expect(farthest).toBeGreaterThan(20)
    let worst = 0
    for (let j = 4; j < N - 4; j++)
      for (let i = 4; i < N - 4; i++) worst = Math.max(worst, Math.hypot(map.dx[j * N + i]!, map.dy[j * N + i]!))
    expect(worst).toBeLessThan(0.1)
  })
})

describe('stripes thinner than what cells carry', () => {
  it('keep their contrast after a way there and back', () => {
    const map = new OriginMap(board)
    const way = (speed: number) => {
      const u = new Float32Array((N + 1) * N).fill(speed)
      const v = new Float32Array(N * (N + 1))
      for (let n = 0; n < 100; n++) map.step(0.3, wet, u, v, all)
    }
    way(1)
    // Thirty cells to the right: what is seen at 64 came from 34.
    expect(map.dx[64 * N + 64]).toBeCloseTo(-30, 3)
    way(-1)
    // Stripes of a cell and a half, over the part that nothing flowed into from beyond the edge.
    const stripe = (x: number) => Math.sin((2 * Math.PI * x) / 3)
    for (let i = 10; i < 80; i++) expect(stripe(i + map.dx[64 * N + i]!)).toBeCloseTo(stripe(i), 2)
  })
})

describe('beside dry cells', () => {
  it('takes nothing from them: a front carries the picture that is behind it', () => {
    const map = new OriginMap(board)
    const h = new Float64Array(N * N)
    const u = new Float32Array((N + 1) * N)
    const v = new Float32Array(N * (N + 1))
    for (let n = 0; n < 20; n++) {
      // A wall of paint that moves on by half a cell a step over a dry board.
      const front = 20 + Math.floor(n / 2)
      for (let j = 0; j < N; j++)
        for (let i = 0; i < N; i++) {
          h[j * N + i] = i <= front ? 1 : 0
          u[j * (N + 1) + i] = i <= front ? 1 : 0
        }
      map.step(0.5, h, u, v, all)
    }
    // It came ten cells: what is seen just behind the front came from just behind where the front was.
    expect(map.dx[64 * N + 27]).toBeCloseTo(-10, 0)
    expect(map.dx[64 * N + 40]).toBe(0)
  })
})
