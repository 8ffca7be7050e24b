import { HAZARD_NOTES, pigment, PIGMENT_SOURCES } from '@/core/paint/pigments'

/** Pigments with what the reference says of them, and where that is from. */
export function PigmentTable({ names }: { names: readonly string[] }) {
  return (
    <>
      <table className="sheet">
        <thead>
          <tr>
            <th>Pigment</th>
            <th>Class</th>
            <th>Usually</th>
            <th className="num">Light</th>
            <th className="num">g/cm³</th>
          </tr>
        </thead>
        <tbody>
          {names.map((name) => {
            const p = pigment(name)
            return (
              <tr key={name}>
                <td>
                  <b>{name}</b>
                  <br />
                  <small className="muted">{p?.commonName ?? 'not in the reference'}</small>
                </td>
                <td>
                  {p?.chemicalClass}
                  {p?.hazards.map((h) => (
                    <small key={h} className="muted block">
                      {HAZARD_NOTES[h]}
                    </small>
                  ))}
                </td>
                <td>{p?.opacity}</td>
                <td className="num">{p?.lightfastness}</td>
                <td className="num">{p?.specificGravity.toFixed(p.specificGravity < 10 ? 1 : 0)}</td>
              </tr>
            )
          })}
        </tbody>
      </table>
      <details className="helper">
        <summary>Where these come from</summary>
        <dl className="facts">
          {Object.entries(PIGMENT_SOURCES).map(([column, source]) => (
            <div key={column} className="contents">
              <dt>{column.replace(/([A-Z])/g, ' $1').toLowerCase()}</dt>
              <dd>{source}</dd>
            </div>
          ))}
        </dl>
      </details>
    </>
  )
}
