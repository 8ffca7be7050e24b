import { redirect } from 'next/navigation'
import { sessionOrDoor } from '@/session/current'

export default async function Home() {
  await sessionOrDoor()
  redirect('/rack')
}
