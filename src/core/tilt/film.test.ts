import { boardOf } from './board'
import { explicitStep } from './explicit'
import { Film, G, slopeOf, type Slope } from './film'

const FLAT: Slope = { sx: 0, sy: 0 }
/** A board without edges in reach. */
const wide = (nx: number, ny: number, cellMm: number) => boardOf(nx, ny, cellMm, () => true)
const HOLDS = { lipMm: 1e9, holdDeg: 90 }

function pour(film: Film, paint: number, height: (i: number, j: number) => number): void {
  const { nx, ny } = film.board
  for (let j = 0; j < ny; j++)
    for (let i = 0; i < nx; i++)
      if (film.board.inside[j * nx + i]) film.mix[(j * nx + i) * film.paints + paint] = height(i, j)
  film.settle()
}
const volume = (film: Film) =>
  film.h.reduce((sum, h) => sum + h, 0) * film.board.cellMm ** 2 + film.off.reduce((sum, v) => sum + v, 0)

/** Steps that grow as a rehearsal's do, to a time. */
function run(film: Film, seconds: number, slope: Slope, most: number, watch?: (t: number) => void): void {
  let [t, dt] = [0, 0.002]
  while (t < seconds - 1e-9) {
    const step = Math.min(dt, seconds - t)
    film.step(step, slope)
    t += step
    dt = Math.min(most, dt * 1.2)
    watch?.(t)
  }
}

describe('Huppert 1982, Flow and instability of a viscous current down a slope, Nature 300', () => {
  const nu = 900
  const slope = slopeOf(0, 0)
  const tilted = slopeOf(15, 0)
  /** A ridge 20 mm wide and 6 mm high, on a lane of 1.2 m, against its upper wall. */
  const lane = () => {
    const film = new Film(wide(600, 1, 2), [nu], HOLDS)
    pour(film, 0, (i) => (i < 10 ? 6 : 0))
    return film
  }
  const A = 10 * 2 * 6
  const front = (film: Film) => {
    let last = 0
    for (let i = 0; i < 600; i++) if (film.h[i]! > 1e-3) last = i
    return (last + 1) * 2
  }
  const theory = (t: number) => ((9 * A * A * G * tilted.sx) / (4 * nu)) ** (1 / 3) * t ** (1 / 3)

  it('runs as far as x = (9 A² g sin θ / 4 ν)^⅓ t^⅓, with the exponent of a third, in the profile √(ν x / g sin θ t)', () => {
    expect(slope.sx).toBe(0)
    const film = lane()
    const seen: [number, number][] = []
    run(film, 200, tilted, 0.06, (t) => {
      if (t > 60) seen.push([t, front(film)])
    })
    const [t, x] = seen.at(-1)!
    expect(Math.abs(x / theory(t) - 1)).toBeLessThan(0.04)
    const [t0, x0] = seen[0]!
    expect(Math.abs(Math.log(x / x0) / Math.log(t / t0) - 1 / 3)).toBeLessThan(0.03)
    // The profile of the same paper, which is the drained film of Jeffreys 1930, over the middle of the current:
    // behind, a pool of finite width is still felt for long (half as large cells say the same).
    for (const part of [0.4, 0.6, 0.8]) {
      const cell = Math.round((part * x) / 2)
      const told = Math.sqrt((nu * (2 * cell + 1)) / (G * tilted.sx * t))
      expect(Math.abs(film.h[cell]! / told - 1)).toBeLessThan(0.04)
    }
  })
})

describe('a pancake on a level board (Huppert 1982, J. Fluid Mech. 121)', () => {
  it('spreads to 0.894 (g V³ / 3 ν)^⅛ t^⅛', () => {
    const nu = 500
    const film = new Film(wide(121, 121, 2), [nu], HOLDS)
    pour(film, 0, (i, j) => (Math.hypot(i - 60, j - 60) <= 14 ? 10 : 0))
    const V = volume(film)
    run(film, 20, FLAT, 0.05)
    let area = 0
    for (const h of film.h) if (h > 0.05) area += 4
    const told = 0.894 * ((G * V ** 3) / (3 * nu)) ** (1 / 8) * 20 ** (1 / 8)
    expect(Math.abs(Math.sqrt(area / Math.PI) / told - 1)).toBeLessThan(0.04)
  })
})

