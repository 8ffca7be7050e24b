import { useDeferredValue, useMemo } from 'react'
import { scheduleAll, type Job, type Scheduled } from '@/core/schedule/backwards'
import type { DryingPlace, Room } from '@/db/room/read'
import { openingHours, placesOf } from '../openingHours'

/** Dates of this plan among all the others; a little behind what is typed, so that typing never waits for them. */
export function useDates(
  job: Job | undefined,
  jobs: readonly Job[],
  places: readonly DryingPlace[],
  room: Room,
  zone: string,
  now: number,
): Scheduled | undefined {
  const text = useDeferredValue(job ? JSON.stringify(job) : '')
  const isOpen = useMemo(() => openingHours(room, zone), [room, zone])
  return useMemo(() => {
    if (!text) return undefined
    const mine = JSON.parse(text) as Job
    return scheduleAll([...jobs, mine], placesOf(places), now, isOpen).at(-1)
  }, [text, jobs, places, now, isOpen])
}
