'use client'

/** Prints the page; its frame stays on the screen. */
export const PrintButton = () => (
  <button type="button" className="go second" onClick={() => window.print()}>
    Print
  </button>
)
