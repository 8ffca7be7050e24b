'use client'

import { Input, Select } from 'antd'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { REST_HOURS } from '@/core/mix/schools'
import { ROLES, type Role } from '@/core/paint/properties'
import { formatMl } from '@/core/quantity/format'
import type { UnitSystem } from '@/core/quantity/parse'
import type { StepProps } from './stepProps'
import { StepKey } from './StepKey'
import { readDetails, sendToBottle } from './toBottle'

/** The name on the bottle, how large it is, what it weighs empty; then it is booked and rests. */
export function LabelStep({ plan, state, units, say, mixingId }: StepProps & { mixingId: string }) {
  return (
    <BottleForm
      mixingId={mixingId}
      totalUl={state.totalUl}
      label={plan.label}
      role={plan.role}
      units={units}
      say={say}
    />
  )
}

/** Into which bottle a mix goes, by the one key. */
export function BottleForm({
  mixingId,
  totalUl,
  label: first,
  role: firstRole,
  units,
  say,
}: {
  mixingId: string
  totalUl: number
  label: string
  role: Role
  units: UnitSystem
  say: (trouble: string | undefined) => void
}) {
  const [typed, setTyped] = useState({
    label: first,
    capacity: '',
    tare: '',
    palette: '',
    rest: String(REST_HOURS.usual),
  })
  const [role, setRole] = useState(firstRole)
  const [busy, setBusy] = useState(false)
  const [findRest, setFindRest] = useState(false)
  const router = useRouter()
  const set = (part: Partial<typeof typed>) => setTyped((t) => ({ ...t, ...part }))
  const book = async () => {
    if (busy) return
    say(undefined)
    const details = readDetails({ ...typed, role, findRest }, units)
    if ('trouble' in details) return say(details.trouble)
    setBusy(true)
    const said = await sendToBottle(mixingId, details)
    if (said.ok) router.push(`/rack/${said.value.id}`)
    else {
      say(said.message)
      setFindRest(said.code === 'NotEnough')
      setBusy(false)
    }
  }
  return (
    <>
      <StepKey
        label={busy ? 'Booking…' : findRest ? 'Book it as poured' : 'Book the bottle'}
        next={() => void book()}
      />
      <h2 className="guide-title">Fill {formatMl(totalUl)} into a bottle</h2>
      <div className="guide-form">
        <label className="field">
          <span>Name of the bottle</span>
          <Input size="large" value={typed.label} maxLength={120} onChange={(e) => set({ label: e.target.value })} />
        </label>
        <label className="field">
          <span>Role</span>
          <Select<Role>
            size="large"
            aria-label="Role"
            value={role}
            onChange={setRole}
            style={{ width: '100%' }}
            options={ROLES.map((r) => ({ value: r, label: r }))}
          />
        </label>
        <label className="field">
          <span>Bottle holds</span>
          <Input
            size="large"
            value={typed.capacity}
            placeholder="not given"
            onChange={(e) => set({ capacity: e.target.value })}
          />
        </label>
        <label className="field">
          <span>Empty bottle weighs</span>
          <Input
            size="large"
            value={typed.tare}
            placeholder="28 g, if known"
            onChange={(e) => set({ tare: e.target.value })}
          />
        </label>
        <label className="field">
          <span>Palette</span>
          <Input
            size="large"
            value={typed.palette}
            maxLength={80}
            placeholder="none"
            onChange={(e) => set({ palette: e.target.value })}
          />
        </label>
        <label className="field">
          <span>Rest, hours</span>
          <Input size="large" value={typed.rest} inputMode="decimal" onChange={(e) => set({ rest: e.target.value })} />
        </label>
      </div>
      <p className="guide-say">
        Rest overnight; two hours are the bare minimum. The label is printed from the bottle’s page.
      </p>
    </>
  )
}
