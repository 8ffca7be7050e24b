import { Input, Select } from 'antd'
import { ROLES, type Role } from '@/core/paint/properties'
import type { TypedBottle } from './bottleDraft'

/** What is told of the bottle a mix goes into; `size` large on the screens for wet hands. */
export function BottleFields({
  typed,
  onChange,
  usualSize = 'not given',
  size = 'middle',
}: {
  typed: TypedBottle
  onChange: (part: Partial<TypedBottle>) => void
  /** What is taken where no size is typed. */
  usualSize?: string
  size?: 'middle' | 'large'
}) {
  const field = (
    name: string,
    key: 'label' | 'capacity' | 'tare' | 'palette' | 'rest',
    more: { placeholder?: string; maxLength?: number; inputMode?: 'decimal' } = {},
  ) => (
    <label className="field">
      <span>{name}</span>
      <Input size={size} value={typed[key]} onChange={(e) => onChange({ [key]: e.target.value })} {...more} />
    </label>
  )
  return (
    <>
      {field('Name of the bottle', 'label', { maxLength: 120 })}
      <label className="field">
        <span>Role</span>
        <Select<Role>
          size={size}
          aria-label="Role"
          className="wide"
          value={typed.role}
          onChange={(role) => onChange({ role })}
          options={ROLES.map((r) => ({ value: r, label: r }))}
        />
      </label>
      {field('Bottle holds', 'capacity', { placeholder: usualSize })}
      {field('Empty bottle weighs', 'tare', { placeholder: '28 g, if known' })}
      {field('Palette', 'palette', { placeholder: 'none', maxLength: 80 })}
      {field('Rest, hours', 'rest', { inputMode: 'decimal' })}
    </>
  )
}
