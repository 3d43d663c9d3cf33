'use client'

import { useState } from 'react'
import type { Mended } from '@/core/deck/deck-file'
import type { WrongLine } from '@/workers/deck-file-protocol'
import { TextKey } from '../form/text-key'

// So many stand on the page at a time.
const SHOWN = 50

/** Every wrong line of a file: mended here, or left out. Nothing is stored while one is left. */
export function WrongLines({
  wrong,
  columns,
  mended,
  onMend,
}: {
  readonly wrong: readonly WrongLine[]
  readonly columns: readonly string[]
  readonly mended: Mended
  readonly onMend: (mended: Mended) => void
}) {
  const leaveOut = (lines: readonly number[]): void =>
    onMend({ ...mended, leftOut: new Set([...mended.leftOut, ...lines]) })
  return (
    <section aria-label="Wrong lines" className="border-t border-ink pt-3">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <p role="alert" className="font-medium">
          {wrong.length === 1 ? '1 line is' : `${wrong.length.toLocaleString('en-GB')} lines say`}{' '}
          otherwise than expected. Mend each, or leave it out; nothing is imported before.
        </p>
        <TextKey onClick={() => leaveOut(wrong.map(({ line }) => line))}>
          Leave {wrong.length === 1 ? 'it' : `all ${wrong.length.toLocaleString('en-GB')}`} out
        </TextKey>
      </div>
      <ol className="mt-2 flex flex-col gap-2 text-small">
        {wrong.slice(0, SHOWN).map((each) => (
          <li key={each.line} className="border-b border-rule pb-2">
            <MendLine
              key={each.cells.join('\0')}
              {...{ columns }}
              wrong={each}
              onMend={(cells) =>
                onMend({ ...mended, lines: new Map([...mended.lines, [each.line, cells]]) })
              }
              onLeaveOut={() => leaveOut([each.line])}
            />
          </li>
        ))}
      </ol>
      {wrong.length > SHOWN && (
        <p className="mt-2 text-small text-dim">
          The next {(wrong.length - SHOWN).toLocaleString('en-GB')} come up as these are settled.
        </p>
      )}
    </section>
  )
}

function MendLine({
  wrong: { line, message, cells },
  columns,
  onMend,
  onLeaveOut,
}: {
  readonly wrong: WrongLine
  readonly columns: readonly string[]
  readonly onMend: (cells: readonly string[]) => void
  readonly onLeaveOut: () => void
}) {
  const [open, setOpen] = useState(false)
  const [typed, setTyped] = useState<readonly string[]>(() => columns.map((_, i) => cells[i] ?? ''))
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-x-4">
        <span className="min-w-0 flex-1">
          Line {line}: {message}
        </span>
        <TextKey aria-expanded={open} onClick={() => setOpen(!open)}>
          Mend<span className="sr-only"> line {line}</span>
        </TextKey>
        <TextKey onClick={onLeaveOut}>
          Leave out<span className="sr-only"> line {line}</span>
        </TextKey>
      </div>
      {open && (
        // It stands within the form of the deck: Enter is for the line, not for the deck.
        <div
          role="group"
          aria-label={`Line ${line}`}
          className="grid gap-x-3 gap-y-1 sm:grid-cols-4"
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return
            event.preventDefault()
            onMend(typed)
          }}
        >
          {columns.map((column, i) => (
            <label key={`${column}${i}`} className="text-fine">
              {column || `column ${i + 1}`}
              <input
                className="field"
                autoComplete="off"
                value={typed[i] ?? ''}
                onChange={(event) =>
                  setTyped(typed.map((cell, each) => (each === i ? event.target.value : cell)))
                }
              />
            </label>
          ))}
          <button type="button" className="key self-end" onClick={() => onMend(typed)}>
            So it is right
          </button>
        </div>
      )}
    </>
  )
}
