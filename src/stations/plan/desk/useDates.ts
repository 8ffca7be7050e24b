import { useMemo } from 'react'
import { scheduleAll, type Job, type Scheduled } from '@/core/schedule/backwards'
import type { DryingPlace, Room } from '@/db/room/read'
import { useKept } from '@/ui/hooks/useKept'
import { openingHours, placesOf } from '../openingHours'

/** Dates of this plan among all the others, worked out again when what they hang on has changed. */
export function useDates(
  job: Job | undefined,
  jobs: readonly Job[],
  places: readonly DryingPlace[],
  room: Room,
  zone: string,
  now: number,
): Scheduled | undefined {
  const mine = useKept(job)
  const isOpen = useMemo(() => openingHours(room, zone), [room, zone])
  return useMemo(() => {
    if (!mine) return undefined
    return scheduleAll([...jobs, mine], placesOf(places), now, isOpen).at(-1)
  }, [mine, jobs, places, now, isOpen])
}
