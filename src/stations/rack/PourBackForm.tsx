'use client'

import { Button, Select } from 'antd'
import { useState } from 'react'
import { formatMl } from '@/core/quantity/format'
import { parseVolumeUl, type UnitSystem } from '@/core/quantity/parse'
import type { MayGoBack } from '@/db/mixes'
import { Notice } from '@/ui/frame/Notice'
import { QuantityInput } from '@/ui/forms/QuantityInput'
import { useAttempt } from '@/ui/hooks/useAttempt'
import { useSend } from '@/ui/hooks/useSend'
import { dayAndTime } from '@/ui/tables/dates'
import { pourBackAction } from './actions'

/** Pours what was taken out or poured, and not used, back into its bottle. */
export function PourBackForm({
  vesselId,
  goBack,
  units,
  zone,
}: {
  vesselId: string
  goBack: readonly MayGoBack[]
  units: UnitSystem
  zone: string
}) {
  const [chosen, setChosen] = useState<string>()
  const [amount, setAmount] = useState('')
  const { unreadable, attempt } = useAttempt()
  const { send, pending, refusal } = useSend<null>()
  // What was chosen may have gone back altogether since.
  const from = goBack.find((g) => g.movementId === chosen) ?? goBack[0]!
  const book = () =>
    attempt(() => {
      const ul = parseVolumeUl(amount, units)
      send(
        (requestId) => pourBackAction({ requestId, vesselId, movementId: from.movementId, ul }),
        () => {
          setAmount('')
        },
        'Poured back',
      )
    })
  return (
    <>
      <h3 className="below">Pour back what was not used</h3>
      <label className="field">
        <span>It was</span>
        <Select
          aria-label="What it was taken for"
          value={from.movementId}
          onChange={setChosen}
          className="wide"
          popupMatchSelectWidth={false}
          options={goBack.map((g) => ({
            value: g.movementId,
            label: `${formatMl(g.leftUl)} ${g.kind === 'pour' ? 'poured' : 'taken out'}${g.what ? `, ${g.what}` : ''}, ${dayAndTime(g.at, zone)}`,
          }))}
        />
      </label>
      <label className="field">
        <span>How much goes back</span>
        <QuantityInput label="How much goes back" value={amount} onChange={setAmount} system={units} size="large" />
      </label>
      {unreadable || refusal ? <Notice kind="warning">{unreadable ?? refusal?.message}</Notice> : null}
      <Button size="large" onClick={book} loading={pending}>
        Pour back
      </Button>
    </>
  )
}
