'use client'

import { Button } from 'antd'
import { Notice } from '@/ui/frame/Notice'
import { useAttempt } from '@/ui/hooks/useAttempt'
import { useSend } from '@/ui/hooks/useSend'
import { readBottleAction } from './actions'

/** What another measure than the mound was read as. */
interface Measured {
  readonly levelTimeS: number
  readonly how: 'flow cup' | 'run'
  readonly nu?: number
  readonly runMm?: number
}

/** Until mixes were read both ways a level time by another measure is this unsure, and after, σ of ln t. */
const BY_START_VALUE = 0.3
const BY_OWN_PAIRS = 0.1

/**
 * Keeps a reading by another measure than the mound, which becomes a level time by the mixes that were read both ways.
 * @param sigma of the measure itself, σ of its logarithm
 * @param pairs how many mixes were read both ways
 * @param read what is typed; throws Invalid where that is no reading
 */
export function useOtherReading(
  vesselId: string,
  sigma: number,
  pairs: number,
  read: () => Measured,
  clear: () => void,
) {
  const { unreadable, attempt } = useAttempt()
  const { send, pending, refusal } = useSend<null>()
  const keep = () =>
    attempt(() => {
      const reading = { ...read(), sigma: sigma + (pairs ? BY_OWN_PAIRS : BY_START_VALUE), tries: [] }
      send((requestId) => readBottleAction({ requestId, vesselId, ...reading }), clear, 'Reading kept')
    })
  return { keep, pending, trouble: unreadable ?? refusal?.message, pairs }
}

/** How such a reading is taken, what it is read by, and the button that keeps it. */
export function KeepOther({ of, children }: { of: ReturnType<typeof useOtherReading>; children: React.ReactNode }) {
  return (
    <>
      <p className="muted">
        {children}{' '}
        {of.pairs
          ? `Read as level time by ${of.pairs} mixes that were read both ways.`
          : 'Read as level time by a start value of Fika until mixes were read both ways.'}
      </p>
      <Button type="primary" size="large" loading={of.pending} onClick={of.keep}>
        Keep the reading
      </Button>
      {of.trouble ? <Notice kind="warning">{of.trouble}</Notice> : null}
    </>
  )
}
