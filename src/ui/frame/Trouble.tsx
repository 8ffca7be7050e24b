'use client'

import { Button } from 'antd'
import { EmptyState } from './Notice'

/** A page that could not be shown: what to do, and the number under which the log has it. */
export function Trouble({ number, again }: { number?: string | undefined; again: () => void }) {
  return (
    <main>
      <EmptyState title="This page could not be shown">
        Nothing was changed. Wait a moment, then try again; if it happens once more, restart Fika.
        <br />
        <Button size="large" className="under" onClick={again}>
          Try again
        </Button>
        {number ? <p className="muted">Error {number}</p> : null}
      </EmptyState>
    </main>
  )
}
