import type { Metadata } from 'next'
import { studioFacts } from '@/db/people/studio'
import { cupSizes, dryingPlaces, roomFacts } from '@/db/room/read'
import { inStudio } from '@/session/current'
import { RoomSheet } from '@/stations/plan/room/RoomSheet'

export const metadata: Metadata = { title: 'Room' }

export default async function RoomPage() {
  const { cups, places, room, units } = await inStudio(async (tx) => ({
    cups: await cupSizes(tx),
    places: await dryingPlaces(tx),
    room: await roomFacts(tx),
    units: (await studioFacts(tx)).units,
  }))
  return <RoomSheet cups={cups} places={places} room={room} units={units} />
}
