'use client'

import { Button } from 'antd'
import { useSend } from '@/ui/hooks/useSend'
import { archiveMaterialAction } from '../actions'

/** Puts a material away, or takes it out again. */
export function ArchiveButton({ id, archived }: { id: string; archived: boolean }) {
  const { send, pending } = useSend<null>()
  return (
    <Button
      loading={pending}
      onClick={() =>
        send(
          () => archiveMaterialAction({ id, archived: !archived }),
          undefined,
          archived ? 'Back in the drawer' : 'Put away',
        )
      }
    >
      {archived ? 'Take it out again' : 'Put it away'}
    </Button>
  )
}
