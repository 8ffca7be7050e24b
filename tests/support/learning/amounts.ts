import type { AmountPrior, PouredPiece } from '@/core/learning/learnedAmount'
import { gaussian, random } from '../random'

/** How the studio below spreads: one who learns there with this believed beforehand cannot be beaten by much. */
export const AMOUNT_WORLD: AmountPrior = {
  allSd: 0.15,
  techniqueSd: 0.3,
  pieceSd: 0.15,
  edges: { mean: 0.7, sd: 1e-3 },
  spreadWeight: 1e6,
}

/** A studio whose techniques need other amounts than the rule says, and more where there are deep edges. */
export function amountWorld(seed: number, n: number) {
  const next = random(seed * 31 + 7)
  for (let i = 0; i < 5; i++) next()
  const techniques = 8
  const own = Array.from({ length: techniques }, () => AMOUNT_WORLD.techniqueSd * gaussian(next))
  const all = AMOUNT_WORLD.allSd * gaussian(next)
  const draw = () => {
    const t = Math.floor(techniques * next() ** 1.7)
    const edges = 0.4 * next()
    const need = Math.exp(
      all + own[t]! + AMOUNT_WORLD.edges.mean * Math.log(1 + edges) + AMOUNT_WORLD.pieceSd * gaussian(next),
    )
    return { t, technique: `t${t}`, edges, need }
  }
  const pieces = Array.from({ length: n }, (): PouredPiece => {
    const d = draw()
    // Poured by the rule, or by what the hand has come to know; what came out near is taken as what was needed.
    const poured = Math.exp(0.12 * gaussian(next)) * (next() < 0.5 ? 1 : Math.exp(own[d.t]!))
    const enough = d.need / poured > 1.1 ? 'short' : d.need / poured < 0.8 ? 'plenty' : 'as wanted'
    return { technique: d.technique, ofRule: enough === 'as wanted' ? d.need : poured, edges: d.edges, enough }
  })
  return { pieces, draw }
}