describe('a wall that drains (Jeffreys 1930, Proc. Camb. Phil. Soc. 26)', () => {
  it('keeps √(ν x / g sin θ t) behind the edge the film came from', () => {
    const [nu, tilted] = [300, slopeOf(40, 0)]
    const film = new Film(wide(300, 1, 2), [nu])
    pour(film, 0, () => 2)
    run(film, 30, tilted, 0.03)
    for (const x of [100, 200, 300]) {
      const told = Math.sqrt((nu * x) / (G * tilted.sx * 30))
      expect(Math.abs(film.h[x / 2]! / told - 1)).toBeLessThan(0.04)
    }
  })
})

describe('a wave on a level film (linear theory of lubrication)', () => {
  it('levels at the rate g h³ k² / 3 ν', () => {
    const [nu, H, cells] = [200, 1.5, 50]
    const film = new Film(wide(cells, 1, 2), [nu], HOLDS)
    const k = Math.PI / (cells * 2)
    pour(film, 0, (i) => H + 0.01 * Math.cos(k * (i + 0.5) * 2))
    const size = () => {
      let sum = 0
      for (let i = 0; i < cells; i++) sum += film.h[i]! * Math.cos(k * (i + 0.5) * 2)
      return sum
    }
    const before = size()
    for (let n = 0; n < 1000; n++) film.step(0.002, FLAT)
    const rate = -Math.log(size() / before) / 2
    expect(Math.abs(rate / ((G * H ** 3 * k ** 2) / (3 * nu)) - 1)).toBeLessThan(0.03)
  })
})

describe('what is conserved', () => {
  const busy = (nus: readonly number[], cellMm = 4) => {
    const film = new Film(
      boardOf(50, 40, cellMm, (i, j) => Math.hypot((i - 24.5) / 25, (j - 19.5) / 20) <= 1),
      nus,
    )
    const { nx, ny, inside } = film.board
    for (let j = 0; j < ny; j++)
      for (let i = 0; i < nx; i++) {
        const k = j * nx + i
        if (!inside[k]) continue
        film.mix[3 * k] = i < 20 ? 2 : 0
        film.mix[3 * k + 1] = Math.hypot(i - 30, j - 20) < 9 ? 5 : 0
        film.mix[3 * k + 2] = j > 30 ? 1 : 0
      }
    film.settle()
    return film
  }
  /** A hand that tilts to each side in turn. */
  const hand = (film: Film, steps: number, dt: number) => {
    for (let n = 0; n < steps; n++) film.step(dt, slopeOf(20 * Math.cos(n / 9), 20 * Math.sin(n / 7)))
  }

  it('loses no paint, keeps each paint, and lets the paints sum to the film, at any step', () => {
    for (const dt of [0.01, 0.1, 2]) {
      const film = busy([200, 900, 400])
      const before = film.nus.map((_, p) => film.volumeOf(p))
      const all = volume(film)
      hand(film, 60, dt)
      expect(Math.abs(volume(film) / all - 1)).toBeLessThan(1e-12)
      before.forEach((ul, p) => {
        const off = [0, 1, 2, 3].reduce((sum, side) => sum + film.off[side * 3 + p]!, 0)
        expect(off).toBeGreaterThan(0)
        expect((film.volumeOf(p) + off) / ul).toBeCloseTo(1, 10)
      })
      let [worst, lowest] = [0, 0]
      film.h.forEach((h, k) => {
        const parts = film.mix.slice(3 * k, 3 * k + 3)
        worst = Math.max(worst, Math.abs(parts.reduce((a, b) => a + b, 0) - h))
        lowest = Math.min(lowest, h, ...parts)
      })
      expect(worst).toBeLessThan(1e-9)
      expect(lowest).toBeGreaterThanOrEqual(0)
    }
  })

  it('is the mirror picture when board and hand are mirrored', () => {
    const here = busy([200, 900, 400])
    const there = busy([200, 900, 400])
    const { nx, ny } = here.board
    const mirrored = (k: number) => Math.floor(k / nx) * nx + (nx - 1 - (k % nx))
    there.mix.forEach((_, at) => (there.mix[at] = here.mix[3 * mirrored(Math.floor(at / 3)) + (at % 3)]!))
    there.settle()
    for (let n = 0; n < 40; n++) {
      here.step(0.05, slopeOf(12, 7))
      there.step(0.05, slopeOf(-12, 7))
    }
    for (let k = 0; k < nx * ny; k++) expect(there.h[k]).toBeCloseTo(here.h[mirrored(k)]!, 12)
    expect(there.off[0]).toBeCloseTo(here.off[3]!, 9)
  })

  it('is nearly the same turned by a quarter: rows and columns go first by turns', () => {
    const one = new Film(wide(60, 60, 4), [300])
    const other = new Film(wide(60, 60, 4), [300])
    const blob = (i: number, j: number) => (Math.hypot(i - 20, j - 25) < 8 ? 4 : 0)
    pour(one, 0, blob)
    pour(other, 0, (i, j) => blob(j, i))
    for (let n = 0; n < 100; n++) {
      one.step(0.03, slopeOf(15, 5))
      other.step(0.03, slopeOf(5, 15))
    }
    let [apart, sum] = [0, 0]
    for (let j = 0; j < 60; j++)
      for (let i = 0; i < 60; i++) {
        apart += Math.abs(one.h[j * 60 + i]! - other.h[i * 60 + j]!)
        sum += one.h[j * 60 + i]!
      }
    expect(apart / sum).toBeLessThan(0.01)
  })
})

