'use client'

import { Segmented, Select } from 'antd'
import { ROLES } from '@/core/paint/properties'
import type { NeedKind } from '@/core/vessel/needs'
import type { Grouping } from '@/core/vessel/shelves'
import { SearchBox } from '@/ui/frame/SearchBox'
import { useAddressFilter } from '@/ui/hooks/useAddressFilter'
import type { FoundRack } from './find'
import { rackFilterSchema, type RackFilterInput } from './filter'
import styles from './rack.module.css'

const BY: readonly { value: Grouping; label: string }[] = [
  { value: 'none', label: 'one row' },
  { value: 'palette', label: 'by palette' },
  { value: 'colour', label: 'by colour' },
  { value: 'age', label: 'by age' },
  { value: 'consistency', label: 'by consistency' },
  { value: 'technique', label: 'by technique' },
]
/** Needs as they are chosen from; in the order they press. */
const NEEDS: readonly (readonly [NeedKind, string])[] = [
  ['past', 'past their date'],
  ['evaporated', 'lost water'],
  ['thickened', 'thickened'],
  ['keep', 'near their date'],
  ['check', 'to check'],
  ['shake', 'to shake'],
  ['resting', 'resting'],
  ['low', 'low'],
]

/** Search, shelves, role, order of the rack, and what bottles need. */
export function RackFilters({ filter, found }: { filter: RackFilterInput; found: FoundRack }) {
  const { q, type, go, shown } = useAddressFilter(filter, rackFilterSchema.getDefault())
  return (
    <>
      <div className="tools" role="search">
        <SearchBox value={q} onType={type} label="Search bottles" placeholder="Search name, palette, code" />
        <Select<Grouping>
          aria-label="Shelves"
          value={shown.by}
          className="w190"
          onChange={(by) => go({ by })}
          options={[...BY]}
        />
        <Select
          aria-label="Role"
          value={shown.role}
          className="w150"
          onChange={(role: string) => go({ role })}
          options={[{ value: '', label: 'any role' }, ...ROLES.map((r) => ({ value: r, label: r }))]}
        />
        <Select
          aria-label="Order"
          value={shown.sort}
          className="w150"
          onChange={(sort: string) => go({ sort })}
          options={[
            { value: 'newest', label: 'newest first' },
            { value: 'oldest', label: 'oldest first' },
            { value: 'name', label: 'by name' },
            { value: 'colour', label: 'by colour' },
            { value: 'fullest', label: 'fullest first' },
            { value: 'emptiest', label: 'emptiest first' },
          ]}
        />
        {found.palettes.length ? (
          <Select
            aria-label="Palette"
            value={shown.palette}
            className="w190"
            onChange={(palette: string) => go({ palette })}
            options={[{ value: '', label: 'any palette' }, ...found.palettes.map((p) => ({ value: p, label: p }))]}
          />
        ) : null}
        <span className="fill" />
        <Segmented
          aria-label="Which bottles"
          value={shown.show}
          onChange={(show: string) => go({ show, need: '' })}
          options={[
            { value: '', label: 'On the rack' },
            { value: 'empty', label: 'Empty' },
          ]}
        />
      </div>
      {shown.show === '' ? (
        <div className={styles.needs} aria-label="What bottles need">
          {NEEDS.filter(([kind]) => found.counts[kind] || shown.need === kind).map(([kind, words]) => (
            <button
              key={kind}
              type="button"
              className={styles.need}
              aria-pressed={shown.need === kind}
              onClick={() => go({ need: shown.need === kind ? '' : kind })}
            >
              <b>{found.counts[kind] ?? 0}</b> {words}
            </button>
          ))}
        </div>
      ) : null}
    </>
  )
}
