import { USUAL_MIX } from '@/core/mix/mixFacts'
import { formatMl } from '@/core/quantity/format'
import { MOVES } from '@/core/vessel/kinds'
import { formatMoney } from '@/core/quantity/money'
import { amountsOfPieces } from '@/core/learning/amountsOfPieces'
import { crackRisk } from '@/core/learning/crackRisk'
import { driedFilms } from '@/core/learning/driedFilms'
import { amountFor, learnAmounts } from '@/core/learning/learnedAmount'
import { traceFaults } from '@/core/learning/tracedFaults'
import { compareArms } from '@/core/learning/trial'
import { paintGoes } from '@/db/learning/paintGoes'
import { pouredFacts } from '@/db/learning/pieces'
import { houseRules } from '@/db/people/houseRules'
import { journal } from '@/db/ledger'
import { techniqueBook } from '@/db/techniques/read'
import { listTrials } from '@/db/trials/read'
import type { Tx } from '@/db/base/withStudio'
import { USUAL_EDGES } from './amounts/facts'
import { coloursFacts, OFF } from './colours/facts'
import { costFacts } from './cost/facts'
import { cameIn } from './goes/facts'
import { buyingFacts } from './buying/facts'
import { OFF_SHARE, ratiosFacts } from './ratios/facts'
import type { QuestionKey } from './questions'
import { runsOutFacts } from './runsOut/facts'
import { whatWorks } from './works/facts'
import { verdictWords } from './trials/verdictWords'

const said = (text: string | false | undefined) => (text ? text : undefined)

/** One line a question: what it answers by now; nothing where there is not enough yet. */
export async function shortAnswers(tx: Tx, now: Date): Promise<Partial<Record<QuestionKey, string>>> {
  const techniques = await techniqueBook(tx)
  const pieces = await pouredFacts(tx, techniques)
  const facts = new Map(pieces.map((p) => [p.id, p]))
  const [fault] = traceFaults(pieces, techniques, undefined).faults
  const [trial] = await listTrials(tx)
  const [best] = whatWorks(pieces, {}, techniques, (await houseRules(tx)).bands).pooled.groups
  const learned = learnAmounts(amountsOfPieces(pieces))
  const most = [...learned.counts].sort((a, b) => b[1] - a[1])[0]
  const films = driedFilms(pieces)
  const goes = (await paintGoes(tx)).filter((m) => m.kind !== 'water')
  const came = goes.reduce((s, m) => s + cameIn(m), 0)
  const runsOut = await runsOutFacts(tx, now)
  const cost = await costFacts(tx)
  const ratios = await ratiosFacts(tx)
  const colours = await coloursFacts(tx, now)
  const buying = await buyingFacts(tx, now)
  const lessons = pieces.filter((p) => p.nextTime)
  const [moved] = await journal(tx, null, 1)
  const perDm2 = cost.pieces.reduce((s, p) => s + p.totalMinor, 0) / cost.pieces.reduce((s, p) => s + p.dm2, 0)
  return Object.fromEntries(
    Object.entries({
      faults: said(
        fault &&
          `${fault.name}, ${fault.faulty} of ${fault.pieces} pieces: ${fault.causes[0] && fault.causes[0].word !== 'not enough yet' ? `${fault.causes[0].word}: ${fault.causes[0].names[0]!}` : 'no cause named yet'}.`,
      ),
      trials: said(trial && `${trial.question} ${trial.said || compareArms(trial, facts).map(verdictWords)[0]}`),
      works: said(best && `${best.key} is rated best: ${best.mean.toFixed(1)}, from ${best.n} pieces.`),
      amounts: said(
        most &&
          most[1] >= 3 &&
          `${techniques.find(most[0])?.name ?? most[0]}: ${amountFor(learned, most[0], USUAL_EDGES).enough.toFixed(2)} times the rule of 28 is enough nine times in ten.`,
      ),
      cracks: said(
        films.length > 0 &&
          `Up to ${crackRisk({ wetMm: 1, waterOfPaint: USUAL_MIX.waterOfPaint }, films).safeMm.toFixed(1)} mm wet, from ${films.length} dry pieces.`,
      ),
      goes: said(
        came > 0 &&
          `${Math.round((100 * goes.reduce((s, m) => s + (m.places['on pieces'] ?? 0), 0)) / came)} % of ${formatMl(came)} hang on pieces.`,
      ),
      'runs-out': said(
        runsOut.materials.length > 0 &&
          `${runsOut.materials.filter((m) => m.plannedUl > m.haveUl).length} short for ${runsOut.plans} open plans.`,
      ),
      cost: said(
        cost.pieces.length > 0 &&
          `${formatMoney(perDm2, cost.currency)} a dm² of face, from ${cost.pieces.length} pieces.`,
      ),
      buying: said(buying.ways[0] && `Cheapest mixed: ${buying.ways[0].name}, ${formatMl(buying.ways[0].sizeUl)}.`),
      ratios: said(
        ratios.mixes.length > 0 &&
          `${ratios.mixes.filter((m) => Math.abs(m.off) > OFF_SHARE).length} of ${ratios.mixes.length} are not what they are called.`,
      ),
      colours: said(
        colours.formulas.length > 0 &&
          `${colours.formulas.filter((f) => f.deltaE > OFF).length} of ${colours.formulas.length} painted out are visibly off.`,
      ),
      'next-time': said(lessons[0] && `“${lessons[0].nextTime}”`),
      journal: said(moved && `Last: ${MOVES[moved.kind].word.toLowerCase()}, ${formatMl(Math.abs(moved.ul))}.`),
    }).filter(([, text]) => text !== undefined),
  )
}
