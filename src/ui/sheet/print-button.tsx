'use client'

/** Opens the browser's print dialogue. */
export function PrintButton() {
  return (
    <button type="button" className="key print:hidden" onClick={() => window.print()}>
      Print the sheet
    </button>
  )
}
