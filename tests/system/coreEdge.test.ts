import { FikaError } from '@/core/errors'
import { amountsWithDrops } from '@/core/mix/drops'
import { extendTo, scaledAmounts } from '@/core/mix/amounts'
import { blend } from '@/core/mix/mediumEffects'
import { portionsOfMix, readBack } from '@/core/mix/readBack'
import { amountsForPart, amountsForTotal, rescale } from '@/core/mix/recipe'
import { judgeWater } from '@/core/mix/waterLimit'
import { costOf, paintingCost, perMl } from '@/core/purchase/cost'
import { league } from '@/core/purchase/league'
import { cupUl } from '@/core/surface/coverage'

/** Public functions of the core where typing, scanning or importing leads, each with an input it takes. */
const list = [
  { materialId: 'a', kind: 'paint' as const, parts: 1 },
  { materialId: 'b', kind: 'medium' as const, parts: 2 },
]
const held = [{ materialId: 'a', name: 'A', kind: 'paint' as const, ul: 10 }]
const effects = Array.from({ length: 10 }, () => 1)
const call =
  <A extends readonly unknown[]>(f: (...args: A) => unknown, ...args: A) =>
  () => ({ f: f as unknown as (...args: unknown[]) => unknown, args: args as readonly unknown[] })
const EDGE = {
  amountsForTotal: call(amountsForTotal, list, 300),
  amountsForPart: call(amountsForPart, list, 1, 200),
  scaledAmounts: call(scaledAmounts, list, { by: 'cups', cups: 3, cupUl: 90_000 }),
  'scaledAmounts of an ingredient': call(scaledAmounts, list, { by: 'ingredient', materialId: 'a', ul: 50 }),
  'scaledAmounts of what is left': call(scaledAmounts, list, { by: 'left', materialId: 'a', leftUl: 50 }),
  amountsWithDrops: call(amountsWithDrops, list, [{ materialId: 'c', per100Ml: 2, dropUl: 15 }], {
    by: 'total',
    ul: 240_000,
  }),
  extendTo: call(extendTo, [{ materialId: 'a', ul: 50 }], 80),
  rescale: call(rescale, list, [100, 200], [120, undefined], { vesselId: 'v', capacityUl: 1e6 }),
  readBack: call(readBack, held),
  portionsOfMix: call(portionsOfMix, 5, held),
  judgeWater: call(
    judgeWater,
    [
      { kind: 'paint' as const, ul: 100, waterShare: 0, solids: 0.38, pigmentShare: 0.15 },
      { kind: 'medium' as const, ul: 100, waterShare: 0.1, solids: 0.25 },
      { kind: 'water' as const, ul: 90, waterShare: 1, solids: 0 },
    ],
    { school: 'own' as const, value: 0.3 },
  ),
  blend: call(blend, [{ effects: effects as never, densityGPerMl: 1, solids: 0.3, parts: 1, perMl: 2 }]),
  'cupUl by the rule': call(
    cupUl,
    { shape: 'rectangle' as const, lengthMm: 400, widthMm: 300, edgeMm: 20, count: 2 },
    {
      kind: 'rule-of-28' as const,
    },
  ),
  'cupUl by film': call(
    cupUl,
    { shape: 'round' as const, diameterMm: 300, edgeMm: 2, count: 1 },
    {
      kind: 'film' as const,
      wetMm: 1.2,
      runOffShare: 0.3,
    },
  ),
  perMl: call(perMl, 990, 60_000),
  paintingCost: call(paintingCost, 240, 0.03, 0.006, 1, 0.5),
  costOf: call(costOf, [{ ul: 20, priceMinor: 990, sizeUl: 60_000 }]),
  league: call(
    (each: number, size: number, medium: number, water: number, price: number) =>
      league([{ paintId: 'a', sizeUl: size, eachMinor: each, onOffer: false }], () => ({
        medium,
        water,
        mediumPerMl: price,
      })),
    990,
    60_000,
    2,
    0.4,
    1,
  ),
}

/** Every place in a value that holds a number. */
function numbersIn(value: unknown, at: readonly (string | number)[] = []): (readonly (string | number)[])[] {
  if (typeof value === 'number') return [at]
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([k, v]) => numbersIn(v, [...at, Array.isArray(value) ? Number(k) : k]))
}
function set(value: unknown, [key, ...more]: readonly (string | number)[], by: number): unknown {
  if (key === undefined) return by
  const inner = set((value as Record<string | number, unknown>)[key], more, by)
  if (Array.isArray(value)) return value.map((v, i) => (i === key ? inner : (v as unknown)))
  return { ...(value as object), [key]: inner }
}
const read = (value: unknown, at: readonly (string | number)[]) =>
  at.reduce((v, k) => (v as Record<string | number, unknown>)[k], value) as number

describe.each(Object.entries(EDGE))('%s', (_, made) => {
  const { f, args } = made()
  it('answers good input with numbers', () => {
    const found = f(...args)
    const places = numbersIn(found)
    expect(places.length).toBeGreaterThan(0)
    for (const at of places) expect(Number.isFinite(read(found, at))).toBe(true)
  })
  it.each([NaN, Infinity, -Infinity, -1, 0])('%d in any place is a sentence or an answer in numbers', (bad) => {
    for (const at of numbersIn(args)) {
      let found: unknown
      try {
        found = f(...(set(args, at, bad) as unknown[]))
      } catch (error) {
        expect(error).toBeInstanceOf(FikaError)
        expect((error as Error).message).toMatch(/[.?]$/)
        continue
      }
      for (const place of numbersIn(found)) expect([at, read(found, place)]).not.toEqual([at, NaN])
      if (!Number.isFinite(bad)) for (const p of numbersIn(found)) expect(Number.isFinite(read(found, p))).toBe(true)
    }
  })
})
