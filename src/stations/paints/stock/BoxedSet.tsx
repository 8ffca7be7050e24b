'use client'

import { Button, Input, Select } from 'antd'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { Invalid } from '@/core/errors'
import { splitPrice } from '@/core/purchase/offers'
import { formatMoney, parseMoneyMinor } from '@/core/quantity/money'
import { parseVolumeUl, type UnitSystem } from '@/core/quantity/parse'
import { Notice } from '@/ui/frame/Notice'
import { useAttempt } from '@/ui/hooks/useAttempt'
import { useSend } from '@/ui/hooks/useSend'
import { buyContainersAction } from './actions'
import type { PricedPaint } from '@/db/materials/prices'

/** A boxed set: one purchase that opens into many containers, its price split by what each is worth. */
export function BoxedSet({
  paints,
  currency,
  units,
}: {
  paints: readonly PricedPaint[]
  currency: string
  units: UnitSystem
}) {
  const [chosen, setChosen] = useState<string[]>([])
  const [size, setSize] = useState('')
  const [price, setPrice] = useState('')
  const { unreadable, attempt } = useAttempt()
  const [ids, setIds] = useState(() => Array.from({ length: 100 }, () => [uuidv7(), uuidv7()] as const))
  const { send, pending, refusal } = useSend<null>()
  const set = chosen.map((id) => paints.find((p) => p.id === id)!)
  const sizeOf = (p: PricedPaint) => (size.trim() ? parseVolumeUl(size, units) : p.sizeUl)
  /** List price of as much as the set holds; the volume where no price is known. */
  const worths = () => {
    const all = set.map((p) =>
      p.priceMinor !== null && p.sizeUl ? (p.priceMinor * (sizeOf(p) ?? 0)) / p.sizeUl : null,
    )
    return all.every((w) => w !== null) ? all : set.map((p) => sizeOf(p) ?? 1)
  }
  const read = () => {
    if (set.length === 0) throw new Invalid('Choose the paints of the set.')
    const totalMinor = parseMoneyMinor(price)
    const worth = worths()
    const containers = set.map((p, i) => {
      const sizeUl = sizeOf(p)
      if (!sizeUl) throw new Invalid(`${p.name} has no size yet. Type the size of the tubes in the box.`)
      return {
        materialId: p.id,
        lotId: ids[i]![0],
        vesselId: ids[i]![1],
        label: 'from a boxed set',
        sizeUl,
        worth: worth[i]!,
      }
    })
    return { totalMinor, containers, note: 'boxed set' }
  }
  let split: number[] | undefined
  try {
    const { totalMinor, containers } = read()
    split = splitPrice(
      totalMinor,
      containers.map((c) => c.worth),
    )
  } catch {
    // Said when it is booked.
  }
  const buy = () => {
    attempt(() => {
      const purchase = read()
      send(
        (requestId) => buyContainersAction({ ...purchase, requestId }),
        () => {
          setIds(Array.from({ length: 100 }, () => [uuidv7(), uuidv7()] as const))
          setChosen([])
        },
        'The set is booked',
      )
    })
  }
  return (
    <section className="panel" aria-label="Boxed set">
      <h2>Book a boxed set</h2>
      <div className="row wrap">
        <Select
          mode="multiple"
          className="grow min260"
          aria-label="Paints of the set"
          placeholder="paints in the box"
          value={chosen}
          onChange={setChosen}
          maxCount={100}
          optionFilterProp="label"
          options={paints.map((p) => ({ value: p.id, label: `${p.name} · ${p.maker}` }))}
        />
        <Input
          aria-label="Size of each"
          placeholder="20 ml each"
          value={size}
          className="w120"
          onChange={(e) => setSize(e.target.value)}
        />
        <Input
          aria-label="Price of the set"
          placeholder="24.90"
          value={price}
          className="w120"
          onChange={(e) => setPrice(e.target.value)}
        />
        <Button onClick={buy} loading={pending}>
          Book the set
        </Button>
      </div>
      {split ? (
        <p className="muted">{set.map((p, i) => `${p.name} ${formatMoney(split[i]!, currency)}`).join(', ')}</p>
      ) : null}
      {unreadable || refusal ? <Notice kind="warning">{unreadable ?? refusal?.message}</Notice> : null}
    </section>
  )
}
