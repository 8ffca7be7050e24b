'use client'

import { Button, Input, Progress, Segmented, Select } from 'antd'
import { Link } from '@/ui/frame/Link'
import { useRouter } from 'next/navigation'
import { startTransition, useMemo, useRef, useState } from 'react'
import { deltaE00, differenceInWords } from '@/core/colour/deltaE00'
import { showOnScreen } from '@/core/colour/gamut'
import { hexToLab } from '@/core/colour/lab'
import type { Mend, Mended } from '@/core/colour/match/mend'
import { sureOf } from '@/core/colour/predict'
import { mixToHex } from '@/core/colour/mixColour'
import { opticsOf, packOptics } from '@/core/colour/packOptics'
import { dryOf, wetDryShift } from '@/core/colour/wetDry'
import { sureWords } from '@/core/colour/sureWords'
import { formatGrams, formatMl, formatSmall, isCounted, massMg, volumeText } from '@/core/quantity/format'
import type { UnitSystem } from '@/core/quantity/parse'
import type { Material } from '@/db/materials/mixable'
import type { WetDryRow } from '@/db/formulas/formulas'
import { Chip } from '@/ui/pictures/Drawdown'
import { EmptyState, Notice } from '@/ui/frame/Notice'
import { readVolume } from '@/ui/forms/QuantityInput'
import { SplitDisc } from '@/ui/pictures/SplitDisc'
import { inUnit, formulaView, type Row, type Unit } from '../desk/deskDraft'
import { PartsTable } from '../desk/PartsTable'
import { formulaPaint, mixesLikePigment } from '../formulaPaint'
import { spectrumOfTarget, type Coloured, type Target } from '../target/target'
import { pairsOf } from '../shown'
import { TargetPicker } from '../target/TargetPicker'
import { useDropSizes } from '@/ui/hooks/useDropSizes'
import { useSearch } from '../useSearch'
import { besidesUl, takenAlong, type Besides, type MendStart } from './cup'
import formulasStyles from '../formulas.module.css'
import mendStyles from './mend.module.css'

/** ΔE00 that counts as there, as makers say it. */
const TOLERANCES = [
  { value: 1, label: 'nobody can tell' },
  { value: 2, label: 'only side by side' },
  { value: 4, label: 'about right' },
]

interface Asked {
  readonly target: Target
  readonly pool: readonly Material[]
  readonly cupHex: string
}

