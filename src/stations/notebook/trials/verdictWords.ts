import type { ArmsCompared } from '@/core/learning/trial'

/** As a whole percentage; never more than can be said. */
const percent = (x: number) => (x > 0.99 ? 'over 99 %' : `${Math.round(100 * x)} %`)

/** What a comparison says in one sentence, with how sure it is and how much more would decide it. */
export function verdictWords({ criterion, first, second, told }: ArmsCompared): string {
  const n = told.pairs === 1 ? 'one pair' : `${told.pairs} pairs`
  const [a, b] = [`“${first.what}”`, `“${second.what}”`]
  switch (told.verdict) {
    case 'first':
      return `${a} gives more ${criterion} than ${b}: ${percent(told.first)} sure from ${n}.`
    case 'second':
      return `${b} gives more ${criterion} than ${a}: ${percent(told.second)} sure from ${n}.`
    case 'alike':
      return `${a} and ${b} come to the same in ${criterion}: ${percent(told.alike)} sure from ${n}.`
    case 'open':
      if (told.more === null)
        return `${criterion}: not decided by ${n}, and more than 40 further would not decide it; the difference hardly matters.`
      return `${criterion}: not decided by ${n} yet; about ${told.more} more would tell.`
  }
}
