'use client'

import { useLive } from '@/ui/hooks/useLive'
import { useRefresh } from '@/ui/hooks/useRefresh'

/** Reads the screen anew when another device has changed the rack. */
export function Live() {
  useLive((topic) => topic === 'rack', useRefresh())
  return null
}
