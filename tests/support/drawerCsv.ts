/**
 * A list of 40 rows as a maker would bring it: 35 paints and 2 mediums that are good, and 3 bad rows (no swatch, a
 * body that is none, a pigment that is none). Invented names only.
 */
export const BAD_LINES = [8, 19, 33] as const
export const drawerCsv = (): string => {
  const bodies = ['soft', 'heavy', 'fluid', 'craft', 'ready']
  const lines = ['kind,maker,line,name,medium_kind,pigments,body,opacity,sheen,swatch,container,price,notes']
  for (let line = 2; line <= 41; line++) {
    if (line === 2)
      lines.push(
        'paint,Kvarnby Colour,Studio,Canal Teal,,PB15:3 PG7,soft,semi-opaque,satin,#136a78,120 ml,9.60,the house teal',
      )
    else if (line === 3) lines.push('medium,Kvarnby Colour,,Kvarnby Flow,conditioner,,,,,,1 l,20.00,')
    else if (line === 4)
      lines.push('medium,Torvald Works,,Torvald Gloss 40,gloss medium,,,,,,946 ml,26.90,"shake, strain"')
    else if (line === 8) lines.push('paint,Bracken Lane,Craft,No Swatch,,PW6,craft,opaque,matte,,59 ml,1.90,')
    else if (line === 19) lines.push('paint,Bracken Lane,Craft,Wrong Body,,PW6,runny,opaque,matte,#ffffff,59 ml,1.90,')
    else if (line === 33)
      lines.push('paint,Bracken Lane,Craft,Wrong Pigment,,blue,craft,opaque,matte,#336699,59 ml,1.90,')
    else {
      const hex = `#${((line * 401_123) % 0xffffff).toString(16).padStart(6, '0')}`
      lines.push(
        `paint,Sallow & Finch,Row ${line % 3},Shade ${line},,PW6,${bodies[line % 5]},opaque,gloss,${hex},2 fl oz,"4,50",`,
      )
    }
  }
  return lines.join('\r\n')
}
