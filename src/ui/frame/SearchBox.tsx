'use client'

import { Input } from 'antd'

/** The search of a screen; the key `/` goes to it. */
export function SearchBox({
  value,
  onType,
  label,
  placeholder,
}: {
  value: string
  onType: (text: string) => void
  label: string
  placeholder: string
}) {
  return (
    <span data-key="search">
      <Input
        allowClear
        value={value}
        placeholder={placeholder}
        aria-label={label}
        className="w280"
        onChange={(e) => onType(e.target.value)}
      />
    </span>
  )
}
