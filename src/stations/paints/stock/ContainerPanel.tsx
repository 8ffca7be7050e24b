'use client'

import { useAttempt } from '@/ui/hooks/useAttempt'
import { Button, Input } from 'antd'
import { useState } from 'react'
import { formatMl } from '@/core/quantity/format'
import { formatMoney } from '@/core/quantity/money'
import { parseMassMg, parseVolumeUl, type UnitSystem } from '@/core/quantity/parse'
import { day } from '@/ui/tables/dates'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { flagLotAction } from '@/server/flagLotAction'
import { finishContainerAction, reopenContainerAction, unsealContainerAction, weighContainerAction } from './actions'
import { BuyForm, type BoughtMaterial } from './BuyForm'
import type { ContainerRow } from '@/db/materials/prices'

interface Props {
  readonly material: BoughtMaterial
  readonly containers: readonly ContainerRow[]
  readonly currency: string
  readonly zone: string
  readonly units: UnitSystem
}

/** Bought containers of a material with what is left in each: buy, open, weigh, finish. */
export function ContainerPanel({ material, containers, currency, zone, units }: Props) {
  const [weighing, setWeighing] = useState<string>()
  return (
    <section className="panel" aria-label="Containers">
      <h2>Containers</h2>
      {containers.length === 0 ? (
        <p className="muted">
          None are counted: what is used comes from untracked supply at the list price. Book one to follow it to the
          last drop.
        </p>
      ) : (
        <table className="sheet apart">
          <thead>
            <tr>
              <th>Container</th>
              <th>Bought</th>
              <th className="num">Paid</th>
              <th className="num">Left</th>
              <th>State</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {containers.map((c) => (
              <tr key={c.lotId}>
                <td>{c.label}</td>
                <td>{day(c.boughtAt, zone)}</td>
                <td className="num">{c.priceMinor === null ? '' : formatMoney(c.priceMinor, currency)}</td>
                <td className="num">
                  {formatMl(c.leftUl)} of {formatMl(c.sizeUl)}
                </td>
                <td>
                  {c.finishedAt
                    ? `finished, ${formatMl(c.leftUl)} sticks in it`
                    : c.unsealedAt
                      ? `opened ${day(c.unsealedAt, zone)}`
                      : c.leftUl < c.sizeUl
                        ? 'in use'
                        : 'sealed'}
                  <LotFlag lotId={c.lotId} flag={c.flag} />
                </td>
                <td>
                  <ContainerButtons
                    container={c}
                    weighing={weighing === c.lotId}
                    onWeigh={() => setWeighing(weighing === c.lotId ? undefined : c.lotId)}
                    units={units}
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <BuyForm material={material} owned={containers.length} currency={currency} units={units} />
    </section>
  )
}

/** What is wrong with a container, typed in place: it is said of every mix that takes from it. */
function LotFlag({ lotId, flag }: { lotId: string; flag: string }) {
  const { send, pending, refusal } = useSend<null>()
  const [typed, setTyped] = useState<string>()
  const keep = () =>
    send(
      () => flagLotAction({ lotId, flag: typed ?? '' }),
      () => setTyped(undefined),
      'Noted',
    )
  if (typed === undefined)
    return (
      <span className="block">
        {flag ? <b>Bad: {flag} </b> : null}
        <button type="button" className="plain" onClick={() => setTyped(flag)}>
          {flag ? 'Change' : 'Flag as bad'}
        </button>
      </span>
    )
  return (
    <span className="block">
      <Input
        autoFocus
        aria-label="What is wrong with this container"
        placeholder="lumps, craters; empty: it is sound"
        value={typed}
        maxLength={400}
        onChange={(e) => setTyped(e.target.value)}
        onPressEnter={keep}
      />
      <Button onClick={keep} loading={pending}>
        Keep
      </Button>
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
    </span>
  )
}

function ContainerButtons({
  container: c,
  weighing,
  onWeigh,
  units,
}: {
  container: ContainerRow
  weighing: boolean
  onWeigh: () => void
  units: UnitSystem
}) {
  const { send, pending, refusal } = useSend<null>()
  const [gross, setGross] = useState('')
  const [tare, setTare] = useState('')
  const [residue, setResidue] = useState('0 ml')
  const { unreadable, attempt, clear } = useAttempt()
  const done = () => clear()
  const weigh = (lost: 'used' | 'spilled') =>
    attempt(() => {
      const input = { vesselId: c.vesselId, grossMg: parseMassMg(gross, units), tareMg: parseMassMg(tare, units), lost }
      send((requestId) => weighContainerAction({ ...input, requestId }), done, 'Weighed in')
    })
  const finish = () =>
    attempt(() => {
      const residueUl = residue.trim() === '0' ? 0 : parseVolumeUl(residue, units)
      send((requestId) => finishContainerAction({ vesselId: c.vesselId, residueUl, requestId }), done, 'Finished')
    })
  if (c.finishedAt)
    return (
      <Button onClick={() => send(() => reopenContainerAction({ lotId: c.lotId }), done)}>Take into use again</Button>
    )
  return (
    <>
      <span className="row flush ends">
        {c.unsealedAt || c.leftUl < c.sizeUl ? null : (
          <Button onClick={() => send(() => unsealContainerAction({ lotId: c.lotId }), done, 'Opened today')}>
            Open
          </Button>
        )}
        <Button onClick={onWeigh}>Weigh or finish</Button>
      </span>
      {weighing ? (
        <div className="near">
          <div className="row">
            <Input
              aria-label={`Weight of ${c.label} with paint`}
              placeholder="on the scale, g"
              value={gross}
              onChange={(e) => setGross(e.target.value)}
            />
            <Input
              aria-label={`Weight of ${c.label} empty`}
              placeholder="empty, g"
              value={tare}
              onChange={(e) => setTare(e.target.value)}
            />
            <Button loading={pending} onClick={() => weigh('used')}>
              The rest was used
            </Button>
            <Button loading={pending} onClick={() => weigh('spilled')}>
              The rest was lost
            </Button>
          </div>
          <div className="row">
            <Input
              aria-label={`Residue in ${c.label}`}
              placeholder="residue"
              value={residue}
              className="w120"
              onChange={(e) => setResidue(e.target.value)}
            />
            <span className="muted">
              sticks in it. Cutting a tube open: blade away from the hand, on a board, a cut-proof glove on.
            </span>
            <Button loading={pending} onClick={finish}>
              Finish it
            </Button>
          </div>
          {unreadable || refusal ? <Notice kind="warning">{unreadable ?? refusal?.message}</Notice> : null}
        </div>
      ) : null}
    </>
  )
}
