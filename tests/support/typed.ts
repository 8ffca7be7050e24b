/** A paint as the form sends it, with everything that must be there. */
export const typedPaint = (name: string) => ({
  kind: 'paint',
  maker: 'Torvald Works',
  name,
  body: 'soft',
  opacity: 'opaque',
  sheen: 'satin',
  strength: 'normal',
  pigments: ['PB29'],
  swatchHex: '#1d4e9e',
  densityGPerMl: 1.2,
  solids: 0.38,
  containerUl: 60_000,
  priceMinor: 990,
  notes: '',
  flags: [],
})

/** A form as a page sends it. */
export function sentForm(fields: Readonly<Record<string, string | File>>): FormData {
  const made = new FormData()
  for (const [name, value] of Object.entries(fields)) made.set(name, value)
  return made
}
