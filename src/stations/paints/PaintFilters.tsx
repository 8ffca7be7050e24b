'use client'

import { Segmented, Select } from 'antd'
import { BODIES, OPACITIES, SHEENS } from '@/core/paint/properties'
import { SearchBox } from '@/ui/SearchBox'
import { useAddressFilter } from '@/ui/useAddressFilter'
import type { Choices } from './queries'
import type { PaintFilter } from './schema'

const options = (values: readonly string[], any: string) => [
  { value: '', label: any },
  ...values.map((v) => ({ value: v, label: v })),
]

/** Filters and search; the address bar holds them all. */
export function PaintFilters({ filter, choices }: { filter: PaintFilter; choices: Choices }) {
  const { q, type, go } = useAddressFilter(filter, { kind: 'paint', view: 'cards' })
  const select = (
    key: 'maker' | 'body' | 'opacity' | 'sheen' | 'pigment',
    values: readonly string[],
    any: string,
    width: number,
  ) => (
    <Select
      aria-label={any}
      value={filter[key]}
      onChange={(v: string) => go({ [key]: v })}
      options={options(values, any)}
      style={{ width }}
      popupMatchSelectWidth={false}
      showSearch
    />
  )
  return (
    <div className="tools" role="search">
      <SearchBox value={q} onType={type} label="Search paints" placeholder="Search maker, name, pigment" />
      {select('maker', choices.makers, 'any maker', 180)}
      {filter.kind === 'paint' ? (
        <>
          {select('body', BODIES, 'any body', 120)}
          {select('opacity', OPACITIES, 'any opacity', 160)}
          {select('sheen', SHEENS, 'any sheen', 140)}
          {select('pigment', choices.pigments, 'any pigment', 140)}
        </>
      ) : null}
      <span style={{ flex: 1 }} />
      <Segmented
        aria-label="What is shown"
        value={filter.archived ? 'archived' : filter.kind}
        onChange={(v: string) =>
          go(
            v === 'archived'
              ? { archived: 'yes' }
              : { kind: v as PaintFilter['kind'], archived: '', body: '', opacity: '', sheen: '', pigment: '' },
          )
        }
        options={[
          { value: 'paint', label: 'Paints' },
          { value: 'medium', label: 'Mediums' },
          { value: 'water', label: 'Water' },
          { value: 'archived', label: 'Put away' },
        ]}
      />
      <Segmented
        aria-label="How it is shown"
        value={filter.view}
        onChange={(v: string) => go({ view: v })}
        options={[
          { value: 'cards', label: 'Cards' },
          { value: 'table', label: 'Table' },
        ]}
      />
    </div>
  )
}
