'use client'

import { Input, Select } from 'antd'
import { OFFER_KINDS, type Offer, type OfferKind } from '@/core/purchase/offers'
import { parseMoneyMinor } from '@/core/quantity/money'
import { parseNumber } from '@/core/quantity/number'

/** What is typed of an offer: a kind and up to two numbers. */
export interface Terms {
  readonly kind: OfferKind
  readonly a: string
  readonly b: string
}
export const NO_OFFER: Terms = { kind: 'list', a: '', b: '' }

const WORDS: Readonly<Record<OfferKind, string>> = {
  list: 'list price',
  percent: 'percent off',
  'n-for-m': 'n for m',
  coupon: 'coupon on one',
  bundle: 'bundle',
}

/** Reads the terms into an offer. @throws Invalid for a bundle price that is none */
export function readTerms({ kind, a, b }: Terms): Offer {
  const [x, y] = [parseNumber(a) ?? 0, parseNumber(b) ?? 0]
  switch (kind) {
    case 'percent':
    case 'coupon':
      return { kind, percent: x }
    case 'n-for-m':
      return { kind, get: x, pay: y }
    case 'bundle':
      return { kind, count: x, priceMinor: parseMoneyMinor(b) }
    default:
      return { kind: 'list' }
  }
}

/** Chooses an offer and types its numbers. */
export function OfferTerms({ terms, onChange }: { terms: Terms; onChange: (terms: Terms) => void }) {
  const field = (key: 'a' | 'b', label: string, width = 72) => (
    <Input
      aria-label={label}
      placeholder={label}
      value={terms[key]}
      inputMode="decimal"
      style={{ width }}
      onChange={(e) => onChange({ ...terms, [key]: e.target.value })}
    />
  )
  return (
    <>
      <Select<OfferKind>
        aria-label="Kind of offer"
        value={terms.kind}
        onChange={(kind) => onChange({ kind, a: '', b: '' })}
        options={OFFER_KINDS.map((value) => ({ value, label: WORDS[value] }))}
        className="w190"
      />
      {terms.kind === 'percent' || terms.kind === 'coupon' ? field('a', '% off') : null}
      {terms.kind === 'n-for-m' ? (
        <>
          {field('a', 'get')} for {field('b', 'pay')}
        </>
      ) : null}
      {terms.kind === 'bundle' ? (
        <>
          {field('a', 'count')} for {field('b', 'price together', 120)}
        </>
      ) : null}
    </>
  )
}
