'use client'

import { Button } from 'antd'
import { Link } from '@/ui/frame/Link'
import type { HouseWord } from '@/db/people/houseWords'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { useTechniques } from '@/ui/hooks/useTechniques'
import { day } from '@/ui/tables/dates'
import { dropHouseWordAction } from './actions'

/** Rules of the house in its own words, each with where it came from. */
export function HouseWords({ words, zone }: { words: readonly HouseWord[]; zone: string }) {
  const { send, pending, refusal } = useSend<null>()
  const techniques = useTechniques()
  return (
    <section className="panel" aria-label="What we found out">
      <h2>What we found out</h2>
      {words.length === 0 ? (
        <p className="muted">
          Nothing yet. What a trial or a traced fault says is written back to here by a tap in the{' '}
          <Link href="/notebook">Notebook</Link>.
        </p>
      ) : null}
      {words.map((w) => (
        <div className="row" key={w.id}>
          <span className="grow">
            {w.words}
            <small className="muted block">
              {day(w.saidAt, zone)}
              {w.technique ? `, for ${techniques.find(w.technique)?.name ?? w.technique}` : ''}
              {w.trialId ? (
                <>
                  , from <Link href={`/notebook/trials/${w.trialId}`}>a trial</Link>
                </>
              ) : null}
            </small>
          </span>
          <Button
            aria-label={`Drop the rule ${w.words}`}
            disabled={pending}
            onClick={() => send(() => dropHouseWordAction({ id: w.id }), undefined, 'Dropped')}
          >
            ×
          </Button>
        </div>
      ))}
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
    </section>
  )
}
