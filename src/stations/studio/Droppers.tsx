'use client'

import { Button, Input, Select } from 'antd'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { countedDropUl, DRIP_WORDS, DRIPS, START_DROPS, type Drip } from '@/core/quantity/dropSizes'
import { numberIn } from '@/core/quantity/number'
import { parseMassMg, type UnitSystem } from '@/core/quantity/parse'
import { readTyped } from '@/core/quantity/typed'
import type { Dropper } from '@/db/people/droppers'
import { Notice } from '@/ui/frame/Notice'
import { useAttempt } from '@/ui/hooks/useAttempt'
import { useSend } from '@/ui/hooks/useSend'
import { countDropsAction, dropDropperAction, takeDropperAction } from './actions'
import styles from './studio.module.css'

/** What a liquid weighs where nobody has said it, g/ml: water as it is, thinned paint and silicone oil from memory. */
const USUAL_DENSITY: Readonly<Record<Drip, string>> = { water: '0.998', paint: '1.1', oil: '0.97' }

const inMl = (ul: number) => `${(ul / 1000).toFixed(3)} ml`

/** How large a drop is: of each liquid, by the studio's own droppers. */
export function Droppers({ droppers, units }: { droppers: readonly Dropper[]; units: UnitSystem }) {
  const { send, pending, refusal } = useSend<null>()
  const take = (drip: Drip, id: string | null) => send(() => takeDropperAction({ drip, id }))
  return (
    <section className="panel" aria-label="Droppers">
      <h2>How large is a drop?</h2>
      <div className={styles.drips}>
        {DRIPS.map((drip) => {
          const own = droppers.filter((d) => d.drip === drip)
          const used = own.find((d) => d.inUse)
          return (
            <div key={drip} data-testid={`drop-${drip}`}>
              <DropPicture ul={used?.dropUl ?? START_DROPS[drip]} />
              <b className="num">{inMl(used?.dropUl ?? START_DROPS[drip])}</b>
              <small>{DRIP_WORDS[drip]}</small>
              {own.length ? (
                <Select
                  aria-label={`Dropper for ${DRIP_WORDS[drip]}`}
                  className={styles.dripOf!}
                  popupMatchSelectWidth={false}
                  disabled={pending}
                  value={used?.id ?? ''}
                  onChange={(id: string) => take(drip, id || null)}
                  options={[
                    ...own.map((d) => ({ value: d.id, label: `${d.name}, ${inMl(d.dropUl)}` })),
                    { value: '', label: `start value of Fika, ${inMl(START_DROPS[drip])}` },
                  ]}
                />
              ) : (
                <small className="muted">start value of Fika</small>
              )}
              {used ? (
                <button
                  type="button"
                  className="plain"
                  disabled={pending}
                  onClick={() => send(() => dropDropperAction({ id: used.id }), undefined, 'Forgotten')}
                >
                  Forget it
                </button>
              ) : null}
            </div>
          )
        })}
      </div>
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
      <Count units={units} />
    </section>
  )
}

/** A hanging drop, drawn to scale beside its fellows. */
function DropPicture({ ul }: { ul: number }) {
  // A sphere of 50 µl is 4.6 mm across, and stands for 34 px.
  const r = 17 * Math.cbrt(ul / START_DROPS.water)
  return (
    <svg viewBox="0 0 60 64" height="64" aria-hidden="true">
      <path d="M24 0V10h12V0" fill="none" stroke="#3a3a3a" strokeWidth="2" />
      <path
        d={`M30 10 C30 ${26 - r} ${30 - r} ${30 - r / 2} ${30 - r} ${36} A${r} ${r} 0 0 0 ${30 + r} ${36} C${30 + r} ${30 - r / 2} 30 ${26 - r} 30 10Z`}
        fill="#1c1c1c"
      />
    </svg>
  )
}

/** Counts drops into a weighed cup. */
function Count({ units }: { units: UnitSystem }) {
  const [f, setF] = useState({ name: '', count: '', mass: '', density: USUAL_DENSITY.water })
  // Made once for what is typed, so that a second tap counts once.
  const [id, setId] = useState(() => uuidv7())
  const [drip, setDrip] = useState<Drip>('water')
  const { unreadable, attempt } = useAttempt()
  const { send, pending, refusal } = useSend<null>()
  const set = (part: Partial<typeof f>) => setF((old) => ({ ...old, ...part }))
  const number = (text: string, what: string) => numberIn(text, `Type ${what}.`)
  const read = () => ({
    count: number(f.count, 'how many drops fell, like 50'),
    massMg: parseMassMg(f.mass, units),
    densityGPerMl: number(f.density, 'the density in g/ml, like 1.2'),
  })
  const all = f.count.trim() && f.mass.trim()
  const one = all
    ? readTyped(() => {
        const { count, massMg, densityGPerMl } = read()
        return countedDropUl(count, massMg, densityGPerMl)
      })
    : undefined
  const keep = () =>
    attempt(() =>
      send(
        () => countDropsAction({ id, name: f.name, drip, ...read() }),
        () => {
          setId(uuidv7())
          set({ name: '', count: '', mass: '' })
        },
        'Counted',
      ),
    )
  const text = (key: keyof typeof f, label: string, placeholder: string) => (
    <label className="field">
      <span>{label}</span>
      <Input value={f[key]} placeholder={placeholder} onChange={(e) => set({ [key]: e.target.value })} />
    </label>
  )
  return (
    <>
      <h3 className="below">Count a dropper</h3>
      <p className="muted">Tare a small cup, count the drops into it, read what they weigh.</p>
      <div className="two columns">
        {text('name', 'Dropper', 'glass pipette')}
        <label className="field">
          <span>What falls from it</span>
          <Select
            aria-label="What falls from it"
            className="wide"
            value={drip}
            onChange={(v: Drip) => {
              setDrip(v)
              set({ density: USUAL_DENSITY[v] })
            }}
            options={DRIPS.map((d) => ({ value: d, label: DRIP_WORDS[d] }))}
          />
        </label>
        {text('count', 'Drops', '50')}
        {text('mass', 'They weigh', '2.4 g')}
        {text('density', 'It weighs, g/ml', USUAL_DENSITY[drip])}
        <div className="field">
          <span>One drop</span>
          <div className="sum">{one?.value === undefined ? '—' : inMl(one.value)}</div>
        </div>
      </div>
      {one?.sentence || unreadable || refusal ? (
        <Notice kind="warning">{unreadable ?? refusal?.message ?? one?.sentence}</Notice>
      ) : null}
      <Button className="under" onClick={keep} loading={pending} disabled={!all}>
        Keep it
      </Button>
    </>
  )
}
