'use client'

import { Button, Input } from 'antd'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { Invalid } from '@/core/errors'
import { offerTotal } from '@/core/purchase/offers'
import { volumeText } from '@/core/quantity/format'
import { formatMoney, parseMoneyMinor } from '@/core/quantity/money'
import { parseNumber } from '@/core/quantity/number'
import { parseVolumeUl, type UnitSystem } from '@/core/quantity/parse'
import { Notice } from '@/ui/frame/Notice'
import { useAttempt } from '@/ui/hooks/useAttempt'
import { useSend } from '@/ui/hooks/useSend'
import { buyContainersAction } from './actions'
import { NO_OFFER, OfferTerms, readTerms } from './OfferTerms'
import styles from '../paints.module.css'

export interface BoughtMaterial {
  readonly id: string
  readonly name: string
  readonly containerUl: number | null
  readonly priceMinor: number | null
}

/** Books bought containers of one material, at list price or under an offer, with the price really paid. */
export function BuyForm({
  material,
  owned,
  currency,
  units,
}: {
  material: BoughtMaterial
  owned: number
  currency: string
  units: UnitSystem
}) {
  const [count, setCount] = useState('1')
  const [size, setSize] = useState(volumeText(material.containerUl))
  const [price, setPrice] = useState(material.priceMinor === null ? '' : (material.priceMinor / 100).toFixed(2))
  const [terms, setTerms] = useState(NO_OFFER)
  const { unreadable, attempt } = useAttempt()
  const [ids, setIds] = useState(() => Array.from({ length: 200 }, () => [uuidv7(), uuidv7()] as const))
  const { send, pending, refusal } = useSend<null>()

  const read = () => {
    const n = parseNumber(count)
    if (!n || !Number.isInteger(n) || n < 1 || n > ids.length)
      throw new Invalid('Type how many were bought, from 1 to 200.')
    const each = price.trim() ? parseMoneyMinor(price) : null
    return {
      n,
      sizeUl: parseVolumeUl(size, units),
      totalMinor: each === null ? null : offerTotal(each, n, readTerms(terms)),
    }
  }
  let total: number | null = null
  try {
    total = read().totalMinor
  } catch {
    // Said when it is booked.
  }
  const buy = () => {
    attempt(() => {
      const { n, sizeUl, totalMinor } = read()
      const containers = ids.slice(0, n).map(([lotId, vesselId], i) => ({
        materialId: material.id,
        lotId,
        vesselId,
        label: `container ${owned + i + 1}`,
        sizeUl,
        worth: 1,
      }))
      send(
        (requestId) => buyContainersAction({ requestId, totalMinor, containers, note: '' }),
        () => {
          setIds(Array.from({ length: 200 }, () => [uuidv7(), uuidv7()] as const))
        },
        'Booked',
      )
    })
  }
  return (
    <fieldset className={styles.bare}>
      <legend>Bought</legend>
      <div className="row wrap">
        <Input
          aria-label="How many"
          value={count}
          inputMode="numeric"
          className="w70"
          onChange={(e) => setCount(e.target.value)}
        />
        <span>of</span>
        <Input
          aria-label="Size of the container"
          placeholder="60 ml"
          value={size}
          className="w120"
          onChange={(e) => setSize(e.target.value)}
        />
        <span>at</span>
        <Input
          aria-label="Price of the container"
          placeholder="9.90 each"
          value={price}
          className="w120"
          onChange={(e) => setPrice(e.target.value)}
        />
        <OfferTerms terms={terms} onChange={setTerms} />
        <Button type="primary" onClick={buy} loading={pending}>
          Book a bought container
        </Button>
        {total === null ? null : <b>{formatMoney(total, currency)} in all</b>}
      </div>
      {unreadable || refusal ? <Notice kind="warning">{unreadable ?? refusal?.message}</Notice> : null}
    </fieldset>
  )
}
