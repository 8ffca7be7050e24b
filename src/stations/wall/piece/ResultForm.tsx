'use client'

import { Button, Form, Input, Select } from 'antd'
import { CHOSEN_FATES, FATE_WORDS, WAYS_UP, type ChosenFate } from '@/core/piece/fates'
import { parseMoneyMinor } from '@/core/quantity/money'
import { readTyped } from '@/core/quantity/typed'
import type { Piece } from '@/db/pieces/read'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { notePieceAction } from '../actions'

interface Fields {
  title: string
  nextTime: string
  up: number
  fate: ChosenFate
  fateOn: string
  price: string
  fateTo: string
  fateReason: string
}

/** A fate that is final asks when, and to whom it went or why. */
const LEFT: readonly ChosenFate[] = ['sold', 'gift', 'scrap', 'lost']
const UP_WORDS: Readonly<Record<number, string>> = {
  0: 'as it was poured',
  90: 'turned right',
  180: 'upside down',
  270: 'turned left',
}

/** Title, next time, which way up, and what becomes of it. */
export function ResultForm({ piece, currency }: { piece: Piece; currency: string }) {
  const { send, pending, refusal } = useSend<null>()
  const [form] = Form.useForm<Fields>()
  const fate = Form.useWatch('fate', form) ?? (piece.fate as ChosenFate)
  const save = (f: Fields) =>
    send(
      () =>
        notePieceAction({
          id: piece.id,
          revision: piece.revision,
          title: f.title,
          nextTime: f.nextTime,
          up: f.up,
          fate: f.fate,
          fateOn: f.fateOn || null,
          priceMinor: f.price?.trim() ? parseMoneyMinor(f.price) : null,
          fateTo: f.fateTo,
          fateReason: f.fateReason,
        }),
      undefined,
      'Noted',
    )
  return (
    <Form<Fields>
      key={piece.revision}
      form={form}
      layout="vertical"
      onFinish={save}
      requiredMark={false}
      disabled={piece.fate === 'undone'}
      initialValues={{
        title: piece.title,
        nextTime: piece.nextTime,
        up: piece.up,
        fate: piece.fate,
        fateOn: piece.fateOn ?? '',
        price: piece.priceMinor === null ? '' : (piece.priceMinor / 100).toFixed(2),
        fateTo: piece.fateTo,
        fateReason: piece.fateReason,
      }}
    >
      <Form.Item name="title" label="Title" rules={[{ required: true, message: 'Give the piece a title.' }]}>
        <Input maxLength={120} />
      </Form.Item>
      <Form.Item name="nextTime" label="Next time">
        <Input maxLength={400} placeholder="one sentence; the next plan of its kind shows it" />
      </Form.Item>
      <div className="two columns gap">
        <Form.Item name="up" label="Which way up">
          <Select options={WAYS_UP.map((v) => ({ value: v, label: UP_WORDS[v] }))} />
        </Form.Item>
        <Form.Item name="fate" label="What becomes of it">
          <Select options={CHOSEN_FATES.map((f) => ({ value: f, label: FATE_WORDS[f] }))} />
        </Form.Item>
      </div>
      {fate !== 'drying' && fate !== 'keep' ? (
        <div className="two columns gap">
          {fate === 'sell' || fate === 'sold' ? (
            <Form.Item
              name="price"
              label={fate === 'sell' ? `Price asked, ${currency}` : `Price paid, ${currency}`}
              rules={[
                {
                  validator: (_, v: string) => {
                    if (!v?.trim()) return Promise.resolve()
                    const read = readTyped(() => parseMoneyMinor(v))
                    return read.sentence === undefined ? Promise.resolve() : Promise.reject(new Error(read.sentence))
                  },
                },
              ]}
            >
              <Input inputMode="decimal" />
            </Form.Item>
          ) : null}
          {LEFT.includes(fate) ? (
            <Form.Item name="fateOn" label="When">
              <Input type="date" />
            </Form.Item>
          ) : null}
          {fate === 'sold' || fate === 'gift' ? (
            <Form.Item name="fateTo" label="To whom">
              <Input maxLength={120} placeholder="a word you will know again" />
            </Form.Item>
          ) : null}
          {fate === 'sold' || fate === 'gift' || fate === 'sell' ? null : (
            <Form.Item name="fateReason" label="Why">
              <Input maxLength={400} />
            </Form.Item>
          )}
        </div>
      ) : null}
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
      <Button type="primary" size="large" htmlType="submit" loading={pending}>
        Note it
      </Button>
    </Form>
  )
}
