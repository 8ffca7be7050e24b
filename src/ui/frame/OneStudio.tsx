'use client'

import { useOneStudio } from '@/ui/hooks/useOneStudio'

/** Says to the other tabs which studio is open; draws nothing. */
export function OneStudio({ id }: { id: string }) {
  useOneStudio(id)
  return null
}
