'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { Role } from '@/core/paint/properties'
import { formatMl } from '@/core/quantity/format'
import type { UnitSystem } from '@/core/quantity/parse'
import type { StepProps } from './stepProps'
import { StepKey } from '@/ui/hand/StepKey'
import { readBottle, untypedBottle } from '../bottleDraft'
import { BottleFields } from '../BottleFields'
import { sendToBottle } from './toBottle'
import guideStyles from './guide.module.css'
import benchStyles from '../bench.module.css'

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
  const [typed, setTyped] = useState(() => untypedBottle(first, firstRole))
  const [busy, setBusy] = useState(false)
  const [findRest, setFindRest] = useState(false)
  const router = useRouter()
  const book = async () => {
    if (busy) return
    say(undefined)
    const details = readBottle(typed, units)
    if (!details.value) return say(details.sentence)
    setBusy(true)
    const said = await sendToBottle(mixingId, { ...details.value, findRest })
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
      <h2 className={guideStyles.guideTitle}>Fill {formatMl(totalUl)} into a bottle</h2>
      <div className={guideStyles.guideForm}>
        <BottleFields typed={typed} onChange={(part) => setTyped((t) => ({ ...t, ...part }))} size="large" />
      </div>
      <p className={benchStyles.guideSay}>
        Rest overnight; two hours are the bare minimum. The label is printed from the bottle’s page.
      </p>
    </>
  )
}
