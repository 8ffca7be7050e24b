import type { Metadata } from 'next'
import { listDroppers } from '@/db/people/droppers'
import { studioFacts } from '@/db/people/studio'
import { cupSizes, dryingPlaces, roomFacts } from '@/db/room/read'
import { inStudio } from '@/session/current'
import { Droppers } from '@/stations/studio/Droppers'
import { RoomSheet } from '@/stations/studio/room/RoomSheet'

export const metadata: Metadata = { title: 'Room' }

export default async function RoomPage() {
  const { cups, places, room, units, droppers } = await inStudio(async (tx) => ({
    cups: await cupSizes(tx),
    places: await dryingPlaces(tx),
    room: await roomFacts(tx),
    units: (await studioFacts(tx)).units,
    droppers: await listDroppers(tx),
  }))
  return (
    <RoomSheet cups={cups} places={places} room={room} units={units}>
      <Droppers droppers={droppers} units={units} />
    </RoomSheet>
  )
}
