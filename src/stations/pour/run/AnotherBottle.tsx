'use client'

import { Input } from 'antd'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { formatMl } from '@/core/quantity/format'
import { loadedCups } from '@/core/run/loading'
import { readShortCode } from '@/core/vessel/shortCode'
import { ScaleLine } from '@/ui/hand/ScaleLine'
import { Chip } from '@/ui/pictures/Drawdown'
import { Aside } from './Aside'
import { GiveAmount, type Amount } from './GiveAmount'
import { Key } from './Key'
import type { RunStepProps } from './stepProps'
import styles from './run.module.css'

const SURFACE = 'surface'
const NEW = 'new'
/** Bottles offered at once. */
const OFFERED = 24

/** A bottle nobody planned: by tap, by its code or its name; into a cup or straight onto the surface. */
export function AnotherBottle(props: RunStepProps & { close: () => void }) {
  const { desk, plan, state, send, piece, close } = props
  const [sought, setSought] = useState('')
  const [chosen, setChosen] = useState<string>()
  const [where, setWhere] = useState(SURFACE)
  const [newId] = useState(() => uuidv7())
  const cups = loadedCups(plan, state)
  const code = readShortCode(sought)
  const found = desk.bottles.filter((b) =>
    code === undefined ? b.label.toLowerCase().includes(sought.trim().toLowerCase()) : b.code === code,
  )
  const bottle = desk.bottles.find((b) => b.id === chosen)
  const cup = cups.find((c) => c.cup.id === where)
  const give = (amount: Amount) => {
    const kept = bottle
      ? where === SURFACE
        ? send({ kind: 'coat', coat: null, role: 'top', share: 1, piece: piece.id, bottle: bottle.id, ...amount })
        : send({
            kind: 'load',
            cup: cup?.cup.id ?? newId,
            layer: null,
            way: 'side',
            piece: cup?.cup.piece ?? piece.id,
            bottle: bottle.id,
            ...amount,
          })
      : false
    if (kept) close()
    return kept
  }
  return (
    <>
      <div className={styles.pieces}>
        <Key press={close}>Back to the step</Key>
        {plan.pieces.length > 1
          ? plan.pieces.map((p) => (
              <Key key={p.id} on={p.id === piece.id} press={() => props.setPiece(p.id)}>
                {p.title}
              </Key>
            ))
          : null}
      </div>
      {bottle ? (
        <>
          <div className={styles.keys} role="group" aria-label="Where it goes">
            <Key on={where === SURFACE} press={() => setWhere(SURFACE)}>
              Onto the surface
            </Key>
            {cups.map((c) => (
              <Key key={c.cup.id} on={where === c.cup.id} press={() => setWhere(c.cup.id)}>
                {c.cup.title}
              </Key>
            ))}
            <Key on={where === NEW} press={() => setWhere(NEW)}>
              A new cup
            </Key>
          </div>
          <GiveAmount
            {...props}
            bottle={bottle}
            into={where === SURFACE ? `onto ${piece.title}` : `into ${cup?.cup.title ?? 'a new cup'}`}
            plannedUl={null}
            inUl={0}
            give={give}
          />
          <Aside>
            <ScaleLine scale={props.scale} />
          </Aside>
        </>
      ) : (
        <>
          <h2 className={styles.title}>Which bottle?</h2>
          <Input
            size="large"
            autoFocus
            aria-label="Name or code of a bottle"
            placeholder="Name, or the code on its label"
            value={sought}
            onChange={(e) => setSought(e.target.value)}
          />
          <div className={styles.keys}>
            {found.slice(0, OFFERED).map((b) => (
              <Key key={b.id} press={() => setChosen(b.id)}>
                <Chip hex={b.hex} sheen={b.sheen} size={36} />
                <span>
                  {b.label}
                  <small>{formatMl(b.ul)}</small>
                </span>
              </Key>
            ))}
          </div>
          {found.length === 0 ? (
            <p className={styles.say}>No bottle is called so. Try its code, or part of its name.</p>
          ) : null}
        </>
      )}
    </>
  )
}
