'use client'

import { Button, Input } from 'antd'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { perMl } from '@/core/purchase/cost'
import { offerCount, offerTotal, offerWords } from '@/core/purchase/offers'
import { offerRhythm, stockUntil } from '@/core/purchase/rhythm'
import { formatMl, volumeText } from '@/core/quantity/format'
import { formatMoney, parseMoneyMinor } from '@/core/quantity/money'
import { parseVolumeUl, type UnitSystem } from '@/core/quantity/parse'
import { day } from '@/ui/tables/dates'
import { Notice } from '@/ui/frame/Notice'
import { useAttempt } from '@/ui/hooks/useAttempt'
import { useSend } from '@/ui/hooks/useSend'
import { dropOfferAction, saveOfferAction } from './actions'
import { NO_OFFER, OfferTerms, readTerms } from './OfferTerms'
import { PriceHistory } from './PriceHistory'
import type { OfferRow } from '@/db/materials/prices'
import paintsStyles from '../paints.module.css'
import stockStyles from './stock.module.css'

interface Props {
  readonly materialId: string
  readonly offers: readonly OfferRow[]
  readonly onHandUl: number
  readonly usedUl: number
  readonly overDays: number
  readonly usualUl: number | null
  /** ISO time. */
  readonly now: string
  readonly currency: string
  readonly zone: string
  readonly units: UnitSystem
}

/** What one container costs under an offer, minor units. */
const each = (o: OfferRow) => {
  const n = offerCount(o.terms)
  return offerTotal(o.listMinor, n, o.terms) / n
}

/** Sizes and offers of a material over time: their price per ml, their rhythm, and how much to stock until the next. */
export function OfferPanel(props: Props) {
  const { offers, currency, zone, now } = props
  const at = new Date(now)
  const began = offers.filter((o) => o.terms.kind !== 'list').map((o) => new Date(`${o.startsOn}T00:00:00Z`))
  const rhythm = offerRhythm(began, at)
  const { send, refusal } = useSend<null>()
  const stock =
    rhythm && props.usualUl
      ? stockUntil(rhythm.nextAt, at, props.usedUl, props.overDays, props.onHandUl, props.usualUl)
      : undefined
  return (
    <section className="panel" aria-label="Prices">
      <h2>Sizes and offers</h2>
      {offers.length > 1 ? (
        <PriceHistory
          points={offers.map((o) => ({
            on: o.startsOn,
            perMl: perMl(each(o), o.sizeUl),
            offer: o.terms.kind !== 'list',
          }))}
          currency={currency}
        />
      ) : null}
      <p>
        {rhythm
          ? `An offer comes about every ${rhythm.everyDays} days; the next around ${day(rhythm.nextAt, zone)}.`
          : 'No rhythm of offers yet: three of them show one.'}{' '}
        {stock
          ? stock.containers > 0
            ? `At the pace of late you need ${formatMl(stock.needUl)} more until then: buy ${stock.containers}.`
            : 'What you have lasts until then.'
          : ''}
      </p>
      {offers.length ? (
        <table className="sheet apart">
          <thead>
            <tr>
              <th>From</th>
              <th>Until</th>
              <th>Where</th>
              <th className="num">Size</th>
              <th className="num">List</th>
              <th>Offer</th>
              <th className="num">Per ml</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {offers.map((o) => (
              <tr key={o.id}>
                <td>{o.startsOn}</td>
                <td>{o.endsOn ?? ''}</td>
                <td>{o.supplier}</td>
                <td className="num">{formatMl(o.sizeUl)}</td>
                <td className="num">{formatMoney(o.listMinor, currency)}</td>
                <td>{offerWords(o.terms)}</td>
                <td className="num">{formatMoney(perMl(each(o), o.sizeUl), currency, 3)}</td>
                <td className="num">
                  <Button
                    aria-label={`Take the price of ${o.startsOn} back`}
                    onClick={() => send(() => dropOfferAction({ id: o.id }))}
                  >
                    ×
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : null}
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
      <OfferForm {...props} />
    </section>
  )
}

function OfferForm({ materialId, usualUl, now, units }: Props) {
  const [size, setSize] = useState(volumeText(usualUl))
  const [list, setList] = useState('')
  const [terms, setTerms] = useState(NO_OFFER)
  const [supplier, setSupplier] = useState('')
  const [startsOn, setStartsOn] = useState(now.slice(0, 10))
  const [endsOn, setEndsOn] = useState('')
  const [id, setId] = useState(() => uuidv7())
  const { unreadable, attempt } = useAttempt()
  const { send, pending, refusal } = useSend<null>()
  const save = () => {
    attempt(() => {
      const offer = {
        id,
        materialId,
        supplier,
        sizeUl: parseVolumeUl(size, units),
        listMinor: parseMoneyMinor(list),
        terms: readTerms(terms),
        startsOn,
        endsOn: endsOn || null,
      }
      send(
        () => saveOfferAction(offer),
        () => {
          setId(uuidv7())
        },
        'Kept',
      )
    })
  }
  return (
    <fieldset className={paintsStyles.bare}>
      <legend>Add a size, price or offer</legend>
      <div className="row wrap">
        <Input
          aria-label="Size sold"
          placeholder="60 ml"
          value={size}
          className="w120"
          onChange={(e) => setSize(e.target.value)}
        />
        <Input
          aria-label="List price of one"
          placeholder="9.90"
          value={list}
          className="w120"
          onChange={(e) => setList(e.target.value)}
        />
        <OfferTerms terms={terms} onChange={setTerms} />
        <Input
          aria-label="Where it is sold"
          placeholder="where"
          value={supplier}
          className="w150"
          onChange={(e) => setSupplier(e.target.value)}
        />
        <label>
          from{' '}
          <input
            className={stockStyles.day}
            type="date"
            value={startsOn}
            onChange={(e) => setStartsOn(e.target.value)}
          />
        </label>
        <label>
          until{' '}
          <input className={stockStyles.day} type="date" value={endsOn} onChange={(e) => setEndsOn(e.target.value)} />
        </label>
        <Button onClick={save} loading={pending}>
          Keep it
        </Button>
      </div>
      {unreadable || refusal ? <Notice kind="warning">{unreadable ?? refusal?.message}</Notice> : null}
    </fieldset>
  )
}
