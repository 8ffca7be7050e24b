'use client'

import { Button, Input, Select } from 'antd'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { ByProduct } from '@/core/piece/fates'
import type { KeptByProduct } from '@/db/pieces/finish'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { noteByProductAction, removeByProductAction } from '../actions'

const KIND_WORDS: Readonly<Record<ByProduct, string>> = { paper: 'a paper', 'small thing': 'a small thing' }

/** Papers that were laid on, and small things made of what ran off. */
export function ByProducts({
  pieceId,
  products,
  today,
}: {
  pieceId: string
  products: readonly KeptByProduct[]
  today: string
}) {
  const { send, pending, refusal } = useSend<null>()
  const [kind, setKind] = useState<ByProduct>('paper')
  const [words, setWords] = useState('')
  return (
    <section className="panel" aria-label="By-products">
      <h2>Made beside it</h2>
      {products.map((p) => (
        <p key={p.id} className="row spread close">
          <span>
            {p.words} <span className="muted">{p.madeOn}</span>
          </span>
          <button
            type="button"
            className="plain"
            onClick={() => send(() => removeByProductAction({ id: p.id }), undefined, 'Taken out')}
          >
            Take out
          </button>
        </p>
      ))}
      <div className="row wrap">
        <Select
          aria-label="What was made"
          value={kind}
          className="w150"
          onChange={setKind}
          options={Object.entries(KIND_WORDS).map(([value, label]) => ({ value, label }))}
        />
        <Input
          aria-label="In words"
          className="w280"
          value={words}
          maxLength={200}
          placeholder="like two keyring discs of the run-off"
          onChange={(e) => setWords(e.target.value)}
        />
        <Button
          loading={pending}
          onClick={() =>
            send(
              () => noteByProductAction({ id: uuidv7(), pieceId, kind, words, madeOn: today }),
              () => setWords(''),
              'Noted',
            )
          }
        >
          Note it
        </Button>
      </div>
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
    </section>
  )
}
