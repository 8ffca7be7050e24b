'use client'

import { Button, Input, Modal } from 'antd'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { Role } from '@/core/paint/properties'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import type { Draft } from '../mixDraft'
import { saveRecipeAction } from './actions'

/** What is kept of a draft: all that was typed, but for the amounts. */
export const bodyOf = (draft: Draft, role: Role, technique: string) => ({
  paints: draft.paints.filter((p) => p.id),
  mediums: draft.mediums.filter((m) => m.id),
  ratio: draft.ratio,
  waterId: draft.waterId,
  waterParts: draft.waterParts,
  drops: draft.drops.filter((d) => d.id),
  steps: draft.steps.filter((s) => s.trim()),
  role,
  technique,
})

/** Keeps the recipe under a name, or as the next version of the one it was opened from. */
export function SaveRecipe({
  draft,
  role,
  technique,
  known,
}: {
  draft: Draft
  role: Role
  technique: string
  known?: { id: string; name: string; version: number } | undefined
}) {
  const [open, setOpen] = useState(false)
  const [name, setName] = useState(known?.name ?? '')
  const [note, setNote] = useState('')
  const [id, setId] = useState(() => known?.id ?? uuidv7())
  const { send, pending, refusal } = useSend<{ id: string; version: number }>()
  const save = () =>
    send(
      (requestId) => saveRecipeAction({ requestId, id, name, note, body: bodyOf(draft, role, technique) }),
      () => setOpen(false),
      'Recipe kept',
    )
  return (
    <>
      <Button size="large" onClick={() => setOpen(true)}>
        Keep the recipe
      </Button>
      <Modal
        title="Keep the recipe"
        open={open}
        onCancel={() => setOpen(false)}
        onOk={save}
        okText={known && id === known.id ? `Keep as version ${known.version + 1}` : 'Keep it'}
        confirmLoading={pending}
        destroyOnHidden
      >
        <label className="field">
          <span>Name of the recipe</span>
          <Input
            size="large"
            value={name}
            maxLength={120}
            onChange={(e) => {
              setName(e.target.value)
              if (known && id === known.id && e.target.value !== known.name) setId(uuidv7())
            }}
          />
        </label>
        <label className="field">
          <span>What is new in it</span>
          <Input value={note} maxLength={1000} onChange={(e) => setNote(e.target.value)} />
        </label>
        {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
      </Modal>
    </>
  )
}
