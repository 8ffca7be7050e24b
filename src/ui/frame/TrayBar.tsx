'use client'

import { Link } from './Link'
import { useEffect } from 'react'
import { Chip } from '@/ui/pictures/Drawdown'
import { clearTray, drawMarks, openTray, toggleOnTray, useTray } from './tray'
import styles from './frame.module.css'

/** The tray along the lower edge: what is carried, and where it can be taken. Hidden while empty. */
export function TrayBar({ studioId }: { studioId: string }) {
  const items = useTray()
  useEffect(() => openTray(studioId), [studioId])

  useEffect(drawMarks)

  if (items.length === 0) return null
  const ids = (kind: 'paint' | 'bottle') =>
    items
      .filter((i) => i.kind === kind)
      .map((i) => i.id)
      .join(',')
  const paints = ids('paint')
  const bottles = ids('bottle')
  return (
    <aside className={styles.tray} aria-label="Tray" data-key="tray">
      <strong>Tray</strong>
      <ul>
        {items.map((i) => (
          <li key={i.id}>
            <button
              type="button"
              className={styles.trayItem}
              onClick={() => toggleOnTray(i)}
              title={`Take ${i.label} off the tray`}
            >
              <Chip hex={i.hex} sheen={i.sheen} />
              <span>{i.label}</span>
              <span aria-hidden="true">×</span>
            </button>
          </li>
        ))}
      </ul>
      {paints ? (
        <>
          <Link className="go second" href={`/paints/compare?ids=${paints}`}>
            Side by side
          </Link>
          <Link className="go second" href={`/formulas/new?paints=${paints}`}>
            To formulas
          </Link>
          <Link className="go second" href={`/bench?paints=${paints}`}>
            To the bench
          </Link>
        </>
      ) : null}
      {bottles ? (
        <>
          <Link className="go second" href={`/plan/new?bottles=${bottles}`}>
            To a plan
          </Link>
          <Link className="go second" href={`/plan/rehearse?bottles=${bottles}`}>
            Rehearse
          </Link>
        </>
      ) : null}
      <button type="button" className="plain" onClick={clearTray}>
        Clear
      </button>
    </aside>
  )
}
