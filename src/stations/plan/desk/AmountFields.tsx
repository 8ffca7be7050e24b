'use client'

import { Input, Select } from '@/ui/forms/still'
import { formatFlOz, formatMl } from '@/core/quantity/format'
import { ROUNDINGS } from '@/core/plan/design'
import { COVERAGE_KINDS, COVERAGE_SOURCE, type CoverageSchool } from '@/core/surface/coverage'
import { readAmount } from '@/core/learning/learnedAmount'
import type { DeskFacts } from '../deskFacts'
import type { Draft } from './draft'
import type { Worked } from './workOut'
import styles from './desk.module.css'

const SCHOOL_NAMES: Readonly<Record<CoverageSchool['kind'], string>> = {
  'rule-of-28': 'Rule of 28: face in² ÷ 28 = fl oz',
  film: 'Film: face and edges × wet film',
  learned: 'As learned here',
  own: 'Own figure for each piece',
}

/** How much the pour takes, and by which school that is found. */
export function AmountFields({
  draft,
  worked,
  learned,
  edges,
  change,
}: {
  draft: Draft
  worked: Worked | undefined
  learned: DeskFacts['learned']
  /** Edges ÷ face of the surface shown. */
  edges: number
  change: (part: Partial<Draft>) => void
}) {
  const line = learned.find((l) => l.technique === draft.technique)
  const own = line && readAmount(line, edges)
  const needs = worked?.amounts.needs ?? []
  const total = needs.reduce((sum, n) => sum + n.pourUl, 0)
  const lands = needs.reduce((sum, n) => sum + n.landsUl, 0)
  return (
    <div className={styles.fields}>
      <div className={styles.line}>
        <label className="field">
          <span>How much the pour takes</span>
          <Select
            aria-label="Coverage school"
            value={draft.school}
            className="wide"
            onChange={(school) =>
              change({ school, ...(school === 'learned' && own ? { factor: own.enough.toFixed(2) } : {}) })
            }
            options={COVERAGE_KINDS.map((value) => ({
              value,
              label:
                value === 'learned'
                  ? `${SCHOOL_NAMES.learned}${own ? `: ${own.ofTechnique} pieces` : ', from three pieces on'}`
                  : SCHOOL_NAMES[value],
              disabled: value === 'learned' && !own && draft.school !== 'learned',
            }))}
          />
        </label>
        {draft.school === 'film' ? (
          <>
            <label className={`field ${styles.slim}`}>
              <span>Wet film, mm</span>
              <Input value={draft.wet} onChange={(e) => change({ wet: e.target.value })} />
            </label>
            <label className={`field ${styles.slim}`}>
              <span>Run-off, %</span>
              <Input value={draft.runOff} onChange={(e) => change({ runOff: e.target.value })} />
            </label>
          </>
        ) : null}
        {draft.school === 'own' ? (
          <label className={`field ${styles.slim}`}>
            <span>Each piece</span>
            <Input value={draft.own} onChange={(e) => change({ own: e.target.value })} />
          </label>
        ) : null}
        {draft.school === 'learned' ? (
          <label className={`field ${styles.slim}`}>
            <span>× rule of 28</span>
            <Input value={draft.factor} onChange={(e) => change({ factor: e.target.value })} />
          </label>
        ) : null}
        <label className="field">
          <span>Rounded up to</span>
          <Select
            aria-label="Rounded up to"
            value={draft.rounding}
            className="wide"
            onChange={(rounding) => change({ rounding })}
            options={ROUNDINGS.map((value) => ({ value, label: value === 'exact' ? 'as it is' : `a full ${value}` }))}
          />
        </label>
      </div>
      <p className="muted fine">
        <b data-testid="need-ml" data-ul={total}>
          {formatMl(total)}
        </b>{' '}
        · {formatFlOz(total)} in all. {lands > 0 ? `${formatMl(lands)} that drip from above are counted once. ` : ''}
        {draft.school === 'learned' && own
          ? `${own.ofTechnique} pieces of it took ${own.middle.toFixed(2)} times the rule in the middle; ${own.enough.toFixed(2)} times it is enough nine times in ten. `
          : ''}
        {draft.school === 'rule-of-28' ? `Run-off included, edges by habit; ${COVERAGE_SOURCE}.` : ''}
      </p>
    </div>
  )
}
