'use client'

import { Button } from 'antd'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { landsAs } from '@/core/layering/lands'
import type { Technique } from '@/core/technique/technique'
import { TRAVELS } from '@/core/technique/technique'
import { TECHNIQUES } from '@/core/technique/techniques'
import { useSend } from '@/ui/hooks/useSend'
import { useTechniques } from '@/ui/hooks/useTechniques'
import { removeTechniqueAction } from './actions'
import { TechniqueForm } from './TechniqueForm'
import styles from './techniques.module.css'

const GREYS = ['#2b2b2b', '#7d7d7d', '#c9c9c9', '#f3f3f3']

/** Every technique as a card with what becomes of its cup; the studio's own are copies that can be changed. */
export function TechniqueShelf() {
  const techniques = useTechniques()
  const [edited, setEdited] = useState<Technique>()
  const { send } = useSend<null>()
  const shipped = new Set(TECHNIQUES.map((t) => t.key))
  if (edited) return <TechniqueForm key={edited.key} technique={edited} onDone={() => setEdited(undefined)} />
  return (
    <>
      <div className="head">
        <h1>
          Techniques{' '}
          <span className="sub">what each wants of cups, coats and consistency; copy one to make it yours</span>
        </h1>
      </div>
      <ul className={styles.cards}>
        {techniques.all.map((t) => (
          <li key={t.key} className="panel">
            <Lies technique={t} />
            <h2>{t.name}</h2>
            <p className="muted">{t.gives}</p>
            <dl className="facts">
              <dt>Level in</dt>
              <dd>
                {t.levelTimeS[0]} – {t.levelTimeS[1]} s
              </dd>
              <dt>Cups</dt>
              <dd>{t.cups.join(', ')}</dd>
              {t.needs.length ? (
                <>
                  <dt>Wants</dt>
                  <dd>{t.needs.join(', ')}</dd>
                </>
              ) : null}
              {t.forbids.length ? (
                <>
                  <dt>Without</dt>
                  <dd>{t.forbids.join(', ')}</dd>
                </>
              ) : null}
              <dt>Silicone</dt>
              <dd>{t.silicone}</dd>
              <dt>Run-off</dt>
              <dd>{Math.round(t.runOffShare * 100)} %</dd>
            </dl>
            <div className={styles.ways}>
              {shipped.has(t.key) ? null : <Button onClick={() => setEdited(t)}>Change</Button>}
              <Button onClick={() => setEdited({ ...t, key: `own-${uuidv7()}`, name: `${t.name}, ours` })}>
                Copy and edit
              </Button>
              {shipped.has(t.key) ? null : (
                <Button
                  onClick={() => send(() => removeTechniqueAction({ key: t.key }), undefined, 'Taken off the list')}
                >
                  Take off
                </Button>
              )}
            </div>
          </li>
        ))}
      </ul>
      <p className="muted under">
        Seconds, run-off and waits are start values of Fika; how each is poured is common practice.
      </p>
    </>
  )
}

/** What becomes of one cup of four greys, poured this way, the top of the cup lightest. */
function Lies({ technique }: { technique: Technique }) {
  const kind = technique.cups[0]
  const marks = landsAs({
    kind,
    at: [0, 0],
    turnDeg: -90,
    path: TRAVELS.has(kind)
      ? [
          [-70, 20],
          [-20, -15],
          [30, 15],
          [75, -15],
        ]
      : [],
    layers: GREYS.map((_, colour) => ({ colour, ul: TRAVELS.has(kind) ? 6_000 : 16_000 })),
    downOneSide: false,
  })
  return (
    <svg viewBox="-110 -75 220 150" className={styles.lies} aria-hidden="true">
      <rect x="-108" y="-73" width="216" height="146" fill="#fff" stroke="#1c1c1c" strokeWidth="2" />
      {marks.map((m, i) =>
        m.kind === 'trail' ? (
          <path
            key={i}
            d={`M${m.path.map((p) => p.join(' ')).join('L')}`}
            fill="none"
            stroke={GREYS[m.colour]}
            strokeWidth={m.widthMm}
            strokeLinecap="round"
            strokeLinejoin="round"
          />
        ) : (
          <circle
            key={i}
            cx={m.at[0]}
            cy={m.at[1]}
            r={m.radiusMm}
            fill={GREYS[m.colour]}
            stroke="#1c1c1c"
            strokeWidth=".6"
          />
        ),
      )}
    </svg>
  )
}