/** A cup that came out wrong: what is in it, what it looks like, what it should be, and what to add. */
export function MendDesk({
  paints,
  studio,
  bottles,
  start,
  wetDry,
  units,
}: {
  paints: readonly Material[]
  studio: readonly Coloured[]
  bottles: readonly { id: string; label: string }[]
  start: MendStart
  wetDry: readonly WetDryRow[]
  units: UnitSystem
}) {
  const router = useRouter()
  const [rows, setRows] = useState<readonly Row[]>(start.rows)
  const [unit, setUnit] = useState<Unit>('ml')
  const [seen, setSeen] = useState<Target>()
  const [wet, setWet] = useState(false)
  const [target, setTarget] = useState<Target>()
  const [tolerance, setTolerance] = useState(1)
  const [most, setMost] = useState<1 | 2 | 3>(2)
  const [room, setRoom] = useState(
    start.roomUl === null ? (units === 'us' ? '8 fl oz' : '250 ml') : volumeText(start.roomUl),
  )
  const byId = useMemo(() => new Map(paints.map((p) => [p.id, p])), [paints])
  const { paint: dropUl } = useDropSizes()
  const view = useMemo(() => formulaView(rows, unit, 100_000, byId, 1, dropUl), [rows, unit, byId, dropUl])
  const { used } = view
  const cupHex = useMemo(
    () =>
      mixToHex(
        used.map((u) => opticsOf(u.material)),
        used.map((u) => u.ul),
      ),
    [used],
  )
  const { search, cancel, progress, trouble, found } = useSearch<Mended>()
  const [asked, setAsked] = useState<Asked>()
  const pending = useRef<Asked>(undefined)
  const typedRoom = readVolume(room, units)
  const carriedUl = besidesUl(start.besides)
  // What is seen wet is taken as it will dry; a cup mostly of medium is the milkier one.
  const dried = useMemo(() => {
    if (!seen) return undefined
    if (!wet) return seen
    const share = carriedUl > 0 ? carriedUl / (carriedUl + view.batchUl) : 0
    const shift = wetDryShift(pairsOf(wetDry), carriedUl > 0 ? 'pouring medium' : null, share)
    return { ...seen, reflectance: null, hex: showOnScreen(dryOf(hexToLab(seen.hex), shift)).hex }
  }, [seen, wet, wetDry, carriedUl, view.batchUl])
  const nowHex = dried?.hex ?? cupHex
  const run = () => {
    if (!target || used.length === 0) return
    const pool = paints.filter(
      (p) =>
        mixesLikePigment(p) &&
        ((p.onHandUl ?? 0) > 0 ||
          used.some((u) => u.material.id === p.id) ||
          !paints.some((x) => (x.onHandUl ?? 0) > 0)),
    )
    pending.current = { target, pool, cupHex: nowHex! }
    void search(async (worker, onProgress) => {
      const mine = pending.current
      const said = await worker.mend(
        spectrumOfTarget(target),
        {
          paints: used.map((u) => packOptics(formulaPaint(u.material).optics)),
          amounts: used.map((u) => u.ul),
          seen: dried ? spectrumOfTarget(dried) : null,
        },
        pool.map((p) => packOptics(formulaPaint(p).optics)),
        {
          most,
          tolerance,
          cupUl: view.batchUl,
          roomUl: ((typedRoom.value ?? 250_000) * view.batchUl) / (view.batchUl + carriedUl),
          dropUl,
        },
        onProgress,
      )
      if (said?.ok) startTransition(() => setAsked(mine))
      return said
    })
  }
  return (
    <div className={`${formulasStyles.match} ${formulasStyles.mend}`}>
      <div className="grid">
        <section className="panel" aria-label="In the cup">
          <h2>1 What is in it</h2>
          <Select
            showSearch
            optionFilterProp="label"
            aria-label="A bottle from the rack"
            placeholder="a bottle from the rack, or type below"
            value={start.bottleId}
            onChange={(id: string) => router.push(`/formulas/mend?bottle=${id}`)}
            className="wide apart"
            options={bottles.map((b) => ({ value: b.id, label: b.label }))}
          />
          <PartsTable
            rows={rows}
            unit={unit}
            view={view}
            paints={paints}
            onRows={setRows}
            onUnit={(to) => {
              if (used.length) setRows(inUnit(view, to, dropUl))
              setUnit(to)
            }}
          />
          {carriedUl > 0 ? (
            <p className="muted">and {formatMl(carriedUl)} of medium and water, which have no colour</p>
          ) : null}
          {view.problems.map((p) => (
            <Notice key={p} kind="warning">
              {p}
            </Notice>
          ))}
        </section>
        <section className="panel" aria-label="What it looks like">
          <h2>2 What it looks like now</h2>
          {cupHex ? (
            <p className="chipline">
              <Chip hex={cupHex} sheen="matte" /> computed from what went in; leave it at that, or say what you see
            </p>
          ) : null}
          <TargetPicker target={seen} onTarget={setSeen} studio={[]} />
          <Segmented
            className="under"
            value={wet ? 'wet in the cup' : 'a dry swatch'}
            options={['a dry swatch', 'wet in the cup']}
            onChange={(v) => setWet(v === 'wet in the cup')}
            aria-label="Seen dry or wet"
          />
          {seen ? (
            <Button type="link" onClick={() => setSeen(undefined)}>
              Take it back
            </Button>
          ) : null}
        </section>
        <section className="panel" aria-label="What it should be">
          <h2>3 What it should be</h2>
          <TargetPicker target={target} onTarget={setTarget} studio={studio} />
          <div className="two gap under">
            <label className="field">
              <span>Good when</span>
              <Select
                aria-label="Good when"
                value={tolerance}
                onChange={setTolerance}
                options={TOLERANCES}
                className="wide"
              />
            </label>
            <label className="field">
              <span>Add at most</span>
              <Select
                aria-label="Add at most"
                value={most}
                onChange={setMost}
                options={([1, 2, 3] as const).map((n) => ({ value: n, label: n === 1 ? '1 paint' : `${n} paints` }))}
                className="wide"
              />
            </label>
          </div>
          <label className="field">
            <span>Room left in the cup</span>
            <Input value={room} onChange={(e) => setRoom(e.target.value)} status={typedRoom.sentence ? 'error' : ''} />
            <small className="muted">{typedRoom.sentence ?? ''}</small>
          </label>
          {progress === undefined ? (
            <Button type="primary" size="large" disabled={!target || used.length === 0} onClick={run}>
              What to add
            </Button>
          ) : (
            <div className="row">
              <Progress
                percent={Math.round(100 * progress)}
                className="fill"
                showInfo={false}
                strokeColor="#1c1c1c"
                aria-label="Searching"
              />
              <Button size="large" onClick={cancel}>
                Call it off
              </Button>
            </div>
          )}
          {trouble ? <Notice kind="warning">{trouble}</Notice> : null}
        </section>
      </div>
      <section aria-label="What to add">
        {found && asked ? (
          <Result found={found} asked={asked} cup={used} besides={start.besides} />
        ) : nowHex && target ? (
          <Before nowHex={nowHex} target={target} />
        ) : (
          <EmptyState title="A cup came out wrong?">
            Say what went in and what it should be. Fika only ever adds, and as little as it can.
            <br />
            <Link className="go second" href="/formulas/match">
              Rather match anew
            </Link>
          </EmptyState>
        )}
      </section>
    </div>
  )
}

