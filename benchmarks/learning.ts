import { amountFor, learnAmounts } from '@/core/learning/learnedAmount'
import { OLDER } from '@/stations/notebook/journal/pages'
import { causeWord, traceFault } from '@/core/learning/faultCause'
import { crackRisk } from '@/core/learning/crackRisk'
import { pairVerdict, RATING_SCALE } from '@/core/learning/pairVerdict'
import { traceFaults } from '@/core/learning/tracedFaults'
import { pouredFacts } from '@/db/learning/pieces'
import { journal } from '@/db/ledger'
import { findSession } from '@/db/people/sessions'
import { studioFacts } from '@/db/people/studio'
import { techniqueBook } from '@/db/techniques/read'
import { withStudio } from '@/db/base/withStudio'
import { person, signUp } from '../tests/support/accounts'
import { AMOUNT_WORLD, amountWorld } from '../tests/support/learning/amounts'
import { crackWorld, CRACK_WORLDS, trueRisk } from '../tests/support/learning/crackWorld'
import { faultWorld } from '../tests/support/learning/faults'
import { fisherTwoSided } from '../tests/support/learning/fisher'
import { hangMany, moveMany } from '../tests/support/learning/hung'
import { gaussian, random } from '../tests/support/random'
import { makeStudio } from '../tests/support/studio'
import { cookieOf, opening, turningTo } from './http'
import { compare, type Figure } from './measure'

const WORLDS = 300

/** A share in percent beside the one that was aimed at; `ratio` is ours to it. */
const percent = (name: string, ours: number, reference: number, aim: string): Figure => ({
  name,
  ours: 100 * ours,
  reference: 100 * reference,
  unit: '%',
  ratio: ours / reference,
  aim,
})
const share = (n: number, f: (seed: number) => boolean) =>
  Array.from({ length: n }, (_, i) => f(i + 1)).filter(Boolean).length / n

/** What simulated studios with known causes teach: floors of the design beside what is reached. */
export async function learningFigures(url: string): Promise<Figure[]> {
  return [...faultFigures(), ...trialFigures(), ...amountFigures(), ...crackFigures(), ...(await speedFigures(url))]
}

function faultFigures(): Figure[] {
  const named = (n: number, base: number, strong: number | null) =>
    share(WORLDS, (seed) => {
      const { pieces, factors } = faultWorld(seed, n, base, strong)
      const [first] = traceFault(pieces, factors).causes
      const likely = first !== undefined && causeWord(first.probability, first) === 'likely'
      return likely && (strong === null || first.keys.includes('m0'))
    })
  const fisher = (n: number, strong: number) =>
    share(WORLDS, (seed) => {
      const { pieces, factors } = faultWorld(seed, n, 0.05, strong)
      const ps = traceFault(pieces, factors).causes.map((c) => ({
        c,
        p: fisherTwoSided(c.withFaulty, c.withAll - c.withFaulty, c.withoutFaulty, c.withoutAll - c.withoutFaulty),
      }))
      ps.sort((a, b) => a.p - b.p)
      return ps[0] !== undefined && ps[0].p * factors.length < 0.05 && ps[0].c.keys.includes('m0')
    })
  return [
    ...[0.05, 0.15, 0.25].flatMap((base) =>
      [10, 20, 40, 80].map((n) =>
        percent(
          `no cause, ${100 * base} % by itself, ${n} pieces: wrongly likely`,
          named(n, base, null),
          0.05,
          'ours ≤ 5 %',
        ),
      ),
    ),
    ...(
      [
        [10, 0.5, 0.03],
        [20, 0.5, 0.15],
        [40, 0.5, 0.5],
        [80, 0.5, 0.9],
        [20, 0.8, 0.65],
        [40, 0.8, 0.98],
      ] as const
    ).map(([n, strong, floor]) =>
      percent(
        `one paint ${100 * strong} % against 5 %, ${n} pieces: named (floor of the design)`,
        named(n, 0.05, strong),
        floor,
        '≥ 0.9',
      ),
    ),
    ...[20, 40].map((n) =>
      percent(
        `the same at 80 %, ${n} pieces, against Fisher with Bonferroni`,
        named(n, 0.05, 0.8),
        fisher(n, 0.8),
        '≥ 1',
      ),
    ),
  ]
}

function trialFigures(): Figure[] {
  const next = random(11)
  const decided = (gap: number, pairs: number) =>
    share(2000, () => {
      const d = Array.from({ length: pairs }, () => gap + 0.75 * (gaussian(next) - gaussian(next)))
      const { verdict } = pairVerdict(d, RATING_SCALE)
      return gap === 0 ? verdict === 'second' : verdict === 'first'
    })
  return [
    percent('a gap of 1, 6 pairs: decided', decided(1, 6), 0.64, '≥ 0.9'),
    percent('a gap of 1, 8 pairs: decided', decided(1, 8), 0.75, '≥ 0.9'),
    percent('a gap of 1.5, 6 pairs: decided', decided(1.5, 6), 0.91, '≥ 0.9'),
    percent('no gap, 12 pairs: a verdict one way', decided(0, 12), 0.08, 'ours ≤ 8 %'),
    // Gaps of such trials are about as large as the prior has them, and then half as large: a world it does not assume.
    ...[1.5, 0.75].map((sd) =>
      percent(
        `probabilities said, gaps of ± ${sd}: mean distance from how often it is so`,
        calibration(sd),
        0.05,
        'ours ≤ 5 points at 1.5',
      ),
    ),
  ]
}

