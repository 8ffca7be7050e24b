import { readdirSync, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { FikaError } from '@/core/errors'
import { checkPath } from '@/core/tilt/hand'
import { hidingWords } from '@/core/colour/hidingWords'
import { mixToHex } from '@/core/colour/mixColour'
import { opticsFromHex } from '@/core/colour/paintOptics'
import { byOneDrop, predict, pulls, sureOf } from '@/core/colour/predict'
import { hexToSrgb } from '@/core/colour/srgb'
import { asDeepAs } from '@/core/colour/strength'
import { beliefOf, priorsOf } from '@/core/consistency/curves'
import { learn } from '@/core/consistency/dilution'
import { cupFor, kinematicViscosity, secondsPerNu } from '@/core/consistency/flowCup'
import { bandOf, checkBands, timed } from '@/core/consistency/levelTime'
import { levelTimeOfRun } from '@/core/consistency/run'
import { adviseWater } from '@/core/consistency/waterAdvice'
import { averageReadings } from '@/core/device/readings'
import { additionOf, removalOf, settled, stillOn } from '@/core/device/settle'
import { amountsWithDrops, dropsUl } from '@/core/mix/drops'
import { extendTo, fluidOunceError, scaledAmounts } from '@/core/mix/amounts'
import { apportionParts } from '@/core/mix/apportion'
import { batchAmounts } from '@/core/mix/batch'
import { eyeState } from '@/core/mix/byEye'
import { guideState, pouredWater, toleranceUl } from '@/core/mix/guide'
import { inSteps } from '@/core/mix/inSteps'
import { blend } from '@/core/mix/mediumEffects'
import { portionsOfMix, readBack } from '@/core/mix/readBack'
import { amountsForPart, amountsForTotal, rescale } from '@/core/mix/recipe'
import { mixFacts } from '@/core/mix/mixFacts'
import { judgeWater, usualWater as usualWaterOf } from '@/core/mix/waterLimit'
import { opacityOf } from '@/core/paint/contrastRatio'
import { planAmounts } from '@/core/plan/amounts'
import { crackRisk } from '@/core/learning/crackRisk'
import { amountFor, learnAmounts } from '@/core/learning/learnedAmount'
import { pairVerdict, RATING_SCALE } from '@/core/learning/pairVerdict'
import { pooledMeans } from '@/core/learning/pooled'
import { planMoney } from '@/core/plan/money'
import { cup, design, layer, coat } from '../support/design'
import { costOf, paintingCost, perMl } from '@/core/purchase/cost'
import { breakEven, league, mixedPerMl } from '@/core/purchase/league'
import { checkOffer, offerTotal, splitPrice } from '@/core/purchase/offers'
import { countedDropUl } from '@/core/quantity/dropSizes'
import { massMg } from '@/core/quantity/format'
import { safeToFinish, type FinishFacts } from '@/core/piece/safeToFinish'
import { dryingHours } from '@/core/schedule/drying'
import { byFace } from '@/core/run/pieces'
import { runState } from '@/core/run/runState'
import { whatStayed } from '@/core/run/stayed'
import { happened, load, runPlan } from '../support/run'
import { areas } from '@/core/surface/area'
import { wetFilmMm } from '@/core/surface/wetFilm'
import { layerUl, pourUl } from '@/core/surface/coverage'
import { inProportion, takeFrom, takePoured } from '@/core/vessel/content'
import { cupHoldsUl, fillLines } from '@/core/vessel/cupShape'
import { keepsDays } from '@/core/vessel/keepsDays'
import { needsOf } from '@/core/vessel/needs'
import { shelves } from '@/core/vessel/shelves'
import { explain } from '@/core/vessel/stocktake'
import { weighIn } from '@/core/vessel/weighIn'

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
const portions = [
  { lotId: 'a', ul: 100 },
  { lotId: 'b', ul: 200 },
]
const guideLine = {
  source: 'material' as const,
  id: 'a',
  name: 'A',
  kind: 'paint' as const,
  hex: null,
  densityGPerMl: 1.03,
  solids: 0.4,
  waterShare: 0.1,
  plannedUl: 60_000,
}
const weight = {
  grossMg: 150_000,
  tareMg: 30_000,
  content: [
    { lotId: 'a', ul: 90_000, isWater: false, densityGPerMl: 1.2, solids: 0.4 },
    { lotId: 'w', ul: 20_000, isWater: true, densityGPerMl: 1, solids: 0 },
  ],
}
const belief = { a: 1.4, b: 11, varA: 0.1, covAb: 0.05, varB: 4 }
const points = [
  { w: 0, lnT: 1.4, sigma: 0.1 },
  { w: 0.1, lnT: 0.6, sigma: 0.1 },
]
const pair = { paintId: 'p', mediumId: 'm', body: 'soft' as const, ratio: 2 }
const [blue, white] = [opticsFromHex('#1d3f8a', 'strong'), opticsFromHex('#f4f2ea', 'normal')]
const kept = {
  kind: 'paint' as const,
  hex: '#6a4a9a',
  strength: 'weak' as const,
  optics: null,
  opacity: 'semi-transparent' as const,
  contrastRatio: null,
  body: 'soft' as const,
  sheen: 'satin' as const,
}
const desk = [blue, white].map((optics) => ({
  optics,
  sheen: 'satin' as const,
  sigma: 0.3,
  known: 'masstone' as const,
  opacity: 'opaque' as const,
  body: 'soft' as const,
}))
const run = runPlan()
const events = happened(
  load(1, 'teal', 20_000),
  { kind: 'weigh', piece: 'piece 1', when: 'before', grams: 300 },
  { kind: 'weigh', piece: 'piece 1', when: 'after', grams: 312 },
  { kind: 'run-off', piece: null, to: 'jar', jar: 'jar', newJar: null, ul: 3_000, weighed: true },
  { kind: 'keep', piece: 'piece 1', at: [10, 20], radiusMm: 15, isKept: true, why: '' },
)
const EDGE = {
  runState: call((plan: typeof run, list: typeof events) => runState(plan, list).given.map((g) => g.ul), run, events),
  whatStayed: call((plan: typeof run, list: typeof events) => whatStayed(plan, runState(plan, list)), run, events),
  dryingHours: call(dryingHours, 0.8, 0.4),
  safeToFinish: call((f: FinishFacts) => [safeToFinish('varnish', f).from], {
    pouredAt: 1.7e12,
    wetMm: 1.2,
    solids: 0.4,
    climate: { celsius: 20, humidity: 0.5 },
    seenDryAt: 1.7001e12,
    hasSilicone: false,
    coats: [{ kind: 'varnish' as const, at: 1.7002e12, cleanedSilicone: false }],
  }),
  byFace: call(byFace, 1_000, [{ faceMm2: 200 }, { faceMm2: 300 }]),
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
  mixFacts: call(
    mixFacts,
    [
      { kind: 'paint' as const, ul: 4e4, densityGPerMl: 1.2, solids: 0.4, waterShare: 0 },
      { kind: 'water' as const, ul: 5e3, densityGPerMl: 1, solids: 0, waterShare: 1 },
    ],
    2_000,
  ),
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
  'pourUl by the rule': call(
    pourUl,
    { shape: 'rectangle' as const, lengthMm: 400, widthMm: 300, edgeMm: 20, count: 2 },
    {
      kind: 'rule-of-28' as const,
    },
  ),
  'pourUl by film': call(
    pourUl,
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
  mixedPerMl: call(mixedPerMl, 0.03, { medium: 2, water: 0.4, mediumPerMl: 0.006 }),
  breakEven: call(breakEven, { perMl: 0.03, medium: 1, water: 0 }, { perMl: 0.075, medium: 2, water: 1 }, 0.006),
  offerTotal: call(offerTotal, 990, 3, { kind: 'percent' as const, percent: 20 }),
  'offerTotal of a bundle': call(offerTotal, 990, 6, { kind: 'bundle' as const, count: 3, priceMinor: 2_500 }),
  checkOffer: call((percent: number) => (checkOffer({ kind: 'coupon', percent }), [1]), 40),
  splitPrice: call(splitPrice, 900, [2, 1]),
  apportionParts: call(apportionParts, 240_000, [1, 2, 0.5]),
  batchAmounts: call(batchAmounts, {
    paintUl: 400_000,
    containers: 2,
    sizeUl: 1_000_000,
    samplePaintUl: 10_000,
    sampleMediumUl: 20_000,
    medium: 2,
    water: 0.1,
  }),
  inSteps: call(
    inSteps,
    [
      { id: 'a', parts: 3, pull: 5 },
      { id: 'b', parts: 1, pull: 9 },
    ],
    200_000,
  ),
  dropsUl: call(dropsUl, { materialId: 'c', per100Ml: 2, dropUl: 15 }, 240_000),
  fluidOunceError: call(fluidOunceError, 1.2),
  toleranceUl: call(toleranceUl, 60_000, 500),
  'usualWater of a ratio': call(usualWaterOf, 2, { school: 'own' as const, value: 0.3 }),
  eyeState: call(eyeState, [
    { kind: 'tare' as const, grams: 30 },
    { kind: 'name' as const, source: 'material' as const, id: 'a' },
    { kind: 'add' as const, ul: 20_000, grams: 54 },
  ]),
  guideState: call(
    (line: number, grams: number, ul: number, at: number) => {
      const lines = [{ ...guideLine, plannedUl: line }]
      const plan = { lines, cupUl: null, prepare: [], bandS: [1, 2] as const, water: null }
      return guideState(plan, [{ kind: 'next' }, { kind: 'tare', grams }, { kind: 'pour', ul, grams: at }])
    },
    60_000,
    30,
    60_000,
    92,
  ),
  pouredWater: call(
    pouredWater,
    {
      lines: [{ ...guideLine, kind: 'water' as const }],
      cupUl: null,
      prepare: [],
      bandS: [1, 2] as const,
      water: null,
    },
    { pouredUl: [5_000] },
  ),
  countedDropUl: call(countedDropUl, 50, 2_000, 1),
  massMg: call(massMg, 60_000, 1.2),
  wetFilmMm: call(wetFilmMm, 26_000, [
    { shape: 'rectangle' as const, lengthMm: 400, widthMm: 300, edgeMm: 20, count: 2 },
  ]),
  areas: call(areas, { shape: 'rectangle' as const, lengthMm: 400, widthMm: 300, edgeMm: 20, count: 2 }),
  layerUl: call(layerUl, 120_000, 0.25),
  planAmounts: call(
    planAmounts,
    design({
      cups: [cup('c', [layer('a'), layer('b', { ul: 5_000, share: null })], { copies: 2 })],
      coats: [coat('base coat', 'w')],
    }),
    [210_000],
  ),
  pairVerdict: call((a: number, b: number) => [pairVerdict([a, b, 1, 2], RATING_SCALE).gap], 1, 2),
  pooledMeans: call((a: number, b: number) => pooledMeans([{ key: 'ring', values: [a, b, 4] }], 0.9).groups, 3, 4),
  amountFor: call(
    (ofRule: number, edges: number, at: number) => {
      const { middle, enough } = amountFor(
        learnAmounts([{ technique: 'ring', ofRule, edges, enough: 'as wanted' }]),
        'ring',
        at,
      )
      return [middle, enough]
    },
    1.1,
    0.2,
    0.3,
  ),
  crackRisk: call(crackRisk, { wetMm: 1.5, waterOfPaint: 0.4 }, [{ wetMm: 2, waterOfPaint: 0.2, cracked: true }]),
  planMoney: call(planMoney, {
    paint: [{ ul: 300_000, costPerMl: 8, poured: true }],
    surfaces: [{ eachMinor: 750, count: 3 }],
    finishMinor: 400,
    disposablesMinor: 150,
    runOffShare: 0.25,
    savedShare: 0.6,
    priceMinor: 12_000,
  }),
  inProportion: call(inProportion, portions, 50),
  takeFrom: call(takeFrom, { id: 'v', label: 'Night', content: portions }, 50),
  takePoured: call(takePoured, { id: 'v', label: 'Night', content: portions }, 350),
  keepsDays: call(keepsDays, { thinners: ['tap' as const], mediums: ['glue' as const], rackC: 22 }),
  weighIn: call(weighIn, weight),
  explain: call(explain, weight),
  needsOf: call(
    (...[ul, capacityUl, evaporatedUl, levelTimeS, expectedS, thinUl, roomUl]: number[]) => {
      const facts = { ul: ul!, capacityUl: capacityUl!, mixedAt: 0, restUntil: 0, keepUntil: null, movedAt: null }
      const read = {
        evaporatedUl: evaporatedUl!,
        levelTimeS: levelTimeS!,
        readAt: 0,
        expectedS: expectedS!,
        wantedS: [1, 2] as const,
      }
      return [needsOf({ ...facts, ...read, thinUl: thinUl!, roomUl }, 1e9, String).length]
    },
    90_000,
    240_000,
    500,
    2,
    3,
    900,
    20_000,
  ),
  shelves: call(
    (at: number, seconds: number) =>
      shelves(
        [1],
        () => ({ palette: '', hex: '#112233', mixedAt: at, levelTimeS: seconds, technique: null }),
        'consistency',
        2e12,
      ).length,
    1e12,
    2,
  ),
  cupHoldsUl: call(cupHoldsUl, { bottomMm: 50, topMm: 75, heightMm: 90 }),
  fillLines: call(fillLines, { bottomMm: 50, topMm: 75, heightMm: 90 }, [
    { id: 'a', ul: 20_000 },
    { id: 'b', ul: 90_000 },
  ]),
  opacityOf: call((ratio: number) => [opacityOf(ratio).length], 0.9),
  // Consistency: what a hand times, a cup or a card shows, and the scale says of water.
  timed: call(timed, [2, 2.1, 1.9]),
  kinematicViscosity: call(kinematicViscosity, 'iso-4', 50),
  cupFor: call((nu: number) => cupFor(nu).rangeS, 60),
  secondsPerNu: call(secondsPerNu, [{ levelTimeS: 2, nu: 80 }]),
  levelTimeOfRun: call(levelTimeOfRun, 120, [{ levelTimeS: 0.4, runMm: 100 }]),
  bandOf: call((s: number) => [bandOf(s).fromS], 2),
  checkBands: call(checkBands, [
    { name: 'thick', fromS: 2 },
    { name: 'thin', fromS: 0 },
  ] as never),
  adviseWater: call(adviseWater, {
    belief,
    w: 0.1,
    undilutedUl: 100_000,
    bandS: [1, 2] as const,
    roomUl: 20_000,
    readW: [0, 0.1],
  }),
  learn: call(learn, belief, [{ points, tau: 0.1 }]),
  beliefOf: call(
    (w: number, lnT: number, sigma: number, ratio: number) =>
      beliefOf(
        { ...pair, ratio },
        { id: 'own', points: [{ w, lnT, sigma }] },
        [{ ...pair, id: 'x', points }],
        priorsOf([]),
      ),
    0.1,
    0.7,
    0.1,
    2,
  ),
  // Devices.
  averageReadings: call(averageReadings, [
    { lab: [69.5, 0, 0], reflectance: new Array<number>(36).fill(0.4) },
    { lab: [69.5, 0, 0] },
  ] as never),
  additionOf: call(additionOf, 64, 0.1, 30),
  stillOn: call(stillOn, 64, 30),
  removalOf: call(removalOf, 50, 0.1, 64),
  settled: call(
    settled,
    [0, 300, 650, 700].map((atMs) => ({ atMs, grams: 64, stable: true })),
    0.1,
  ),
  // A hand that tilts the board.
  checkPath: call(checkPath, [
    { t: 0, x: 0, y: 0 },
    { t: 4, x: 12, y: -3 },
  ]),
  // Colour, where amounts and shares are typed.
  mixToHex: call((a: number, b: number) => [hexToSrgb(mixToHex([blue, white], [a, b])!)[0]], 1, 3),
  predict: call((a: number, b: number) => predict(desk, [a, b]).lab, 1, 3),
  pulls: call((a: number, b: number) => pulls([blue, white], [a, b]), 1, 3),
  byOneDrop: call(
    (a: number, b: number, batchUl: number, dropUl: number) => byOneDrop([blue, white], [a, b], 0, { batchUl, dropUl }),
    1,
    3,
    100_000,
    30,
  ),
  sureOf: call((a: number, b: number) => sureOf(desk, [a, b]).sureness.plusMinus, 1, 3),
  asDeepAs: call(asDeepAs, blue, white.k[0] ? white : blue),
  hidingWords: call(
    (ul: number, carrier: number) => [
      (
        hidingWords([
          { material: kept, ul },
          { material: { ...kept, kind: 'medium' }, ul: carrier },
        ]) ?? ''
      ).length,
    ],
    10_000,
    50_000,
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
  if (value instanceof Float64Array) return value.map((v, i) => (i === Number(key) ? by : v))
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

/** Public functions that take words, keys, dates and colours of six digits, and no number anybody types. */
const WORDS = `differenceInWords driedInWords hueFamily hueOrder hexToLab isWhite opticsFromHex opticsFromMasstone knownOf offsText
  surePaint sureWords keyOf priorsOf cupFor wantedBand undefinedIfMissing isZone knownZone groupBy applySchool schoolsOf ingredients usualWater usualMedium
  countFacets facetColumn flagAgainst fold searchText effectPigment lightfastnessOf needsPigmentCare pigment isPigmentName
  parsePigments readBody readOpacity readSheen readStrength wordsOnPlan offerWords offerCount offerRhythm parseMoneyMinor parseNumber
  readNumber numberIn parseAmount parseMassMg parsePouredUl parseVolumeUl parseRatio parseSize readTyped readTypedIfAny findUnit pairWord
  sourceKey surfaceWords barsAdditive contentKey factsFromTexts isPressing readShortCode shortCode suitsAsBase standing reflectanceFromHex hexToSrgb isDryMoment
  pouringWords isMetric mostOf moveOf kindsThat`
/** Those that are fed from what is kept: the shapes of what comes in have refused everything else before. */
const KEPT = `undiluted wAfter wAfterMixing waterContent
  contentUl level dropOf houseRatioOf daysBetween perPercent afterStanding stoodFor sinceRead
  besideReference combined learnAgeing pairCurves needs standIns driedInShift wetDryShift stockUntil boxing
  gapsOf expectedFilm jobOf readiness roleFor nearestReady emptyThese smallerBy footprint outline splitFace scheduleAll boughtFrom buyingProgram
  cupsOn cupsAlike rehearsalOf toldOf weighedRehearsal asLoaded scaleUp swapColours drawIdea ofBottle simpleDesign cautionsOf putOut dealsOf addMaterials
  offersFor cornersOf cornerOrder cornerPoint stripEdges tableOf piecesOf loadedCups nextLayer isOver squeezeOf meanOf netGiven partsOf tableAdvice thinTo flattening
  looksDueAfter wetToDry amountsOfPieces sharesKept learnAmounts driedFilms traceFaults compareArms whatDiffers readAmount edgesOf amountLine
  wouldTeach`
/** Those that only write what others have computed. */
const WRITTEN = `formatDrops formatFlOz formatGrams formatMl formatSmall formatSmallBeside formatSpoons formatVolume isCounted volumeText formatMoney
  formatRatio formatSize depthText writeUp`
/** Inner loops and what they are made of: colours, spectra and pixels, which are checked where they come in, and curves already learned. */
const INNER = `calibrate deltaE00 layeredReflectance inScreenGamut showOnScreen mixOptics mixReflectance withoutSpecular labToLch labToSrgb xyzToLab
  alike matchSteps asSeen mendSteps rank meanColour metamerismIndex pairMix opticsOf packOptics unpackOptics hexOfReflectance paintedOut
  spectrumOf toCalibrate checkPairs valueLadder patchHex reflectanceToXyz srgbToHex dryOf wetOf farthestApart isStrong forecast
  sheenOfMix sheenShares anyFlakes judgeJoint landsAs leavingOrder seenInRim findOrder
  cellFor leanAt slopesOf thinned beforeTilting suggest enough corrected labToHex
  rectify asItLies turned cardGains measurePhoto proposeCorners register flatPicture toldApart mapped random`

/** What the rest of Fika takes from the core by name and calls, read off its imports. */
function takenFromCore(): Set<string> {
  const files: string[] = []
  const visit = (folder: string) => {
    for (const name of readdirSync(folder)) {
      const path = join(folder, name)
      if (statSync(path).isDirectory()) {
        if (path !== join('src', 'core')) visit(path)
      } else if (/\.tsx?$/.test(name) && !name.includes('.test.')) files.push(path)
    }
  }
  visit('src')
  const names = new Set<string>()
  for (const file of files)
    for (const [, list] of readFileSync(file, 'utf8').matchAll(/import \{([^}]*)\} from '@\/core\//g))
      for (const item of list!.split(',')) {
        const name = item.trim().split(' as ')[0]!
        if (/^[a-z]/.test(name) && !name.startsWith('type ')) names.add(name)
      }
  return names
}

it('every public function of the core is walked, or said to take no number that anybody types', () => {
  const walked = new Set(Object.keys(EDGE).map((name) => name.split(' ')[0]!))
  const others = [WORDS, KEPT, WRITTEN, INNER].flatMap((list) => list.split(/\s+/))
  const taken = takenFromCore()
  expect(taken.size).toBeGreaterThan(150)
  expect([...taken].filter((name) => !walked.has(name) && !others.includes(name))).toEqual([])
  // And no name stands here for nothing.
  expect(others.filter((name) => !taken.has(name))).toEqual([])
})