/** Drops while anybody counts them, else ml. */
const added = (a: Mend['additions'][number], dropUl: number): [string, string] => {
  const [number = '', unit = ''] = formatSmall(a.ul, dropUl).split(/\s/)
  return [number, unit]
}

function Before({ nowHex, target }: { nowHex: string; target: Target }) {
  const off = deltaE00(hexToLab(nowHex), hexToLab(target.hex))
  return (
    <div className={`neutral ${mendStyles.mendBefore}`}>
      <SplitDisc left={target.hex} right={nowHex} labels={['Target', 'the cup now']} size={260} />
      <p>
        <b>{differenceInWords(off)}</b> ΔE00 {off.toFixed(1)}
        <br />
        target left, the cup right
      </p>
    </div>
  )
}

function Result({
  found,
  asked,
  cup,
  besides,
}: {
  found: Mended
  asked: Asked
  cup: readonly { material: Material; ul: number }[]
  besides: Besides
}) {
  const { paint: dropUl } = useDropSizes()
  const [first, ...rest] = found.ways
  if (!first)
    return (
      <Notice kind="warning">
        {found.reached
          ? `The cup is there already: ${differenceInWords(found.now)}, ΔE00 ${found.now.toFixed(1)}. Add nothing.`
          : 'Nothing on hand brings it nearer. Start a new cup, and keep this one for a base coat.'}
      </Notice>
    )
  const along = takenAlong(
    besides,
    cup.reduce((sum, u) => sum + u.ul, 0),
    first.addedUl,
  )
  const all = [...cup, ...first.additions.map((a) => ({ material: asked.pool[a.paint]!, ul: a.ul }))]
  const sure = sureWords(
    sureOf(
      all.map((x) => formulaPaint(x.material)),
      all.map((x) => x.ul),
    ),
    all.map((x) => x.material.name),
  )
  return (
    <div className="grid">
      {found.reached ? null : (
        <Notice kind="warning">
          It cannot be brought all the way by adding to it, in the room there is. This is the nearest:{' '}
          {differenceInWords(first.deltaE)}, ΔE00 {first.deltaE.toFixed(1)}. To hit it, start a new cup, and keep this
          one.
        </Notice>
      )}
      <section className={`panel ${mendStyles.mendWay}`} data-testid="mend-way">
        <WayPicture way={first} asked={asked} cup={cup} size={230} />
        <div>
          <p className="muted flush">{found.reached ? 'The least that mends it' : 'The nearest that can be reached'}</p>
          {first.additions.map((a) => (
            <p key={a.paint} className={mendStyles.mendAdd} data-testid="mend-add">
              <b className="big">+{added(a, dropUl)[0]}</b> <span>{added(a, dropUl)[1]}</span>
              <Chip hex={asked.pool[a.paint]!.hex} sheen={asked.pool[a.paint]!.sheen!} size={40} />
              <span>
                {asked.pool[a.paint]!.name}{' '}
                <small className="muted">
                  {isCounted(a.ul, dropUl)
                    ? formatMl(a.ul)
                    : formatGrams(massMg(a.ul, asked.pool[a.paint]!.densityGPerMl))}
                </small>
              </span>
            </p>
          ))}
          <p>
            From ΔE00 {found.now.toFixed(1)} to {first.deltaE.toFixed(1)}: {differenceInWords(first.deltaE)}; {sure.how}
            . Add half, stir, look; then the rest by drops.
          </p>
          {along.length ? (
            <p>
              So that it pours as before, its carriers go in too:{' '}
              {along.map((b) => `${formatSmall(b.ul, dropUl)} ${b.name}`).join(', ')};{' '}
              {formatMl(first.addedUl + besidesUl(along))} more in all.
            </p>
          ) : null}
          {sure.next ? <p className="muted">{sure.next}</p> : null}
        </div>
      </section>
      {rest.length ? (
        <section className="panel">
          <h2>Or</h2>
          {rest.slice(0, 6).map((w) => (
            <div key={w.additions.map((a) => a.paint).join()} className="row">
              <WayPicture way={w} asked={asked} cup={cup} size={52} />
              <span className="grow">
                {w.additions.map((a) => `+${added(a, dropUl).join(' ')} ${asked.pool[a.paint]!.name}`).join(', ')}
              </span>
              <span className="muted">
                {formatMl(w.addedUl)} more, ΔE00 {w.deltaE.toFixed(1)}
              </span>
            </div>
          ))}
        </section>
      ) : null}
    </div>
  )
}

