import type { Row } from './desk/deskDraft'
import type { Paints } from './shown'
import type { Target } from './target/target'

/** Rows from `paints=id,id&parts=1,2`; what is not in the studio is left out. */
export function rowsFromAddress(
  address: { paints?: string | undefined; parts?: string | undefined },
  paints: Paints,
): Row[] {
  const parts = (address.parts ?? '').split(',')
  return (address.paints ?? '').split(',').flatMap((id, i) => {
    const amount = /^\d+(\.\d+)?$/.test(parts[i] ?? '') ? String(Number(Number(parts[i]).toPrecision(4))) : '1'
    return paints.has(id) ? [{ id, amount }] : []
  })
}

/** A target from six digits in the address. */
export const targetFromAddress = (hex: string | undefined): Target | undefined =>
  /^[0-9a-f]{6}$/i.test(hex ?? '')
    ? { label: 'the target', hex: `#${hex!.toLowerCase()}`, reflectance: null, sheen: null }
    : undefined
