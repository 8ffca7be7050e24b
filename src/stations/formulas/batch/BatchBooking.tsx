'use client'

import { Button, Checkbox, Input, Select } from 'antd'
import { Link } from '@/ui/frame/Link'
import { useState } from 'react'
import type { ContainerAmounts } from '@/core/mix/batch'
import { Invalid } from '@/core/errors'
import { REST_HOURS } from '@/core/mix/schools'
import { formatMl } from '@/core/quantity/format'
import { numberIn } from '@/core/quantity/number'
import type { BatchState } from '@/db/formulas/batchSchema'
import type { BatchBottle } from '@/db/mixings/batch'
import { Notice } from '@/ui/frame/Notice'
import { useAttempt } from '@/ui/hooks/useAttempt'
import { useSend } from '@/ui/hooks/useSend'
import { bookBatchAction } from '../actions'

/** What a batch can be made with, and what became of it. */
export interface BatchSupply {
  readonly mediums: readonly { id: string; name: string }[]
  readonly waters: readonly { id: string; name: string }[]
  readonly bottles: readonly { id: string; label: string }[]
  readonly booked: readonly BatchBottle[]
  readonly usual: { readonly mediumId: string | undefined; readonly waterId: string | undefined }
}

const NOT_BOOKED = 'not booked'

/** Puts the containers of a batch on the rack: paints, medium, water and sample of each, all of them or none. */
export function BatchBooking({
  batchId,
  state,
  containers,
  unticked,
  supply,
}: {
  batchId: string
  state: BatchState
  containers: readonly ContainerAmounts[]
  /** How many steps are not ticked off yet. */
  unticked: number
  supply: BatchSupply
}) {
  const { mediums, waters, bottles, booked, usual } = supply
  const [mediumId, setMediumId] = useState(usual.mediumId)
  const [waterId, setWaterId] = useState(usual.waterId)
  const [sample, setSample] = useState(NOT_BOOKED)
  const [rest, setRest] = useState(String(REST_HOURS.usual))
  const [untracked, setUntracked] = useState(false)
  const { unreadable, attempt } = useAttempt()
  const { send, pending, refusal } = useSend<null>()
  const totalUl = containers.reduce((sum, c) => sum + c.totalUl, 0)
  const sampleUl = containers.reduce((sum, c) => sum + c.samplePaintUl + c.sampleMediumUl, 0)
  if (booked.length)
    return (
      <section className="panel after" aria-label="On the rack">
        <h2>On the rack</h2>
        <p className="flush">
          {booked.map((b, i) => (
            <span key={b.id}>
              {i ? ' · ' : ''}
              <Link href={`/rack/${b.id}`}>{b.label}</Link>, {formatMl(b.ul)}
            </span>
          ))}
        </p>
      </section>
    )
  const book = () =>
    attempt(() => {
      const restHours = numberIn(rest, 'Type the rest in hours, like 12.')
      if (state.medium > 0 && !mediumId) throw new Invalid('Choose the medium that carries it.')
      if (state.water > 0 && !waterId) throw new Invalid('Choose the water that thins it.')
      send(
        (requestId) =>
          bookBatchAction({
            requestId,
            batchId,
            mediumId: state.medium > 0 ? mediumId : null,
            waterId: state.water > 0 ? waterId : null,
            sampleFrom: sampleUl > 0 && sample !== NOT_BOOKED ? sample : null,
            restHours,
            untrackedForRest: untracked,
          }),
        undefined,
        'On the rack',
      )
    })
  return (
    <section className="panel after" aria-label="Book the containers">
      <h2>Put it on the rack</h2>
      <p>
        {formatMl(totalUl)} in {containers.length === 1 ? 'one bottle' : `${containers.length} bottles`}: paints,
        medium, water{sampleUl > 0 ? ' and the sample' : ''}, as on the card.
        {unticked > 0
          ? ` ${unticked === 1 ? 'One step is' : `${unticked} steps are`} not ticked off yet and would be booked as done.`
          : ''}
      </p>
      <div className="three">
        {state.medium > 0 ? (
          <label className="field">
            <span>Medium</span>
            <Select
              aria-label="Medium of the batch"
              showSearch
              optionFilterProp="label"
              className="wide"
              value={mediumId}
              onChange={setMediumId}
              options={mediums.map((m) => ({ value: m.id, label: m.name }))}
            />
          </label>
        ) : null}
        {state.water > 0 ? (
          <label className="field">
            <span>Water</span>
            <Select
              aria-label="Water of the batch"
              className="wide"
              value={waterId}
              onChange={setWaterId}
              options={waters.map((w) => ({ value: w.id, label: w.name }))}
            />
          </label>
        ) : null}
        {sampleUl > 0 ? (
          <label className="field">
            <span>The sample, {formatMl(sampleUl)}, came</span>
            <Select
              aria-label="Where the sample came from"
              showSearch
              optionFilterProp="label"
              className="wide"
              popupMatchSelectWidth={false}
              value={sample}
              onChange={setSample}
              options={[
                { value: NOT_BOOKED, label: 'from paint and medium, never booked' },
                ...bottles.map((b) => ({ value: b.id, label: `out of ${b.label}` })),
              ]}
            />
          </label>
        ) : null}
        <label className="field">
          <span>Rest, hours</span>
          <Input value={rest} inputMode="decimal" onChange={(e) => setRest(e.target.value)} />
        </label>
      </div>
      {unreadable || refusal ? <Notice kind="warning">{unreadable ?? refusal?.message}</Notice> : null}
      {refusal?.code === 'NotEnough' ? (
        <p>
          <Checkbox checked={untracked} onChange={(e) => setUntracked(e.target.checked)}>
            Book the rest from untracked supply
          </Checkbox>
        </p>
      ) : null}
      <Button size="large" type="primary" loading={pending} onClick={book}>
        {containers.length === 1 ? 'Book the bottle' : `Book ${containers.length} bottles`}
      </Button>
    </section>
  )
}
