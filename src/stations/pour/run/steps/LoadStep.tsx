'use client'

import { useState } from 'react'
import { formatFlOz, formatMl } from '@/core/quantity/format'
import { isOver, loadedCups, nextLayer, type LoadedCup } from '@/core/run/loading'
import { ScaleLine } from '@/ui/hand/ScaleLine'
import { StepKey } from '@/ui/hand/StepKey'
import { useTone } from '@/ui/hand/useTone'
import { Cup } from '@/ui/pictures/Cup'
import { Chip } from '@/ui/pictures/Drawdown'
import { Aside } from '../Aside'
import { GiveAmount } from '../GiveAmount'
import { Key } from '../Key'
import type { RunStepProps } from '../stepProps'
import styles from '../run.module.css'

const WAYS = { side: 'down the side', high: 'from high', middle: 'into the middle' } as const

/** The cups, layer by layer: what goes in next, how much of it, and the cup in cross-section beside it. */
export function LoadStep(props: RunStepProps) {
  const { plan, state, send, next, bottleOf, scale } = props
  const [sound, setSound] = useState(false)
  const [wish, setWish] = useState<{ cup: string; layer: string }>()
  const cups = loadedCups(plan, state)
  const wished = cups.find((c) => c.cup.id === wish?.cup)
  const at = wished?.layers.find((l) => l.layer.id === wish?.layer)
  const now = wished && at ? { cup: wished, at } : nextLayer(cups)
  const bottle = now && bottleOf(now.at.layer.bottle)
  const seen = now?.cup ?? cups[0]
  const leftG = now && bottle ? (now.at.leftUl / 1000) * bottle.densityGPerMl : undefined
  const live = scale.grams !== null && state.baselineG !== null ? scale.grams - state.baselineG : 0
  useTone(sound, leftG !== undefined && leftG > 0 && scale.here ? (leftG - live) / leftG : null)
  if (!seen)
    return (
      <>
        <StepKey label="On" next={next} />
        <h2 className={styles.title}>No cup is planned</h2>
        <p className={styles.say}>“Another bottle” takes any bottle into a new cup or straight onto the surface.</p>
      </>
    )
  return (
    <>
      {now && bottle ? (
        <GiveAmount
          {...props}
          key={`${now.cup.cup.id} ${now.at.layer.id}`}
          bottle={bottle}
          into={`into ${now.cup.cup.title}, ${WAYS[now.at.layer.how]}`}
          plannedUl={now.at.layer.ul}
          inUl={now.at.inUl}
          give={(amount) => {
            setWish(undefined)
            return send({
              kind: 'load',
              cup: now.cup.cup.id,
              layer: now.at.layer.id,
              way: now.at.layer.how,
              piece: now.cup.cup.piece,
              bottle: bottle.id,
              ...amount,
            })
          }}
        />
      ) : (
        <>
          <StepKey label="On to the pour" next={next} />
          <h2 className={styles.title}>{now ? 'This bottle is gone from the rack' : 'Every cup is loaded'}</h2>
          {now ? <p className={styles.say}>Take “Another bottle” in its place, or choose another layer.</p> : null}
        </>
      )}
      {cups.map((c) =>
        c.layers.filter(isOver).map((l) => (
          <p key={`${c.cup.id} ${l.layer.id}`} className={styles.say} data-testid="over">
            {bottleOf(l.layer.bottle)?.label} is {formatMl(-l.leftUl)} over in {c.cup.title}. It counts as it is;
            nothing to do.
          </p>
        )),
      )}
      <Layers cup={seen} choose={(layer) => setWish({ cup: seen.cup.id, layer })} {...props} />
      <div className={styles.cups} role="group" aria-label="Cups">
        {cups.map((c) => (
          <button
            key={c.cup.id}
            type="button"
            className={styles.key}
            aria-pressed={c.cup.id === seen.cup.id}
            onClick={() => {
              const open = c.layers.find((l) => l.leftUl > 0) ?? c.layers[0]
              if (open) setWish({ cup: c.cup.id, layer: open.layer.id })
            }}
          >
            <CupOf cup={c} {...props} height={84} />
            {c.isFull ? '✓ ' : ''}
            {c.cup.title}
          </button>
        ))}
      </div>
      <div className={styles.keys}>
        <Key on={sound} press={() => setSound(!sound)}>
          Tone {sound ? 'on' : 'off'}
        </Key>
      </div>
      <Aside>
        <CupOf cup={seen} {...props} height={330} />
        <div className="guide-total" data-testid="in-cup" data-ul={seen.inUl}>
          {formatMl(seen.inUl)} <small>{formatFlOz(seen.inUl)}</small>
        </div>
        <Turn cup={seen} {...props} />
        <ScaleLine scale={scale} wanted={leftG === undefined ? undefined : leftG - live} />
      </Aside>
    </>
  )
}

