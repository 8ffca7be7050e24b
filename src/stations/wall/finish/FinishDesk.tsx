'use client'

import { Button, Checkbox, Form, Input, InputNumber, Segmented } from 'antd'
import { Link } from '@/ui/frame/Link'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { SafeToFinish } from '@/core/piece/safeToFinish'
import { FINISH_COATS, type FinishCoat } from '@/core/plan/finish'
import { formatMoney, parseMoneyMinor } from '@/core/quantity/money'
import { readTyped } from '@/core/quantity/typed'
import { CLEAN_FIRST } from '@/core/vessel/additives'
import type { KeptCoat } from '@/db/pieces/finish'
import type { Piece } from '@/db/pieces/read'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { dayOn, shortDay } from '@/ui/tables/dates'
import { noteCoatAction, removeCoatAction } from '../actions'
import { WaitLine } from './WaitLine'

interface Fields {
  product: string
  lots: string
  coats: number
  doneOn: string
  cleanedSilicone: boolean
  allTheSame: boolean
  cost: string
  words: string
}

const CAUTIONS: Readonly<Record<FinishCoat, string>> = {
  varnish: 'Varnish from a can is sprayed outside or with extraction, away from flames, with the mask its label names.',
  resin:
    'Resin by its data sheet: gloves, fresh air, no skin contact, no flame beside it; what is left over cures before it is thrown away.',
}

/** When a finish is safe and why, and the coats that were put on. */
export function FinishDesk({
  piece,
  when,
  coats,
  isVessel,
  zone,
  currency,
  now,
}: {
  piece: Piece
  when: Readonly<Record<FinishCoat, SafeToFinish>>
  coats: readonly KeptCoat[]
  /** Somebody may eat or drink from it. */
  isVessel: boolean
  zone: string
  currency: string
  /** ms since 1970. */
  now: number
}) {
  const [kind, setKind] = useState<FinishCoat>('varnish')
  const { send, pending, refusal } = useSend<null>()
  const [form] = Form.useForm<Fields>()
  const safe = when[kind]
  const isSafe = safe.from <= now
  const save = (f: Fields) =>
    send(
      () =>
        noteCoatAction({
          id: uuidv7(),
          pieceId: piece.id,
          kind,
          product: f.product,
          lots: f.lots,
          coats: f.coats,
          doneOn: f.doneOn,
          cleanedSilicone: f.cleanedSilicone,
          allTheSame: f.allTheSame,
          costMinor: f.cost?.trim() ? parseMoneyMinor(f.cost) : 0,
          words: f.words,
        }),
      () => form.resetFields(),
      'Noted',
    )
  return (
    <>
      <div className="head">
        <h1>
          {piece.title} <span className="sub">finish it</span>
        </h1>
        <Link className="go second" href={`/wall/${piece.id}`}>
          To the piece
        </Link>
      </div>
      <div className="two">
        <section className="panel" aria-label="When it is safe">
          <Segmented<FinishCoat>
            aria-label="Varnish or resin"
            size="large"
            value={kind}
            onChange={setKind}
            options={FINISH_COATS.map((k) => ({ value: k, label: k }))}
          />
          <p className="guide-total" data-testid="safe">
            {isSafe ? 'Safe now' : `Safe from ${shortDay(safe.from, zone)}`}{' '}
            <small>{isSafe ? `since ${shortDay(safe.from, zone)}` : dayOn(safe.from, zone)}</small>
          </p>
          <WaitLine pouredAt={Date.parse(piece.pouredAt)} from={safe.from} now={now} zone={zone} />
          <ol>
            {safe.reasons.map((r) => (
              <li key={r}>{r}</li>
            ))}
          </ol>
          {safe.needsCleaning ? <Notice kind="warning">{CLEAN_FIRST}</Notice> : null}
          <Notice>{CAUTIONS[kind]}</Notice>
          {isVessel ? (
            <Notice kind="warning">
              A painted vessel: nothing where food or lips touch, whatever is put over it. Leave the rim and the inside
              bare.
            </Notice>
          ) : null}
          <p className="muted fine after">
            Sanding between coats: never a pigmented film without proper respiratory protection. The label and the data
            sheet of the product, local codes and licensed practice go before what is said here.
          </p>
        </section>
        <section className="panel" aria-label="Coats">
          <h2>Coats on it</h2>
          {coats.length === 0 ? <p className="muted">None yet.</p> : null}
          {coats.map((c) => (
            <p key={c.id} className="row spread close">
              <span>
                <b>{c.product}</b>
                {c.coats > 1 ? `, ${c.coats} coats` : ''}
                <span className="muted">
                  {' '}
                  {c.kind}, {c.doneOn}
                  {c.lots ? `, lot ${c.lots}` : ''}
                  {c.cleanedSilicone ? ', cleaned first' : ''}
                  {c.costMinor ? `, ${formatMoney(c.costMinor, currency)}` : ''}
                </span>
              </span>
              <button
                type="button"
                className="plain"
                onClick={() => send(() => removeCoatAction({ id: c.id }), undefined, 'Taken out')}
              >
                Take out
              </button>
            </p>
          ))}
          <h3 className="under">Note a coat</h3>
          <Form<Fields>
            form={form}
            layout="vertical"
            requiredMark={false}
            onFinish={save}
            initialValues={{
              product: '',
              lots: '',
              coats: 1,
              doneOn: dayOn(now, zone),
              cleanedSilicone: false,
              allTheSame: false,
              cost: '',
              words: '',
            }}
          >
            <Form.Item
              name="product"
              label={kind === 'varnish' ? 'Which varnish' : 'Which resin'}
              rules={[{ required: true, message: 'Say which, with its maker.' }]}
            >
              <Input maxLength={120} />
            </Form.Item>
            <div className="two columns gap">
              <Form.Item name="coats" label="Coats">
                <InputNumber min={1} max={20} className="wide" />
              </Form.Item>
              <Form.Item name="doneOn" label="Done on">
                <Input type="date" />
              </Form.Item>
              <Form.Item name="lots" label="Lot, as printed on it">
                <Input maxLength={120} />
              </Form.Item>
              <Form.Item
                name="cost"
                label={`What it cost, ${currency}`}
                rules={[
                  {
                    validator: (_, v: string) => {
                      const { sentence } = v?.trim() ? readTyped(() => parseMoneyMinor(v)) : {}
                      return sentence === undefined ? Promise.resolve() : Promise.reject(new Error(sentence))
                    },
                  },
                ]}
              >
                <Input inputMode="decimal" />
              </Form.Item>
            </div>
            <Form.Item name="words" label="In words">
              <Input maxLength={400} />
            </Form.Item>
            {safe.needsCleaning ? (
              <Form.Item name="cleanedSilicone" valuePropName="checked">
                <Checkbox>The dry surface was cleaned of silicone first</Checkbox>
              </Form.Item>
            ) : null}
            {isSafe ? null : (
              <Form.Item name="allTheSame" valuePropName="checked">
                <Checkbox>It was done before it was safe, all the same</Checkbox>
              </Form.Item>
            )}
            {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
            <Button type="primary" size="large" htmlType="submit" loading={pending}>
              Note the coat
            </Button>
          </Form>
        </section>
      </div>
    </>
  )
}
