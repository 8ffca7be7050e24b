'use client'

import { Segmented, Select } from 'antd'
import { ROLES } from '@/core/paint/properties'
import { SearchBox } from '@/ui/SearchBox'
import { useAddressFilter } from '@/ui/useAddressFilter'
import type { RackFilterInput } from './schema'

/** Search, role and order of the rack. */
export function RackFilters({ filter }: { filter: RackFilterInput }) {
  const { q, type, go } = useAddressFilter(filter, { sort: 'newest', page: 1 })
  return (
    <div className="tools" role="search">
      <SearchBox value={q} onType={type} label="Search bottles" placeholder="Search bottles" />
      <Select
        aria-label="Role"
        value={filter.role}
        style={{ width: 150 }}
        onChange={(role: string) => go({ role, page: 1 })}
        options={[{ value: '', label: 'any role' }, ...ROLES.map((r) => ({ value: r, label: r }))]}
      />
      <Select
        aria-label="Order"
        value={filter.sort}
        style={{ width: 170 }}
        onChange={(sort: string) => go({ sort, page: 1 })}
        options={[
          { value: 'newest', label: 'newest first' },
          { value: 'oldest', label: 'oldest first' },
          { value: 'name', label: 'by name' },
          { value: 'fullest', label: 'fullest first' },
          { value: 'emptiest', label: 'emptiest first' },
        ]}
      />
      <span style={{ flex: 1 }} />
      <Segmented
        aria-label="Which bottles"
        value={filter.show}
        onChange={(show: string) => go({ show, page: 1 })}
        options={[
          { value: '', label: 'On the rack' },
          { value: 'empty', label: 'Empty' },
        ]}
      />
    </div>
  )
}
