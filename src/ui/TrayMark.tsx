import type { TrayItem } from './tray'

/**
 * The button that puts a thing on the tray. Plain markup: one listener in the frame serves all of them, so a shelf
 * of hundreds costs nothing.
 */
export function TrayMark({ item }: { item: TrayItem }) {
  return (
    <button type="button" className="tray-mark" data-tray={JSON.stringify(item)} aria-label={`Tray: ${item.label}`} title="On or off the tray (t)">
      <svg width="22" height="22" viewBox="0 0 22 22" aria-hidden="true">
        <path d="M2 12h18l-2 6H4zM7 9V4h8v5" fill="none" stroke="currentColor" strokeWidth="1.800" />
      </svg>
    </button>
  )
}
