import type { WaterAdvice } from '@/core/consistency/waterAdvice'
import { formatMl, formatSmall, formatSmallBeside } from '@/core/quantity/format'

/** What to add, in one sentence, with how sure it is. @param dropUl volume of a drop of water */
export function adviceSentence(a: WaterAdvice, dropUl: number): string {
  const amount = (ul: number) => `${formatSmall(ul, dropUl)} (${formatSmallBeside(ul, dropUl)})`
  const range =
    a.rangeUl[1] > 0
      ? ` Eight times in ten it takes ${formatSmall(a.rangeUl[0], dropUl, a.rangeUl[1])} to ${formatSmall(a.rangeUl[1], dropUl)}.`
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
export function adviceSteps(a: WaterAdvice, dropUl: number): string {
  if (a.stepsUl.length < 2) return ''
  return `In two steps: ${a.stepsUl.map((s) => formatSmall(s, dropUl, a.waterUl)).join(', stir and look, then ')}.`
}