describe('against the explicit scheme', () => {
  it.each([
    [200, 0.03],
    [900, 0.1],
  ])('at ν %i mm²/s comes to the same film within 3 %, and within a point of what is left', (nu, most) => {
    const made = () => {
      const film = new Film(wide(40, 40, 4), [nu])
      pour(film, 0, (i, j) => (Math.hypot(i - 27, j - 20) < 10 ? 5 : 0.3))
      return film
    }
    const [ours, theirs] = [made(), made()]
    const poured = volume(ours)
    for (const slope of [slopeOf(20, 0), slopeOf(0, 15), slopeOf(-12, 6)]) {
      run(ours, 4, slope, most)
      for (let t = 0; t < 4;) t += explicitStep(theirs, slope, 4 - t)
    }
    let [apart, sum] = [0, 0]
    theirs.h.forEach((h, k) => {
      apart += Math.abs(h - ours.h[k]!)
      sum += h
    })
    const left = (film: Film) => (film.h.reduce((a, b) => a + b, 0) * 16) / poured
    expect(left(theirs)).toBeLessThan(0.9)
    expect(apart / sum).toBeLessThan(0.03)
    expect(Math.abs(left(ours) - left(theirs))).toBeLessThan(0.01)
  })
})

describe('at the edge', () => {
  const level = (height: number, xDeg: number) => {
    const film = new Film(wide(30, 30, 4), [200])
    pour(film, 0, () => height)
    run(film, 5, slopeOf(xDeg, 0), 0.03)
    return { film, off: film.off.reduce((a, b) => a + b, 0) }
  }
  it('holds a level film below the lip, and lets what stands above it over', () => {
    expect(level(1.7, 0).off).toBe(0)
    const { film, off } = level(4, 0)
    expect(off).toBeGreaterThan(0)
    expect(Math.min(...film.h)).toBeGreaterThan(1.8 - 1e-6)
  })
  it('is gone over when tilted beyond what it holds, to that side alone, and says which ends are wet', () => {
    expect(level(1, 0.5).off).toBe(0)
    const { film } = level(1, 10)
    expect(film.off[1]).toBeGreaterThan(0)
    expect([film.off[0], film.off[2], film.off[3]]).toEqual([0, 0, 0])
    expect([...film.wetRows].filter((_, k) => k % 2 === 1).every((w) => w === 1)).toBe(true)
    expect([...film.wetRows].filter((_, k) => k % 2 === 0).some((w) => w === 1)).toBe(false)
  })
})

describe('what cannot be rehearsed', () => {
  it('says which viscosity is out of range', () => {
    for (const nu of [0, -1, 5, 1e6, Number.NaN])
      expect(() => new Film(wide(3, 3, 4), [nu])).toThrow(/cannot be rehearsed: it must lie between 20 and 20000/)
  })
  it('leaves a dry board dry', () => {
    const film = new Film(wide(5, 5, 4), [200])
    film.settle()
    film.step(1, slopeOf(20, 0))
    expect(film.h.every((h) => h === 0)).toBe(true)
  })
})
