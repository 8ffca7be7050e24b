'use client'

import { Link } from '@/ui/frame/Link'
import { useState } from 'react'
import { fold } from '@/core/paint/fold'
import { HAZARD_NOTES, PIGMENTS, PIGMENT_SOURCES } from '@/core/paint/pigments'
import { SearchBox } from '@/ui/frame/SearchBox'
import paintsStyles from '../paints.module.css'
import cardStyles from './card.module.css'

/** The pigment reference, with the paints of the drawer each pigment is in. */
export function PigmentReference({ owned }: { owned: Readonly<Record<string, number>> }) {
  const [q, setQ] = useState('')
  const words = fold(q).split(' ').filter(Boolean)
  const shown = PIGMENTS.filter((p) => {
    const text = fold([p.name, p.commonName, p.chemicalClass, p.opacity, ...p.hazards].join(' '))
    return words.every((w) => text.includes(w))
  })
  return (
    <>
      <div className="tools" role="search">
        <SearchBox value={q} onType={setQ} label="Search pigments" placeholder="PB15, cadmium, azo, …" />
        <span className="muted">
          {shown.length} of {PIGMENTS.length}. Light: ASTM category, I best, V worst. Values are from memory; the label
          decides.
        </span>
      </div>
      <table className={`sheet ${paintsStyles.panelTable} ${cardStyles.pigmentTable}`}>
        <thead>
          <tr>
            <th title={PIGMENT_SOURCES.name}>Name</th>
            <th title={PIGMENT_SOURCES.commonName}>Called</th>
            <th title={PIGMENT_SOURCES.chemicalClass}>Class</th>
            <th title={PIGMENT_SOURCES.opacity}>Usually</th>
            <th className="num" title={PIGMENT_SOURCES.lightfastness}>
              Light
            </th>
            <th className="num" title={PIGMENT_SOURCES.specificGravity}>
              g/cm³
            </th>
            <th title={PIGMENT_SOURCES.hazards}>Care</th>
            <th className="num">In the drawer</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((p) => (
            <tr key={p.name} id={p.name}>
              <td>
                <b>{p.name}</b>
              </td>
              <td>{p.commonName}</td>
              <td>{p.chemicalClass}</td>
              <td>{p.opacity}</td>
              <td className="num">{p.lightfastness}</td>
              <td className="num">{p.specificGravity.toFixed(1)}</td>
              <td title={p.hazards.map((h) => HAZARD_NOTES[h]).join(' ')}>{p.hazards.join(', ')}</td>
              <td className="num">
                {owned[p.name] ? (
                  <Link href={`/paints?pigment=${encodeURIComponent(p.name)}`}>{owned[p.name]}</Link>
                ) : (
                  ''
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <details className="helper">
        <summary>Where these come from</summary>
        <ul>
          {Object.entries(PIGMENT_SOURCES).map(([column, source]) => (
            <li key={column}>
              {column.replace(/([A-Z])/g, ' $1').toLowerCase()}: {source}
            </li>
          ))}
        </ul>
      </details>
    </>
  )
}
