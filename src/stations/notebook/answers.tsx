import type { ReactNode } from 'react'
import type { Tx } from '@/db/base/withStudio'
import { amountsFacts, amountsSheet } from './amounts/facts'
import { AmountsSaid } from './amounts/AmountsSaid'
import { buyingFacts, buyingSheet } from './buying/facts'
import { Buying } from './buying/Buying'
import { coloursFacts, coloursSheet } from './colours/facts'
import { Colours } from './colours/Colours'
import { costFacts, costSheet } from './cost/facts'
import { Cost } from './cost/Cost'
import { cracksFacts, cracksSheet } from './cracks/facts'
import { Cracks } from './cracks/Cracks'
import { Faults } from './faults/Faults'
import { faultsFacts, faultsSheet } from './faults/facts'
import { goesFacts, goesSheet } from './goes/facts'
import { Goes } from './goes/Goes'
import { nextTimeFacts, nextTimeSheet } from './nextTime/facts'
import { NextTime } from './nextTime/NextTime'
import type { QuestionKey } from './questions'
import { ratiosFacts, ratiosSheet } from './ratios/facts'
import { Ratios } from './ratios/Ratios'
import { runsOutFacts, runsOutSheet } from './runsOut/facts'
import { RunsOut } from './runsOut/RunsOut'
import type { Sheet } from './sheet'
import { worksFacts, worksSheet } from './works/facts'
import { Works } from './works/Works'

/** A question answered: its numbers, and its picture with words. */
export interface Answered {
  readonly sheet: Sheet
  readonly show: () => ReactNode
}

/** Questions that are answered from what is kept; trials and the journal have places of their own. */
export type AnsweredKey = Exclude<QuestionKey, 'trials' | 'journal'>

type Answer = (tx: Tx, search: Readonly<Record<string, string>>, now: Date) => Promise<Answered>

const answer =
  <F,>(
    read: (tx: Tx, search: Readonly<Record<string, string>>, now: Date) => Promise<F>,
    sheet: (facts: F) => Sheet,
    Show: (props: { facts: F }) => ReactNode,
  ): Answer =>
  async (tx, search, now) => {
    const facts = await read(tx, search, now)
    return { sheet: sheet(facts), show: () => <Show facts={facts} /> }
  }

export const ANSWERS: Readonly<Record<AnsweredKey, Answer>> = {
  faults: answer(faultsFacts, faultsSheet, Faults),
  works: answer(worksFacts, worksSheet, Works),
  amounts: answer(amountsFacts, amountsSheet, AmountsSaid),
  cracks: answer(cracksFacts, cracksSheet, Cracks),
  goes: answer(goesFacts, goesSheet, Goes),
  'runs-out': answer((tx, _, now) => runsOutFacts(tx, now), runsOutSheet, RunsOut),
  cost: answer(costFacts, costSheet, Cost),
  buying: answer((tx, _, now) => buyingFacts(tx, now), buyingSheet, Buying),
  ratios: answer(ratiosFacts, ratiosSheet, Ratios),
  colours: answer((tx, _, now) => coloursFacts(tx, now), coloursSheet, Colours),
  'next-time': answer(nextTimeFacts, nextTimeSheet, NextTime),
}

/** The answer to a question of the address; undefined for what is none. */
export const answerOf = (key: string): Answer | undefined =>
  Object.hasOwn(ANSWERS, key) ? ANSWERS[key as AnsweredKey] : undefined
