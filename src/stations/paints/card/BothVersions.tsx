'use client'

import { Button } from 'antd'
import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import { currentMaterialAction } from '../actions'
import { differences, shownIn } from '@/exchange/table'
import type { MaterialInput } from '@/db/materials/schema'

/** Two people changed one paint: what the other saved beside what was typed here, to keep either. */
export function BothVersions({
  id,
  mine,
  onKeep,
}: {
  id: string
  mine: MaterialInput
  onKeep: (revision: number) => void
}) {
  const [theirs, setTheirs] = useState<{ revision: number; input: MaterialInput; by: string | null }>()
  const router = useRouter()
  useEffect(() => {
    let current = true
    void currentMaterialAction({ id }).then((a) => current && a.ok && setTheirs(a.value))
    return () => {
      current = false
    }
  }, [id])
  if (!theirs) return null
  return (
    <div className="between" data-testid="both-versions">
      <table className="sheet">
        <thead>
          <tr>
            <th>Differs in</th>
            <th>Yours, typed here</th>
            <th>{theirs.by ? `Saved by ${theirs.by}` : 'Saved meanwhile'}</th>
          </tr>
        </thead>
        <tbody>
          {differences(mine, theirs.input).map((c) => (
            <tr key={c}>
              <td>{c.replaceAll('_', ' ')}</td>
              <td>{shownIn(mine, c) || <i>empty</i>}</td>
              <td>{shownIn(theirs.input, c) || <i>empty</i>}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="tools after">
        <Button onClick={() => onKeep(theirs.revision)}>Keep mine</Button>
        <Button onClick={() => router.push(`/paints/${id}`)}>Take theirs</Button>
      </div>
    </div>
  )
}