/** Mean distance of what is said from what is so, over tenths, weighted by how often it is said. */
function calibration(sd: number): number {
  const next = random(29)
  const bins = new Map<number, { n: number; said: number; so: number }>()
  for (let i = 0; i < 6000; i++) {
    const gap = sd * gaussian(next)
    const pairs = 4 + Math.floor(9 * next())
    const told = pairVerdict(
      Array.from({ length: pairs }, () => gap + 1.06 * gaussian(next)),
      RATING_SCALE,
    )
    const bin = Math.min(9, Math.floor(10 * told.first))
    const b = bins.get(bin) ?? { n: 0, said: 0, so: 0 }
    bins.set(bin, { n: b.n + 1, said: b.said + told.first, so: b.so + Number(gap > RATING_SCALE.margin) })
  }
  let [sum, all] = [0, 0]
  for (const b of bins.values()) {
    sum += Math.abs(b.said - b.so)
    all += b.n
  }
  return sum / all
}

function amountFigures(): Figure[] {
  return [12, 24, 48].flatMap((n) => {
    let [ours, rule, knowing, held, all] = [0, 0, 0, 0, 0]
    for (let seed = 1; seed <= 200; seed++) {
      const world = amountWorld(seed, n)
      const learned = learnAmounts(world.pieces)
      const knows = learnAmounts(world.pieces, AMOUNT_WORLD)
      for (let i = 0; i < 10; i++) {
        const d = world.draw()
        const said = amountFor(learned, d.technique, d.edges)
        ours += Math.abs(Math.log(said.middle / d.need))
        knowing += Math.abs(Math.log(amountFor(knows, d.technique, d.edges).middle / d.need))
        rule += Math.abs(Math.log(d.need))
        held += Number(said.enough >= d.need)
        all++
      }
    }
    const floor = { 12: 19 / 33, 24: 16 / 33, 48: 13 / 33 }[n]!
    return [
      percent(
        `amount after ${n} pieces: error against that of the rule`,
        ours / all,
        rule / all,
        `≤ ${(1.1 * floor).toFixed(2)}`,
      ),
      percent(
        `amount after ${n} pieces: error against that of one who knows beforehand how this studio spreads`,
        ours / all,
        knowing / all,
        '≤ 1.05',
      ),
      percent(`“enough nine times in ten” after ${n} pieces: holds`, held / all, 0.9, '0.98 – 1.05'),
    ]
  })
}

function crackFigures(): Figure[] {
  return Object.entries(CRACK_WORLDS).flatMap(([name, w]) =>
    [10, 20, 40].map((n) => {
      let [error, start, all] = [0, 0, 0]
      for (let seed = 1; seed <= 60; seed++) {
        const own = crackWorld(seed, n, w)
        for (const mm of [0.8, 1.2, 1.8])
          for (const water of [0.2, 0.6]) {
            const film = { wetMm: mm, waterOfPaint: water }
            error += Math.abs(crackRisk(film, own).risk - trueRisk(w, mm, water))
            start += Math.abs(crackRisk(film, []).risk - trueRisk(w, mm, water))
            all++
          }
      }
      return percent(
        `cracks where ${name}, ${n} pieces: error of the risk, against the start values’`,
        error / all,
        start / all,
        'ours ≤ 7 % where practice is right',
      )
    }),
  )
}

async function speedFigures(url: string): Promise<Figure[]> {
  const signed = await signUp({ ...person(), studioName: 'Learned room' })
  const studio = await makeStudio(signed)
  const bottles: string[] = []
  for (let i = 0; i < 30; i++) {
    const paint = await studio.paint(`Paint ${i}`, { hex: '#136a78' })
    bottles.push(await studio.bottle(`Bottle ${i}`, [{ materialId: paint, ul: 900_000 }]))
  }
  await studio.run((tx) => hangMany(tx, bottles, 300))
  await studio.run((tx) => moveMany(tx, bottles[0]!, 10_000))
  // The database looks at what grew every ten seconds; a studio does not grow by thousands in one.
  await new Promise((resolve) => setTimeout(resolve, 20_000))
  const cookie = await cookieOf(signed.token)
  const served = (path: string, mark: string) => opening(url, path, cookie, mark)
  const facts = () => withStudio(signed, async (tx) => pouredFacts(tx, await techniqueBook(tx)))
  const traced = async () => {
    const techniques = await withStudio(signed, techniqueBook)
    traceFaults(await facts(), techniques, undefined)
  }
  const page = await withStudio(signed, (tx) => journal(tx, null, 60))
  const before = page.at(-1)!.id
  const sql = async () => {
    await findSession(signed.token)
    await withStudio(signed, (tx) => journal(tx, null, OLDER, { before }))
  }
  const firstSql = async () => {
    await findSession(signed.token)
    await withStudio(signed, async (tx) => {
      await journal(tx, null, 60)
      await studioFacts(tx)
    })
  }
  const turned = await turningTo(url, '/notebook/journal', cookie, 'for a card')
  return [
    await compare(
      'time',
      '300 pieces traced, read and reckoned, against reading them',
      'ours < 200 ms',
      1,
      traced,
      facts,
      7,
    ),
    await compare(
      'time',
      '300 pieces traced as a served page, against their SQL',
      'ours < 400 ms',
      1,
      served('/notebook/faults', 'raters'),
      facts,
      7,
    ),
    await compare(
      'time',
      'journal of 10,000: a further page as served, against its SQL',
      '≤ 2',
      1,
      served(`/notebook/journal/rows?before=${before}`, 'for a card'),
      sql,
      15,
    ),
    await compare(
      'time',
      'journal of 10,000: its first page turned to, against its SQL',
      '≤ 3',
      1,
      turned,
      firstSql,
      15,
    ),
    await compare(
      'time',
      'journal of 10,000: its first page opened as a document, against its SQL',
      'said, not aimed at',
      1,
      served('/notebook/journal', 'for a card'),
      firstSql,
      7,
    ),
  ]
}
