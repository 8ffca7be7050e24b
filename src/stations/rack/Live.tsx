'use client'

import { useRouter } from 'next/navigation'
import { useLive } from '@/ui/hooks/useLive'

/** Reads the screen anew when another device has changed the rack. */
export function Live() {
  const router = useRouter()
  useLive(
    (topic) => topic === 'rack',
    () => router.refresh(),
  )
  return null
}
