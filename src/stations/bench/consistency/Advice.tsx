import type { WaterAdvice } from '@/core/consistency/waterAdvice'
import { formatMl, formatSmall, formatSmallBeside } from '@/core/quantity/format'

const amount = (ul: number) => `${formatSmall(ul)} (${formatSmallBeside(ul)})`

/** What to add, in one sentence, with how sure it is. */
export function adviceSentence(a: WaterAdvice): string {
  const range =
    a.rangeUl[1] > 0
      ? ` Eight times in ten it takes ${formatSmall(a.rangeUl[0], a.rangeUl[1])} to ${formatSmall(a.rangeUl[1])}.`
      : ''
  if (a.kind === 'good') return 'It is as wanted. Leave the water alone.'
  if (a.kind === 'too thin')
    return a.unwateredUl > 0
      ? `It is too thin. ${formatMl(a.unwateredUl)} of the same mix without water brings it back.`
      : 'It is too thin. Stir in more of the mix without water, or let it stand open and stir.'
  if (a.kind === 'medium')
    return a.waterUl > 0
      ? `The house’s water limit allows ${amount(a.waterUl)}; then thin with medium, about ${formatMl(a.mediumUl)}, and time it again.`
      : `The house’s water limit is reached. Thin with medium instead, about ${formatMl(a.mediumUl)}, and time it again.`
  return `${amount(a.waterUl)} of water bring it to about ${a.expectedS.toFixed(1)} s.${range}`
}

/** The additions as one does them. */
export function adviceSteps(a: WaterAdvice): string {
  if (a.stepsUl.length < 2) return ''
  return `In two steps: ${a.stepsUl.map((s) => formatSmall(s, a.waterUl)).join(', stir and look, then ')}.`
}
