import { Invalid } from '../errors'

/**
 * Reads a price such as `12.50`, `12,50` or `€ 12` into minor units (cents).
 * @throws Invalid
 */
export function parseMoneyMinor(text: string): number {
  const digits = text.replace(/[^\d.,-]/g, '').replace(',', '.')
  if (!/^\d+(\.\d{1,2})?$/.test(digits))
    throw new Invalid(`“${text.trim()}” is not a price. Type it like 12.50, without thousands separators.`)
  return Math.round(Number(digits) * 100)
}

/** A price in minor units as people read it, by currency: `€12.50`. */
export function formatMoney(minor: number, currency: string, digits = 2): string {
  return new Intl.NumberFormat('en-GB', {
    style: 'currency',
    currency,
    minimumFractionDigits: digits,
    maximumFractionDigits: digits,
  }).format(minor / 100)
}
