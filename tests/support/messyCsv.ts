/** Lines of the messy list that cannot be imported. */
export const MESSY_BAD = 12
/** Good rows of it. */
export const MESSY_GOOD = 288

/**
 * A list of 300 rows as an old spreadsheet leaves it, in Latin-1: semicolons, decimal commas, units and currency in
 * cells, quoted line breaks, other words for ours, blank lines, headings of its own. Every 25th row is bad in one of
 * four ways. Invented names only.
 */
export function messyCsv(): Buffer {
  const makers = ['Kvarnby Colour', 'Sallow & Finch', 'Torvald Wörks', 'Bracken Lane']
  const bodies = ['Heavy Body', 'fluid', 'HIGH-FLOW', 'Craft', 'soft body', 'ready to pour']
  const lines = [
    'Brand;Range;Colour name;CI name;Viscosity;Transparency;Finish;Hex;Contents;Price paid;Specific gravity;Remarks;Bought at',
  ]
  for (let i = 0; i < 300; i++) {
    const n = i + 1
    const hex = ((n * 401_123) % 0xffffff).toString(16).padStart(6, '0')
    const swatch =
      i % 3 === 0
        ? hex.toUpperCase()
        : i % 3 === 1
          ? `#${hex}`
          : `rgb(${[0, 2, 4].map((k) => parseInt(hex.slice(k, k + 2), 16)).join(', ')})`
    const size = ['60ml', '2 fl oz', '0,25 l', '118 ML', '½ cup'][i % 5]!
    const price = ['9,90', '€ 4.50', '7,5', 'EUR 12'][i % 4]!
    const note = i % 7 === 0 ? `"dries darker;\nstir ""well"""` : i % 11 === 0 ? '=SUM(A1)' : 'grün'
    let cells = [
      makers[i % 4]!,
      `Serie ${i % 9}`,
      `Nuance é ${n}`,
      i % 2 ? 'PB29/PW6' : 'pr254, pw6',
      bodies[i % 6]!,
      ['T', 'semi-opaque', 'Opaque', 'ST'][i % 4]!,
      ['matt', 'Glossy', 'Iridescent', 'neon'][i % 4]!,
      swatch,
      size,
      price,
      i % 2 ? '1,2' : '1.31 g/ml',
      note,
      'Corner shop',
    ]
    if (n % 25 === 0) {
      const bad = (n / 25) % 4
      cells = cells.map((c, k) =>
        bad === 0 && k === 7
          ? 'bluish'
          : bad === 1 && k === 8
            ? '-3 ml'
            : bad === 2 && k === 10
              ? '19,3'
              : bad === 3 && k === 9
                ? 'a lot'
                : c,
      )
    }
    lines.push(cells.join(';'))
    if (n % 60 === 0) lines.push('', ';;;;;;;;;;;;')
  }
  return Buffer.from(lines.join('\r\n'), 'latin1')
}
