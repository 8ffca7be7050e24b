import type { TrayItem } from './tray'
import styles from './frame.module.css'

/**
 * The button that puts a thing on the tray. Plain markup: one listener in the frame serves all of them, so a shelf
 * of hundreds costs nothing.
 */
export function TrayMark({ item }: { item: TrayItem }) {
  return (
    <button
      type="button"
      className={`${styles.trayMark} tray-mark`}
      data-tray={JSON.stringify(item)}
      aria-label={`Tray: ${item.label}`}
      title="On or off the tray (t)"
    >
      <svg width="22" height="22" viewBox="0 0 22 22" aria-hidden="true">
        <path
          d="M2 13v5h18v-5M6 15L5 7h5l-1 8zM13 15l-1-8h5l-1 8z"
          fill="none"
          stroke="currentColor"
          strokeWidth="1.8"
          strokeLinejoin="round"
        />
      </svg>
    </button>
  )
}