/** The target beside the cup with the addition in. */
function WayPicture({
  way,
  asked,
  cup,
  size,
}: {
  way: Mend
  asked: Asked
  cup: readonly { material: Material; ul: number }[]
  size: number
}) {
  // The cup as it looks counts as one paint of its own volume.
  const cupUl = cup.reduce((s, u) => s + u.ul, 0)
  const optics = [
    opticsOf({ optics: null, hex: asked.cupHex, strength: 'normal' }),
    ...way.additions.map((a) => opticsOf(asked.pool[a.paint]!)),
  ]
  const own =
    cup.length &&
    mixToHex(
      cup.map((u) => opticsOf(u.material)),
      cup.map((u) => u.ul),
    ) === asked.cupHex
  const hex = own
    ? mixToHex(
        [...cup.map((u) => opticsOf(u.material)), ...optics.slice(1)],
        [...cup.map((u) => u.ul), ...way.additions.map((a) => a.ul)],
      )!
    : mixToHex(optics, [cupUl, ...way.additions.map((a) => a.ul)])!
  return (
    <div
      className={size > 100 ? 'neutral' : undefined}
      style={size > 100 ? { display: 'grid', placeItems: 'center' } : undefined}
    >
      <SplitDisc left={asked.target.hex} right={hex} labels={['Target', 'the cup with it']} size={size} />
    </div>
  )
}
