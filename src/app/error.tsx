'use client'

import { Trouble } from '@/ui/frame/Trouble'

export default function PageTrouble({ error, reset }: { error: Error & { digest?: string }; reset: () => void }) {
  return <Trouble number={error.digest} again={reset} />
}