/** Its planned layers, bottom first: any of them can be poured next. */
function Layers({ cup, bottleOf, choose }: RunStepProps & { cup: LoadedCup; choose: (layer: string) => void }) {
  if (cup.layers.length === 0) return null
  return (
    <div className={styles.keys} role="group" aria-label={`Layers of ${cup.cup.title}, bottom first`}>
      {cup.layers.map((l) => {
        const b = bottleOf(l.layer.bottle)
        return (
          <Key key={l.layer.id} press={() => choose(l.layer.id)}>
            <Chip hex={b?.hex ?? null} size={28} />
            <span>
              {b?.label ?? 'gone'}
              <small>
                {formatMl(l.inUl)} of {formatMl(l.layer.ul)}
              </small>
            </span>
          </Key>
        )
      })}
    </div>
  )
}

function CupOf({ cup, bottleOf, height }: RunStepProps & { cup: LoadedCup; height: number }) {
  const planned = cup.cup.layers.reduce((sum, l) => sum + l.ul, 0)
  return (
    <Cup
      layers={cup.given.map((g) => ({
        id: String(g.n),
        hex: bottleOf(g.bottle)?.hex ?? '#bdbdbd',
        label: bottleOf(g.bottle)?.label ?? 'a bottle',
        ul: g.ul,
      }))}
      fullUl={Math.max(cup.cup.sizeUl ?? 0, planned * 1.12, cup.inUl, 1)}
      {...(planned > 0 ? { markUl: planned } : {})}
      dark
      height={height}
    />
  )
}

/** How a cup stands: turned, its side layers face another way. */
function Turn({ cup, state, send }: RunStepProps & { cup: LoadedCup }) {
  const deg = state.turned.get(cup.cup.id) ?? cup.cup.turnDeg
  const sides = cup.cup.layers.filter((l) => l.how === 'side').length
  if (sides < 2) return null
  return (
    <div className={styles.keys}>
      <svg width="56" height="56" viewBox="-28 -28 56 56" role="img" aria-label={`Turned by ${deg} degrees`}>
        <circle r="25" fill="none" stroke="var(--ink)" strokeWidth="2" />
        <path
          d="M0 20V-20M-7 -12L0 -20L7 -12"
          stroke="var(--ink)"
          strokeWidth="3"
          fill="none"
          transform={`rotate(${deg})`}
        />
      </svg>
      <Key press={() => void send({ kind: 'turn', cup: cup.cup.id, deg: (deg + 45) % 360 })}>
        <span>
          Turn by 45°<small>last side layer faces {facing(deg)}</small>
        </span>
      </Key>
    </div>
  )
}

const WAYS_ROUND = [
  'away from you',
  'away and right',
  'right',
  'to you and right',
  'to you',
  'to you and left',
  'left',
  'away and left',
]
const facing = (deg: number) => WAYS_ROUND[Math.round((((deg % 360) + 360) % 360) / 45) % 8]!
