'use client'

import { Button, Input } from 'antd'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { FikaError } from '@/core/errors'
import { formatMl } from '@/core/quantity/format'
import { formatMoney, parseMoneyMinor } from '@/core/quantity/money'
import { parseVolumeUl, type UnitSystem } from '@/core/quantity/parse'
import { day } from '@/ui/dates'
import { Notice } from '@/ui/Notice'
import { useSend } from '@/ui/useSend'
import { archiveMaterialAction, buyContainerAction } from './actions'
import type { ContainerRow, MaterialRow } from './queries'

/** Bought containers of a paint or medium with what is left in each, and a way to book another. */
export function ContainerPanel({
  material,
  containers,
  currency,
  zone,
  units,
}: {
  material: MaterialRow
  containers: ContainerRow[]
  currency: string
  zone: string
  units: UnitSystem
}) {
  const router = useRouter()
  const { send, pending, refusal } = useSend<null>()
  const [label, setLabel] = useState(`container ${containers.length + 1}`)
  const [size, setSize] = useState(material.containerUl ? `${material.containerUl / 1000} ml` : '')
  const [price, setPrice] = useState(material.priceMinor === null ? '' : (material.priceMinor / 100).toFixed(2))
  const [unreadable, setUnreadable] = useState<string>()
  const [ids, setIds] = useState(() => ({ lotId: uuidv7(), vesselId: uuidv7() }))
  const buy = () => {
    setUnreadable(undefined)
    try {
      const input = {
        materialId: material.id,
        label,
        sizeUl: parseVolumeUl(size, units),
        priceMinor: price.trim() ? parseMoneyMinor(price) : null,
      }
      send(
        (requestId) => buyContainerAction({ ...input, ...ids, requestId }),
        () => {
          setIds({ lotId: uuidv7(), vesselId: uuidv7() })
          setLabel(`container ${containers.length + 2}`)
          router.refresh()
        },
        'Booked',
      )
    } catch (error) {
      if (!(error instanceof FikaError)) throw error
      setUnreadable(error.message)
    }
  }
  return (
    <section className="panel">
      <h2>Containers</h2>
      {containers.length === 0 ? (
        <p className="muted">
          None are counted: what is used comes from untracked supply at the price above. Book one to follow it to the
          last drop.
        </p>
      ) : (
        <table className="sheet" style={{ marginBottom: 16 }}>
          <thead>
            <tr>
              <th>Container</th>
              <th>Bought</th>
              <th className="num">Paid</th>
              <th className="num">Left</th>
            </tr>
          </thead>
          <tbody>
            {containers.map((c) => (
              <tr key={c.lotId}>
                <td>{c.label}</td>
                <td>{day(c.openedAt, zone)}</td>
                <td className="num">{c.priceMinor === null ? '' : formatMoney(c.priceMinor, currency)}</td>
                <td className="num">
                  {formatMl(c.leftUl)} of {formatMl(c.sizeUl)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <div className="row">
        <Input
          className="grow"
          aria-label="Label of the container"
          value={label}
          onChange={(e) => setLabel(e.target.value)}
        />
        <Input
          style={{ width: 110 }}
          aria-label="Size of the container"
          placeholder="60 ml"
          value={size}
          onChange={(e) => setSize(e.target.value)}
        />
        <Input
          style={{ width: 100 }}
          aria-label="Price of the container"
          placeholder="9.90"
          value={price}
          onChange={(e) => setPrice(e.target.value)}
        />
      </div>
      <Button onClick={buy} loading={pending}>
        Book a bought container
      </Button>
      {unreadable || refusal ? <Notice kind="warning">{unreadable ?? refusal?.message}</Notice> : null}
      <hr style={{ border: 0, borderTop: '1px solid var(--line)', margin: '18px 0 12px' }} />
      <Button
        onClick={() =>
          send(
            () => archiveMaterialAction({ id: material.id, archived: !material.archived }),
            () => router.refresh(),
            material.archived ? 'Back in the drawer' : 'Put away',
          )
        }
      >
        {material.archived ? 'Take it out again' : 'Put it away'}
      </Button>
    </section>
  )
}
